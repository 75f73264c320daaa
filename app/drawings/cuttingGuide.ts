import type { TraySize } from '../../core/formulation/scale/request'

/** One sheet of a cutting guide: the part of the tray it shows, mm from the tray's middle. */
export interface GuideSheet {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
  readonly column: number
  readonly row: number
}

/** What fits the printed face of both common papers, mm, and how far sheets lap over. */
export const SHEET = { width: 190, height: 246, overlap: 10 } as const
/** Room round the tray, mm. */
const ROOM = 1.5

/**
 * The sheets on which a tray is printed at true size: one where it fits, else several that lap over.
 *
 * @param tray its size, mm
 * @returns sheets by rows
 */
export function guideSheets(tray: TraySize): GuideSheet[] {
  const length = tray.shape === 'round' ? tray.widthMm : tray.lengthMm
  const columns = along(tray.widthMm + 2 * ROOM, SHEET.width)
  const rows = along(length + 2 * ROOM, SHEET.height)
  return rows.flatMap((y, row) =>
    columns.map((x, column): GuideSheet => ({
      x: x - tray.widthMm / 2 - ROOM,
      y: y - length / 2 - ROOM,
      width: SHEET.width,
      height: SHEET.height,
      column: column + 1,
      row: row + 1,
    })),
  )
}

/** Where each sheet begins along one side. */
function along(whole: number, sheet: number): number[] {
  const step = sheet - SHEET.overlap
  const count = Math.max(1, Math.ceil((whole - SHEET.overlap) / step))
  return Array.from({ length: count }, (_, i) => i * step)
}
