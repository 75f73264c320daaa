import type { Dish, Stage } from './dish'
import { roleOfStage, type StageRole } from './stageRole'

/** Minutes of stages at the usual amount, as common kitchen knowledge gives them (estimates), by stage id. */
const COMMON: Readonly<Partial<Record<StageRole, number>>> = {
  'nuts': 4,
  'nuts-last': 4,
  'roast-dry': 6,
  'roast': 8,
  'paste': 14,
  'pour': 1,
  'rain': 2,
  'take-up': 4,
  'swell': 4,
  'milk': 10,
  'liquid': 10,
  'sweeten': 5,
  'rub-in': 6,
  'enrich': 5,
  'enrich-2': 4,
  'enrich-3': 4,
  'finish': 5,
  'rest': 5,
  'cool': 30,
  'thicken': 8,
  'syrup': 10,
  'soften': 14,
  'soften-2': 10,
  'fat-in': 6,
  'press': 7,
  'wait': 15,
  'melt': 6,
  'boil-soft': 40,
  'roast-whole': 10,
}

/** Where a family is known to take longer or shorter. */
const BY_FAMILY: Readonly<Record<string, Readonly<Partial<Record<StageRole, number>>> | undefined>> = {
  'broken-wheat': { 'roast': 9, 'take-up': 18, 'swell': 18, 'sweeten': 7 },
  'vermicelli': { 'roast': 6, 'take-up': 6, 'milk': 8, 'sweeten': 4 },
  'wheat-flour': { 'roast': 14, 'take-up': 3, 'enrich': 4, 'thicken': 7, 'sweeten': 8 },
  'other-flour': { 'roast': 12, 'take-up': 3, 'enrich': 4, 'thicken': 7, 'sweeten': 8 },
  'gram-flour': { 'roast': 18, 'take-up': 3, 'enrich': 5 },
  'lentil': { 'roast': 12, 'take-up': 6, 'soften': 14, 'sweeten': 9, 'enrich': 8 },
  'vegetable': { 'soften': 16, 'milk': 22, 'sweeten': 9, 'enrich': 6 },
  'fruit': { 'soften': 15, 'sweeten': 9, 'enrich': 5 },
  'coconut-nut': { 'soften': 10, 'milk': 12, 'sweeten': 8, 'enrich': 6 },
}
/** Stages in the other vessel, by what is done in them. */
const BESIDE: Readonly<Partial<Record<Stage['does'], number>>> = { 'heat': 7, 'boil-syrup': 9, 'fry': 4, 'melt': 6 }

/**
 * The usual minutes of a stage at the dish's usual amount: the dish's own, then the family's, then those common to all.
 * Common kitchen knowledge, not measured; a household's own batches replace them.
 *
 * @param dish a dish with its stages
 * @param stage one of its stages
 * @returns minutes, above zero
 */
export function usualMinutes(dish: Pick<Dish, 'family' | 'usual'>, stage: Stage): number {
  const role = roleOfStage(stage)
  const own = dish.usual.minutes[stage.id] ?? (role && BY_FAMILY[dish.family]?.[role])
  if (own) return own
  if (stage.meets) return BESIDE[stage.does] ?? 6
  return (role && COMMON[role]) ?? ('minutes' in stage.until ? stage.until.minutes : 5)
}
