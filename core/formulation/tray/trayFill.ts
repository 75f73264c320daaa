import { requireRange } from '../../requireRange'
import type { TraySize } from '../scale/request'
import { outlineOf } from './outline'

/** A tray of the house with its depth, mm. */
export interface DeepTray extends TraySize { readonly depthMm: number }

/** How a mass lies in a tray. */
export interface TrayFill {
  /** Depth it comes to, mm. */
  readonly depthMm: number
  readonly verdict: 'thin' | 'right' | 'thick' | 'over'
  /** Times the mass that would fill it to the wanted depth. */
  readonly timesForWanted: number
  /** Side of the square, or part of the tray, mm²: how far it goes at the wanted depth, as a share of the tray. */
  readonly coversAtWanted: number
}

/** A depth within this of the wanted one is right, share (estimate). */
const NEAR = 0.12

/**
 * Whether a mass fills a tray to the wanted depth.
 *
 * @param volumeMl of the mass, ml, 1 to 100 000
 * @param tray its size and depth, mm
 * @param wantedMm depth that is wanted, mm, 2 to 150
 * @returns the depth it comes to, a verdict, and how much more or less it would take
 * @throws CoreError `out-of-range`
 * @example trayFill(800, { shape: 'rectangle', widthMm: 200, lengthMm: 200, depthMm: 35 }, 20).verdict // 'right'
 */
export function trayFill(volumeMl: number, tray: DeepTray, wantedMm: number): TrayFill {
  requireRange('trayFill.volumeMl', volumeMl, 1, 100_000)
  requireRange('trayFill.wantedMm', wantedMm, 2, 150)
  const depthMm = volumeMl * 1000 / outlineOf(tray).areaMm2
  const ratio = depthMm / wantedMm
  const verdict = depthMm > tray.depthMm ? 'over' : ratio < 1 - NEAR ? 'thin' : ratio > 1 + NEAR ? 'thick' : 'right'
  return { depthMm, verdict, timesForWanted: 1 / ratio, coversAtWanted: Math.min(1, ratio) }
}
