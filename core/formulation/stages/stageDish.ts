import { formOf } from '../dish/forms'
import { CoreError } from '../../error'
import type { Dish, DishCard, Stage } from '../dish/dish'
import { afterStages } from './afterStages'
import { ballStages } from './ballStages'
import { beforeStages } from './beforeStages'
import { grainStages } from './grainStages'
import { reducedStages } from './reducedStages'
import type { Laid } from './shape'
import { slurryStages } from './slurryStages'
import { troublesOf } from '../dish/troublesOf'
import { familyOf } from '../family/families'

const PANS = new Set(['pan', 'small-pan', 'roasting-pan', 'pressure-pan'])

/**
 * Lays a dish out: its ordered stages follow from its ingredients and choices alone. Everything later reads these
 * stages.
 *
 * @param card ingredients, each with its part, and choices
 * @returns the dish with stages, vessels and keystone
 * @throws CoreError `cannot-work` with the first trouble's code, where the choices cannot go together
 * @example stageDish(card).stages.map(stage => stage.id) // ['nuts', 'roast', 'sweet-water', 'pour', …]
 */
export function stageDish(card: DishCard): Dish {
  const [trouble] = troublesOf(card)
  if (trouble) throw new CoreError('cannot-work', 'stageDish.choices', { trouble: trouble.code })
  const laid = layout(card)
  const stages = [...beforeStages(card), ...laid.stages, ...afterStages(card)]
  const fire = ordered(stages)
  return { ...card, stages: fire, keystone: laid.keystone, vessels: vesselsOf(fire) }
}

function layout(card: DishCard): Laid {
  const { sugar, pour, liquid, preparation } = card.choices
  if (familyOf(card.family).fresh || preparation === 'cooked-puree') return reducedStages(card)
  if (formOf(card).dry || sugar === 'off-fire' || liquid === 'none') return ballStages(card)
  return pour === 'slurry' ? slurryStages(card) : grainStages(card)
}

/** What is got ready stands before everything at the fire. */
function ordered(stages: readonly Stage[]): Stage[] {
  const rank = { before: 0, fire: 1, after: 2 } as const
  return [...stages].sort((p, q) => rank[p.phase ?? 'fire'] - rank[q.phase ?? 'fire'])
}

function vesselsOf(stages: readonly Stage[]): Dish['vessels'] {
  const ids = [...new Set(stages.map(one => one.vessel))].filter(id => id !== 'table')
  return ids.map(id => ({ id, kind: PANS.has(id) ? 'pan' as const : 'pot' as const }))
}
