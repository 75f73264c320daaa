import { requireRange } from '../../requireRange'
import type { TraySize } from './request'

/**
 * Volume of a layer in a tray or on a plate.
 *
 * @param tray shape and size, mm, 20 to 2000
 * @param depthMm of the layer, mm, 1 to 200
 * @returns ml
 * @throws CoreError `out-of-range`
 * @example trayVolumeMl({ shape: 'rectangle', widthMm: 200, lengthMm: 200 }, 20) // 800
 */
export function trayVolumeMl(tray: TraySize, depthMm: number): number {
  requireRange('trayVolumeMl.widthMm', tray.widthMm, 20, 2000)
  requireRange('trayVolumeMl.lengthMm', tray.lengthMm, 20, 2000)
  requireRange('trayVolumeMl.depthMm', depthMm, 1, 200)
  const area = tray.shape === 'round' ? Math.PI / 4 * tray.widthMm ** 2 : tray.widthMm * tray.lengthMm
  return area * depthMm / 1000
}
