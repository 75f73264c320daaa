import { trayFill, type DeepTray, type TrayFill } from './trayFill'

/**
 * The trays of a house for a mass, the best first: none that would run over before one that holds it, then by how near
 * the depth comes to the wanted one.
 *
 * @param volumeMl of the mass, ml
 * @param trays of the house
 * @param wantedMm depth that is wanted, mm
 * @returns trays with how the mass lies in them
 */
export function traysFor<T extends DeepTray>(
  volumeMl: number,
  trays: readonly T[],
  wantedMm: number,
): { readonly tray: T, readonly fill: TrayFill }[] {
  const off = ({ fill }: { fill: TrayFill }): number =>
    (fill.verdict === 'over' ? 100 : 0) + Math.abs(Math.log(fill.timesForWanted))
  return trays.map(tray => ({ tray, fill: trayFill(volumeMl, tray, wantedMm) })).sort((p, q) => off(p) - off(q))
}
