import { formOf } from '../../formulation/dish/forms'
import { itemAt } from '../../maths/table/itemAt'
import { firstBelief } from '../../process/belief/firstBelief'
import type { Evidence } from '../../materials/belief/reading'
import { bringBack } from '../../cook/after/bringBack'
import { labToHex } from '../../materials/colour/labToHex'
import { volumesOf } from '../../formulation/yield/volumes'
import type { Ingredient } from '../../materials/composition/ingredient'
import type { Dish, DishCard } from '../../formulation/dish/dish'
import { mainVessel } from '../../formulation/dish/mainVessel'
import { stageDish } from '../../formulation/stages/stageDish'
import { CoreError } from '../../error'
import type { Forecast } from '../../record/plan/forecast'
import { sweetKeeping } from '../../process/keeping/sweetKeeping'
import { wentIn } from '../../process/keeping/wentIn'
import type { CookPlan } from '../../record/plan/plan'
import { placesOf } from '../../formulation/dish/placesOf'
import { planCook, type ChosenFire, type ChosenPan } from '../../cook/planning/planCook'
import { USUAL_ROOM_C } from '../../record/plan/usualRoom'
import { finishedShare } from '../../formulation/proportions/finishedShare'
import { contentsG } from '../../process/program/contentsNow'
import { capacityMl } from '../../materials/vessel/capacityMl'
import { BUBBLING, ROOM_TO_STIR } from '../../materials/vessel/panFit'
import type { Durations, ServedHow, VesselKind } from '../problem/day'
import { dishSteps } from './dishSteps'
import type { SpreadDish } from './spread'
import { stageSpans } from './stageSpans'
import { canThicken, THICKENED, thickenedG, thickenedSpan } from './thickenedMilk'

/** A pan of this volume or more counts as a large one, ml. */
export const LARGE_PAN_ML = 3000
/** Colours along an arch. */
const SHADES = 22
/** A flame of which nothing is known, W, and the layer a dish is warmed in, mm (estimates). */
const USUAL_W = 800
const WARMED_MM = 40
const SEED = 20261126

/** What of the kitchen a day needs. */
export interface DayKitchen {
  readonly pans: readonly (ChosenPan & { readonly kind: 'pan' | 'pot' | 'pressure' })[]
  readonly fires: readonly ChosenFire[]
  readonly trays?: readonly { readonly id: string, readonly name: string }[]
  readonly measures: readonly {
    readonly id: string
    readonly name: string
    readonly kind: string
    readonly volumeMl: number
  }[]
  readonly settings: readonly { readonly altitudeM?: number | undefined, readonly roomC?: number | undefined }[]
}

/** A dish that is to stand on a day. */
export interface Wanted {
  readonly id: string
  readonly card: DishCard
  readonly baseG: number
  readonly meal: string
  readonly serve: ServedHow
  readonly thickens?: boolean | undefined
  readonly chills?: boolean | undefined
}

/**
 * The cook of a dish on a day, for its forecast: in the smallest pan that holds it, on the household's first fire.
 *
 * @param wanted the dish and its amount
 * @param kitchen what the household has
 * @param ingredients the table
 * @param evidence what was learned
 * @throws CoreError `cannot-work` where there is no pan, pot, fire or cup
 */
export function cookOnDay(
  wanted: Wanted,
  kitchen: DayKitchen,
  ingredients: readonly Ingredient[],
  evidence: readonly Evidence[],
): { readonly plan: CookPlan, readonly large: boolean } {
  const dish = stageDish(wanted.card)
  const row = rowsOf(ingredients)
  const pan = panFor(
    volumesOf(dish, wanted.baseG, row).greatestMl,
    kitchen.pans.filter(one => one.kind === 'pan'),
  )
  const pot = kitchen.pans.find(one => one.kind === 'pot') ?? pan
  const pressure = kitchen.pans.find(one => one.kind === 'pressure') ?? pot
  const cup = kitchen.measures.find(one => one.kind === 'cup')
  const [fire, other] = kitchen.fires
  if (!pan || !pot || !pressure || !fire || !cup)
    throw new CoreError('cannot-work', 'cookOnDay.kitchen', { missing: !pan ? 'pan' : !fire ? 'fire' : 'cup' })
  const finished = finishedShare(wanted.card, row).perBase
  const plan = planCook(
    `day-${wanted.id}`,
    {
      dish,
      baseG: wanted.baseG,
      ingredients,
      cup,
      ...placesOf(dish, {
        pan,
        pot,
        pressure,
        second: kitchen.pans.find(one => one.kind === 'pan' && one.id !== pan.id),
        fire,
        otherFire: other ?? fire,
      }),
      flames: {},
      people: Math.min(500, Math.max(0.5, Math.round(((wanted.baseG * finished) / dish.portionG) * 2) / 2)),
      firstBelief: firstBelief(),
      evidence,
      seed: SEED,
      airC: kitchen.settings[0]?.roomC ?? USUAL_ROOM_C,
      altitudeM: kitchen.settings[0]?.altitudeM ?? 0,
    },
    0,
  )
  return { plan, large: capacityMl(pan) >= LARGE_PAN_ML }
}

/**
 * A dish on a day: its steps from its stages and the windows of its forecast, and the colours of its arch.
 *
 * @param wanted the dish and its amount
 * @param cook from `cookOnDay`
 * @param forecast of that cook before it is begun
 * @param ingredients the table, for what perishes
 */
export function dishOnDay(
  wanted: Wanted,
  cook: { readonly plan: Pick<CookPlan, 'dish' | 'amounts' | 'fires' | 'belief' | 'airC'>, readonly large: boolean },
  forecast: Forecast,
  ingredients: readonly Pick<Ingredient, 'id' | 'kind'>[],
): SpreadDish {
  const { dish } = cook.plan
  const stands = standsOnDay(cook.plan, forecast, ingredients)
  const milkG = thickenedG(cook.plan.amounts)
  const spans = {
    ...stageSpans(dish, forecast),
    ...(wanted.thickens && canThicken(milkG) ? { [THICKENED.step]: thickenedSpan(milkG, cook.plan) } : {}),
  }
  const {
    activities,
    lags,
    holds,
    hotPour,
    sink,
    ready,
    stands: bears,
  } = dishSteps(dish, spans, { ...wanted, stands, large: cook.large })
  const points = forecast.points
  const colours =
    points.length === 0
      ? []
      : Array.from({ length: SHADES }, (_, i) =>
          labToHex(itemAt(points, Math.round((i / (SHADES - 1)) * (points.length - 1))).colour),
        )
  return {
    ...wanted,
    steps: { activities, lags, holds, sink, ready, stands: bears ?? null, ...(hotPour ? { hotPour } : {}) },
    colours,
    turn: turnOf(
      dish,
      activities.map(one => one.id),
    ),
  }
}

/**
 * What perishes of it: minutes it stands outside the cold, and minutes that warm all of it through; undefined where it
 * keeps.
 */
function standsOnDay(
  plan: Pick<CookPlan, 'dish' | 'amounts' | 'fires' | 'airC'>,
  forecast: Forecast,
  ingredients: readonly Pick<Ingredient, 'id' | 'kind'>[],
): { readonly most: number, readonly warms: Durations } | undefined {
  const kinds = new Map(ingredients.map(row => [row.id, row.kind]))
  const mass = wentIn(plan.amounts, forecast.points.at(-1)?.waterG ?? 0)
  const { keeping } = sweetKeeping(plan, mass.contents, mass.invertShare, formOf(plan.dish).shapedBy === 'hands', id =>
    kinds.get(id),
  )
  if (keeping.standsH === null) return undefined
  const marks = plan.fires[mainVessel(plan.dish)]?.marks ?? []
  const watts = Math.min(6000, Math.max(20, marks[Math.floor(marks.length / 2)]?.watts ?? USUAL_W))
  const massG = Math.min(50_000, Math.max(1, contentsG(mass.contents)))
  const seconds = bringBack(mass.contents, massG, 'hot', true, WARMED_MM, plan.airC, watts, keeping.standsH).warmed!
    .seconds
  const minutes = Math.max(3, Math.round(seconds / 60))
  return {
    most: 60 * keeping.standsH,
    warms: [Math.max(2, Math.round(minutes * 0.8)), minutes, Math.ceil(minutes * 1.5)],
  }
}

function turnOf(dish: Dish, steps: readonly string[]): string | null {
  const { stage } = dish.keystone
  return steps.includes(stage) ? stage : null
}

/** The smallest pan that holds a content with room to stir, or the largest. */
function panFor(greatestMl: number, pans: DayKitchen['pans']): DayKitchen['pans'][number] | undefined {
  const sorted = [...pans].sort((a, b) => capacityMl(a) - capacityMl(b))
  return sorted.find(pan => greatestMl * BUBBLING <= capacityMl(pan) * ROOM_TO_STIR) ?? sorted.at(-1)
}

function rowsOf(ingredients: readonly Ingredient[]): (id: string) => Ingredient {
  const rows = new Map(ingredients.map(row => [row.id, row]))
  return (id) => {
    const row = rows.get(id)
    if (!row) throw new CoreError('unknown-name', 'cookOnDay.ingredients', { missing: id })
    return row
  }
}

/**
 * Fires and vessels of a day as the household has them; a pressure pan, a grinder and room for
 * three dishes in the cold are taken to be there.
 *
 * @param kitchen what the household has
 */
export function vesselsOfKitchen(kitchen: Pick<DayKitchen, 'pans' | 'fires' | 'trays'>): {
  fires: { id: string, name: string }[]
  vessels: { id: string, name: string, kind: VesselKind, litres?: number }[]
} {
  const litres = (pan: DayKitchen['pans'][number]): number => Math.round(capacityMl(pan) / 100) / 10
  return {
    fires: kitchen.fires.map(({ id, name }) => ({ id, name })),
    vessels: [
      ...kitchen.pans.map(pan => ({
        id: pan.id,
        name: pan.name,
        kind:
          pan.kind === 'pot'
            ? ('pot' as const)
            : pan.kind === 'pressure'
              ? ('ppan' as const)
              : capacityMl(pan) >= LARGE_PAN_ML
                ? ('heavyL' as const)
                : ('heavy' as const),
        litres: litres(pan),
      })),
      ...(kitchen.pans.some(pan => pan.kind === 'pressure')
        ? []
        : [{ id: 'pressure-pan', name: 'Pressure pan', kind: 'ppan' as const }]),
      { id: 'grinder', name: 'Grinder', kind: 'grinder' as const },
      ...['Upper shelf', 'Middle shelf', 'Lower shelf'].map((name, i) => ({
        id: `cold-${i + 1}`,
        name,
        kind: 'cold' as const,
      })),
      ...(kitchen.trays ?? []).map(({ id, name }) => ({ id, name, kind: 'tray' as const })),
    ],
  }
}

/**
 * How a dish is usually served: slabs and balls at room temperature, the others warm.
 *
 * @param card the dish
 */
export function usualServing(card: Pick<DishCard, 'choices'>): ServedHow {
  return formOf(card).shapedBy === 'spoon' ? 'warm' : 'room'
}
