import { panFit, type PanFit } from '../../materials/vessel/panFit'

/** A pan as advice needs it. */
export interface AdvicePan {
  readonly id: string
  readonly name: string
  readonly innerDiameterMm: number
  readonly depthMm: number
}

/** Whether a dish fits, and what to do where it does not. */
export interface FitAdvice {
  readonly fit: PanFit
  /** Another pan of the house that takes it, the smallest of them. */
  readonly otherPan: AdvicePan | null
  /** Lots to cook it in, where it is too much for the pan. */
  readonly lots: number | null
  /**
   * True where holding half the fat and the last third of the liquid back, and adding them as room comes, is enough.
   */
  readonly inStages: boolean
}

/** Holding fat and liquid back keeps the content below its greatest by about this share (estimate). */
const HELD_BACK = 0.8

/**
 * Whether the chosen pan holds a dish, and if not: another pan, several lots, or fat and liquid in stages.
 *
 * @param greatestMl greatest volume on the way, without foam
 * @param pan the chosen pan, mm
 * @param pans all pans of the house
 * @returns verdict and ways out
 */
export function fitAdvice(greatestMl: number, pan: AdvicePan, pans: readonly AdvicePan[]): FitAdvice {
  const fit = panFit(greatestMl, pan)
  const good = (one: PanFit): boolean => one.verdict === 'fits' || one.verdict === 'roomy'
  if (good(fit)) return { fit, otherPan: null, lots: null, inStages: false }
  const others = pans.filter(one => one.id !== pan.id && good(panFit(greatestMl, one)))
    .sort((p, q) => p.innerDiameterMm ** 2 * p.depthMm - q.innerDiameterMm ** 2 * q.depthMm)
  return {
    fit,
    otherPan: others[0] ?? null,
    lots: fit.lots > 1 ? fit.lots : null,
    inStages: good(panFit(greatestMl * HELD_BACK, pan)),
  }
}
