import { vesselShape } from './vesselShape'

/** Drawing of a thing on a shelf of the kitchen, to scale with the others of its shelf. */
export interface ThingDrawing {
  /** SVG view box. */
  readonly viewBox: string
  /** Width on the screen, CSS px. */
  readonly widthPx: number
  /** Path of it. */
  readonly path: string
  /** A thin wall, a thick one, or flames. */
  readonly kind: 'thin' | 'thick' | 'flames'
}

/** CSS px for a mm: one scale for a shelf. */
const CUP_SCALE = 1.25
const PAN_SCALE = 0.6
/** Handle of a spoon, in lengths of its bowl. */
const HANDLE = 1.4
const FLAME_STEP = 30
const FLAME_BOX = 74
/** Height of a flame that gives nothing and what a full fire adds, drawing units; W of a full fire. */
const FLAME = { least: 18, more: 52, fullW: 1500 }

/**
 * A cup from the side, or a spoon.
 *
 * @param item cup or spoon, mm
 * @returns its drawing
 */
export function cupDrawing(item: {
  readonly kind: string
  readonly topMm: number
  readonly bottomMm: number
  readonly heightMm: number
}): ThingDrawing {
  const spoon = item.kind === 'spoon'
  const width = item.topMm * (spoon ? 1 + HANDLE : 1) + 8
  return {
    viewBox: `-4 -4 ${width} ${item.heightMm + 8}`,
    widthPx: width * CUP_SCALE,
    kind: 'thin',
    path: spoon
      ? `M0 0Q${item.topMm / 2} ${item.heightMm * 2} ${item.topMm} 0ZM${item.topMm} 0h${item.topMm * HANDLE}`
      : vesselShape(item.topMm, item.bottomMm, item.heightMm, 0).wall,
  }
}

/**
 * A pan or pot from the side.
 *
 * @param item pan, mm
 * @returns its drawing
 */
export function panDrawing(item: { readonly innerDiameterMm: number, readonly depthMm: number }): ThingDrawing {
  return openVessel(item.innerDiameterMm, item.depthMm)
}

/**
 * A tray or plate from the side.
 *
 * @param item tray, mm
 * @returns its drawing
 */
export function trayDrawing(item: { readonly widthMm: number, readonly depthMm: number }): ThingDrawing {
  return openVessel(item.widthMm, item.depthMm)
}

function openVessel(acrossMm: number, depthMm: number): ThingDrawing {
  return {
    viewBox: `-6 -6 ${acrossMm + 12} ${depthMm + 12}`,
    widthPx: (acrossMm + 12) * PAN_SCALE,
    kind: 'thick',
    path: vesselShape(acrossMm, acrossMm * 0.96, depthMm, 0).wall,
  }
}

/**
 * A fire: a flame for each of its marks, as high as it is strong.
 *
 * @param item fire with its marks, W
 * @returns its drawing
 */
export function fireDrawing(item: { readonly marks: readonly { readonly watts: number }[] }): ThingDrawing {
  const width = item.marks.length * FLAME_STEP + 6
  const path = item.marks.map((mark, i) => {
    const height = FLAME.least + mark.watts / FLAME.fullW * FLAME.more
    return `M${i * FLAME_STEP + 18} ${FLAME_BOX - height}q13 ${height / 2} 0 ${height}q-13 -${height / 2} 0 -${height}z`
  }).join('')
  return { viewBox: `0 0 ${width} ${FLAME_BOX}`, widthPx: width, kind: 'flames', path }
}
