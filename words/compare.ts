import { darker } from '../core/cook/compare/differences'
import type { Difference } from '../core/cook/compare/difference'
import { clockText } from './clockText'
import { STEP_WORDS } from './cook'
import { wordFor } from './wordFor'
import type { StageRole } from '../core/formulation/dish/stageRole'

const NUMBERS = ['no', 'one', 'two', 'three', 'four', 'five', 'six']

/** How weights are said, and what ingredients are called. */
export interface CompareWords { grams(massG: number): string, ingredient(id: string): string }

/**
 * A difference between two batches, in a few words.
 *
 * @param one the difference
 * @param turn what the turning point is called, such as `poured`
 * @param say how this house reads weights and names
 * @returns such as `flame one mark lower`
 */
export function differenceText(one: Difference, turn: string, say: CompareWords): string {
  switch (one.of) {
    case 'dish':
      return `version ${one.version} of the dish, not ${one.than}`
    case 'base':
      return `${say.grams(Math.abs(one.byG))} ${one.byG < 0 ? 'less' : 'more'} of the base`
    case 'ingredient':
      return `${say.ingredient(one.ingredient)} ${say.grams(Math.abs(one.byG))} ${one.byG < 0 ? 'less' : 'more'} to the same base`
    case 'pan':
      return `in the ${one.is.toLowerCase()}, not the ${one.was.toLowerCase()}`
    case 'fire':
      return `on the ${one.is.toLowerCase()}, not the ${one.was.toLowerCase()}`
    case 'flame':
      return `flame ${NUMBERS[Math.abs(one.marks)] ?? Math.abs(one.marks)} ${Math.abs(one.marks) === 1 ? 'mark' : 'marks'} ${one.marks < 0 ? 'lower' : 'higher'}`
    case 'turn':
      return `${turn} ${clockText(Math.abs(one.byS))} ${one.byS < 0 ? 'earlier' : 'later'}`
    case 'after-turn':
      return `${clockText(Math.abs(one.byS))} ${one.byS < 0 ? 'shorter' : 'longer'} after that`
    case 'end':
      return `off the fire ${clockText(Math.abs(one.byS))} ${one.byS < 0 ? 'earlier' : 'later'}`
    case 'colour':
      return `roasted ${darker(one.is, one.was) ? 'darker' : 'lighter'}: ${wordFor(STEP_WORDS, one.is) ?? one.is}, not ${wordFor(STEP_WORDS, one.was) ?? one.was}`
    case 'weight':
      return `${say.grams(Math.abs(one.byG))} ${one.byG < 0 ? 'lighter' : 'heavier'} at the end from the same base${one.weighed ? '' : ', by the forecast'}`
    case 'room':
      return `room ${Math.round(Math.abs(one.byK))} K ${one.byK < 0 ? 'cooler' : 'warmer'}`
    case 'added':
      return 'more went in on the way'
    case 'repaired':
      return 'put right on the way'
    case 'forgotten':
      return 'something forgotten'
    case 'unstirred':
      return 'left unstirred'
  }
}

/** What a cook does at the turning point, said of the past, by the stage that begins or ends there. */
const TURNED: Readonly<Partial<Record<StageRole, string>>> = {
  'pour': 'poured',
  'rain': 'grain in',
  'milk': 'milk in',
  'liquid': 'liquid in',
  'sweeten': 'sugar in',
  'cool': 'off the fire',
  'thicken': 'thickened',
  'soften': 'into the syrup',
}

/**
 * What a cook did at the turning point.
 *
 * @param stage of the keystone
 * @returns such as `poured`
 */
export function turnedText(stage: string): string {
  return wordFor(TURNED, stage) ?? 'turned'
}
