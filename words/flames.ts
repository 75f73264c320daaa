import type { FlameSchedule, FlameWish } from '../core/process/flame/flamePlan'
import type { TurnCue } from '../core/record/plan/flameTurn'
import type { CookPlan } from '../core/record/plan/plan'
import type { FlameMark } from '../core/materials/fire/flameMark'

/** When a flame of a schedule is taken. */
export const TURN_WORDS: Readonly<Record<TurnCue, string>> = {
  'start': 'start on',
  'aroma': 'at the smell',
  'pale': 'at first colour',
  'golden': 'at golden',
  'deep-golden': 'at deep golden',
  'brown': 'at brown',
  'burnt': 'at burnt',
}

/** A roast as it is wished for. */
export const ROAST_WORDS: Readonly<Record<FlameWish['step'], string>> = {
  'aroma': 'to its smell',
  'pale': 'to first colour',
  'golden': 'golden',
  'deep-golden': 'deep golden',
  'brown': 'brown',
  'burnt': 'burnt',
}

/**
 * A share as cooks say it.
 *
 * @param share of one
 * @returns such as `1 in 40`, `hardly ever`
 */
export function oneIn(share: number): string {
  if (share < 0.0025) return 'hardly ever'
  const many = 1 / share
  return `1 in ${many >= 20 ? Math.round(many / 10) * 10 : Math.max(1, Math.round(many))}`
}

/**
 * A schedule in one line.
 *
 * @param schedule its turns
 * @param marks of the fire
 * @returns such as `start on middle, at the smell low, at golden off`
 */
export function scheduleText({ turns }: Pick<FlameSchedule, 'turns'>, marks: readonly FlameMark[]): string {
  return turns.map(turn => `${TURN_WORDS[turn.cue]} ${markText(turn.mark, marks)}`).join(', ')
}

/**
 * A mark by its household name.
 *
 * @param id of the mark, or `off`
 * @param marks of the fire
 * @returns its name
 */
export function markText(id: string, marks: readonly FlameMark[]): string {
  return marks.find(mark => mark.id === id)?.label ?? id
}

/**
 * A mark of any fire of a plan by its household name.
 *
 * @param plan whose fires are looked through
 * @param id of the mark, or `off`
 * @returns its name
 */
export function planMarkText(plan: Pick<CookPlan, 'fires'>, id: string): string {
  return markText(id, Object.values(plan.fires).flatMap(fire => fire.marks))
}

/** Comes so often to the wanted colour that the rest is not worth a word. */
const NEARLY_ALL = 0.95

/**
 * How a roast under a schedule ends, each way once: at the wanted colour, or a step paler.
 *
 * @param name the wanted colour, in words
 * @param reaches how often it ends within a step of it, 0 to 1
 * @param onColour how often it comes to it itself, 0 to 1
 * @returns such as `golden 97 %`, or `golden 29 %, a step paler 71 %`
 */
export function roastEndsText(name: string, reaches: number, onColour: number): string {
  const percent = (share: number): string => `${Math.min(99, Math.round(100 * share))} %`
  return onColour >= NEARLY_ALL
    ? `${name} ${percent(reaches)}`
    : `${name} ${percent(onColour)}, a step paler ${percent(1 - onColour)}`
}
