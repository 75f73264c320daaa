import type { DishIngredient } from '../dish/dish'
import { CoreError } from '../../error'
import { capacityMl } from '../../materials/vessel/capacityMl'
import { BUBBLING, ROOM_TO_STIR } from '../../materials/vessel/panFit'
import type { ScaleRequest } from './request'
import { trayVolumeMl } from './trayVolumeMl'

/** What scaling needs to know of a dish as it stands. */
export interface ScaleFacts {
  readonly base: string
  readonly ingredients: readonly DishIngredient[]
  /** Base as it stands, g, and the dish's usual one, for `times`. */
  readonly baseG: number
  readonly usualBaseG: number
  readonly portionG: number
  /** Finished sweet for each g of base, g. */
  readonly finishedPerBase: number
  /** Greatest volume on the way for each g of base, ml. */
  readonly greatestMlPerBase: number
  /** Density of the finished sweet, g/ml. */
  readonly density: number
  readonly pan: { readonly innerDiameterMm: number, readonly depthMm: number } | null
}

/** Limits of a kitchen's cook: base in g. */
const LEAST_BASE = 5
const MOST_BASE = 20000
/** What a ball usually weighs where nobody says, g (estimate). */
const BALL_G = 30

/**
 * The weight of the base that a request asks for.
 *
 * @param request how much is wanted
 * @param facts the dish as it stands
 * @returns g
 * @throws CoreError `out-of-range` outside of 5 g to 20 kg; `unknown-name` where the dish has no such ingredient or no
 *   pan is chosen
 */
export function baseOf(request: ScaleRequest, facts: ScaleFacts): number {
  const baseG = wanted(request, facts)
  if (!(baseG >= LEAST_BASE && baseG <= MOST_BASE)) {
    throw new CoreError('out-of-range', 'baseOf.request', {
      given: Math.round(baseG * 10) / 10,
      min: LEAST_BASE,
      max: MOST_BASE,
    })
  }
  return baseG
}

function wanted(request: ScaleRequest, facts: ScaleFacts): number {
  switch (request.by) {
    case 'base':
      return request.massG
    case 'times':
      return facts.usualBaseG * request.factor
    case 'people':
      return (request.people * facts.portionG) / facts.finishedPerBase
    case 'finished':
      return request.massG / facts.finishedPerBase
    case 'tray':
      return (trayVolumeMl(request.tray, request.depthMm) * facts.density) / facts.finishedPerBase
    case 'balls':
      return (
        (request.count * (request.eachG ?? (facts.portionG <= 60 ? facts.portionG : BALL_G))) / facts.finishedPerBase
      )
    case 'pan': {
      if (!facts.pan) throw new CoreError('unknown-name', 'baseOf.pan', { missing: 'a pan' })
      return (capacityMl(facts.pan) * ROOM_TO_STIR) / (facts.greatestMlPerBase * BUBBLING)
    }
    default: {
      const one = facts.ingredients.find(known => known.id === request.id)
      if (!one || !(one.perBase > 0)) throw new CoreError('unknown-name', 'baseOf.id', { given: request.id })
      return request.massG / one.perBase
    }
  }
}
