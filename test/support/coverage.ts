import { forecastCook } from '../../core/forecast/forecastCook'
import type { Window } from '../../core/forecast/forecast'
import type { Observation } from '../../core/live/observation'
import { examplePlan, marked } from './plans'
import { seededRandom } from '../../core/random/seededRandom'
import { drawTruth, normal, runTruth, signAt } from '../../devices/imaginaryPan'

/** Noise of a tap and of going on, in log time: what the imaginary cooks do. */
const TAP = 0.18
const STAGE = 0.35
/** The pull of the usual minutes on the wet stages is part of what is believed; truths are kept in its proportion. */
const USUAL = 0.4
const USUAL_MINUTES = 9

/** How often the windows held the truth, and how wide they were against their middle. */
export interface Coverage {
  readonly cooks: number
  readonly held: Readonly<Record<string, number>>
  readonly width: Readonly<Record<string, number>>
}

/**
 * Runs imaginary cooks with hidden truths and noisy taps and counts how often the 10–90 % windows hold what happens.
 *
 * @param cooks how many
 * @param members size of each ensemble
 * @param seed first seed
 * @returns shares by name: colour and end after no, one and two taps
 */
export function measureCoverage(cooks: number, members: number, seed: number): Coverage {
  const held: Record<string, number> = {}
  const width: Record<string, number> = {}
  const count = (name: string, truth: number, window: Window | undefined): void => {
    if (!window) return
    held[name] = (held[name] ?? 0) + (truth >= window.early && truth <= window.late ? 1 / cooks : 0)
    width[name] = (width[name] ?? 0) + (window.late - window.early) / window.middle / cooks
  }
  const uniform = seededRandom(seed)
  for (let i = 0; i < cooks; i++) oneCook(uniform, members, i, count)
  return { cooks, held, width }
}

type Count = (name: string, truth: number, window: Window | undefined) => void

function oneCook(uniform: () => number, members: number, i: number, count: Count): void {
  const plan = examplePlan({ seed: 1000 + i })
  for (;;) {
    const truth = drawTruth(plan, uniform)
    const first = runTruth(plan, truth, [], 0)
    if (!accepted(first, uniform)) continue
    const nutsS = signAt(first, 'nuts-golden') * Math.exp(STAGE * normal(uniform))
    const seen: Observation[] = [marked(1, 0, 'cook.started')]
    const plain = forecastCook(plan, [], 0, members)
    count('colour after no tap', signAt(first, 'pale'), plain.signs.pale)
    count('end after no tap', signAt(first, 'leaves-sides'), plain.signs['leaves-sides'])
    seen.push(marked(2, nutsS, 'stage.began', { stage: 'roast' }))
    const roasting = runTruth(plan, truth, seen, nutsS)
    const smeltS = nutsS + (signAt(roasting, 'aroma') - nutsS) * Math.exp(TAP * normal(uniform))
    seen.push(marked(3, smeltS, 'sign.seen', { sign: 'aroma' }))
    tapped(plan, truth, seen, smeltS, members, 'one tap', count)
    const later = runTruth(plan, truth, seen, smeltS)
    const coloured = nutsS + (signAt(later, 'pale') - nutsS) * Math.exp(TAP * normal(uniform))
    seen.push(marked(4, Math.max(coloured, smeltS + 1), 'sign.seen', { sign: 'pale' }))
    tapped(plan, truth, seen, Math.max(coloured, smeltS + 1), members, 'two taps', count)
    return
  }
}

function accepted(first: ReturnType<typeof runTruth>, uniform: () => number): boolean {
  const wet = signAt(first, 'leaves-sides') - first.starts[3]!
  if (!Number.isFinite(wet)) return false
  const z = Math.log(Math.max(5, wet) / (USUAL_MINUTES * 60)) / USUAL
  return uniform() < Math.exp(-0.5 * z * z)
}

function tapped(
  plan: ReturnType<typeof examplePlan>,
  truth: ReturnType<typeof drawTruth>,
  seen: readonly Observation[],
  nowS: number,
  members: number,
  name: string,
  count: Count,
): void {
  const forecast = forecastCook(plan, seen, nowS, members)
  const happens = runTruth(plan, truth, seen, nowS)
  count(`colour after ${name}`, signAt(happens, 'pale'), forecast.signs.pale)
  count(`end after ${name}`, signAt(happens, 'leaves-sides'), forecast.signs['leaves-sides'])
}
