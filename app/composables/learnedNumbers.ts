import { combineReadings, fitReadings } from '../../core/materials/belief/combineReadings'
import { LEVEL_W } from '../../core/process/belief/evidence'
import type { Evidence } from '../../core/materials/belief/reading'
import { fireBelief } from '../../core/process/belief/fireBelief'
import { firstBelief } from '../../core/process/belief/firstBelief'
import type { BeliefEntry } from '../../core/materials/belief/belief'
import { daySpread } from '../../core/materials/belief/steadiness'
import { FIRE_KINDS } from '../../core/materials/fire/fireKinds'
import { factorWindow, spreadWindow } from '../../core/maths/random/spreadWindow'
import type { Window } from '../../core/maths/random/window'
import type { Fire } from '../../contracts/kitchen'

/** One lasting number before and after the household's own readings. */
export interface LearnedNumber {
  /** Household name, such as `browning.semolina`. */
  readonly name: string
  readonly before: Window
  readonly now: Window
  readonly readings: readonly Evidence[]
  readonly unit: string
  /** How much it strays from one day to the next, one standard deviation: as a share of itself, or in its unit. */
  readonly day: { readonly usual: number, readonly here: number }
}

/**
 * What is believed of a fire's marks, before and now.
 *
 * @param fire of the kitchen
 * @param evidence readings that count
 * @param nowMs ms since 1970
 * @returns W for each mark, lowest first
 */
export function learnedMarks(
  fire: Fire,
  evidence: readonly Evidence[],
  nowMs: number,
): (LearnedNumber & { readonly label: string })[] {
  const readings = evidence.filter(one => one.name === `fire.${fire.id}`)
  const spread = FIRE_KINDS[fire.kind ?? 'gas'].spread
  const lasting = Math.sqrt(Math.max(0.01, spread ** 2 - daySpread('mainFire') ** 2))
  const slope = firstBelief().entries.find(one => one.name === 'mainLadder')!.spread
  return fire.marks.map(mark => {
    const place = Math.log(mark.watts / LEVEL_W)
    const at = fireBelief(lasting, slope, readings, place, nowMs)
    const bare = fireBelief(lasting, slope, [], place, nowMs)
    const window = (belief: typeof at): Window =>
      factorWindow(mark.watts * Math.exp(belief.level), Math.sqrt(belief.levelVariance))
    return {
      name: `fire.${fire.id}`,
      label: mark.label,
      before: window(bare),
      now: window(at),
      readings,
      unit: 'W',
      day: { usual: bare.day, here: at.day },
    }
  })
}

/**
 * Every other lasting number that has readings, before and now.
 *
 * @param evidence readings that count
 * @param nowMs ms since 1970
 * @returns one for each household name, those with most readings first
 */
export function learnedNumbers(evidence: readonly Evidence[], nowMs: number): LearnedNumber[] {
  const first = firstBelief()
  const names = [...new Set(evidence.map(one => one.name))].filter(
    name => !name.startsWith('fire.') && !name.startsWith('blend.'),
  )
  return names.flatMap((name): LearnedNumber[] => {
    const readings = evidence.filter(one => one.name === name)
    const entry = first.entries.find(one => one.name === readings[0]?.of)
    if (!entry) return []
    const now = combineReadings(entry, readings, nowMs)
    const day = { usual: daySpread(entry.name), here: fitReadings(entry, readings, nowMs).day }
    if (entry.kind !== 'factor')
      return [{ name, before: windowOfEntry(entry), now: windowOfEntry(now), readings, unit: entry.unit, day }]
    // Beside any kitchen's middle: its own unit says little to anyone at a stove.
    const beside = (one: BeliefEntry): Window => windowOfEntry({ ...one, median: one.median / entry.median })
    return [{ name, before: beside(entry), now: beside(now), readings, unit: 'times any kitchen\'s', day }]
  }).sort((p, q) => q.readings.length - p.readings.length)
}

function windowOfEntry({ median, spread, kind }: BeliefEntry): Window {
  return kind === 'factor' ? factorWindow(median, spread) : spreadWindow(median, spread)
}
