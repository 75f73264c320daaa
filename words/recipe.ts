import type { Dish } from '../core/formulation/dish/dish'
import { usualMinutes } from '../core/formulation/dish/usualMinutes'
import { SIGN_WORDS } from './cook'
import { stageCueText, stageName, watchText } from './stages'

/** One step as it is printed or given to others. */
export interface StepText { readonly name: string, readonly text: string }

/**
 * The steps of a dish in sentences.
 *
 * @param dish with its stages
 * @param goesIn what goes in at a stage, in words; empty where nothing does
 * @returns one step a stage, in order
 */
export function stepTexts(dish: Dish, goesIn: (stage: Dish['stages'][number]) => string): StepText[] {
  return dish.stages.map((stage) => {
    const adds = goesIn(stage)
    const minutes = Math.round(usualMinutes(dish, stage))
    const until = 'sign' in stage.until ? `until ${SIGN_WORDS[stage.until.sign]?.waited ?? stage.until.sign}, ` : ''
    const watch = (stage.watch ?? []).map(code => watchText(code)).filter(Boolean).join(' ')
    return {
      name: stageName(stage),
      text: `${stageCueText(stage)}${adds ? `: ${adds}` : ''}; ${until}about ${minutes} min. ${watch}`.trim(),
    }
  })
}
