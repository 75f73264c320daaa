import type { Lab } from '../../materials/colour/lab'
import type { Belief } from '../../materials/belief/belief'
import { beliefFor } from '../../process/belief/beliefFor'
import type { Evidence } from '../../materials/belief/reading'
import { preparationOf } from '../../formulation/dish/basesOf'
import type { Dish } from '../../formulation/dish/dish'
import type { Allergen, Ingredient, Kind, Yields } from '../../materials/composition/ingredient'
import { withFreeShare } from '../../formulation/dish/freeShare'
import { withPressureWater } from '../../formulation/dish/pressure'
import { scaledMinutes } from '../../formulation/dish/scaledMinutes'
import { CoreError } from '../../error'
import { FIRE_KINDS, type FireKind } from '../../materials/fire/fireKinds'
import type { FlameTurn } from '../../record/plan/flameTurn'
import { guardHeat, middleRun } from '../../process/flame/guardHeat'
import { UNKNOWN_SMOKE_C } from '../../process/flame/heatLimits'
import { MODEL_VERSION } from '../../process/forecast/modelVersion'
import { keptCold } from '../../process/keeping/keptCold'
import { soakWater } from '../../formulation/proportions/waterOf'
import { requireRange } from '../../requireRange'
import type { Material } from '../../materials/vessel/vessel'
import { blendedBelief } from '../../process/usual/blendedBelief'
import { blendWeight } from '../../process/usual/blendWeight'
import { learnedMinutes } from '../../process/learning/learnedMinutes'
import { guessFlames } from '../../record/plan/guessFlames'
import type { CookPlan, PlanFire, PlanVessel } from '../../record/plan/plan'
import type { FlameMark } from '../../materials/fire/flameMark'
import type { Composition } from '../../materials/composition/composition'

/** A pan of the kitchen as a plan needs it. */
export interface ChosenPan {
  readonly id: string
  readonly name: string
  readonly material: Material
  readonly innerDiameterMm: number
  readonly depthMm: number
  readonly massG: number
  readonly massOrigin: string
  readonly coated: boolean
}

/** A fire of the kitchen as a plan needs it. */
export interface ChosenFire {
  readonly id: string
  readonly name: string
  readonly marks: readonly FlameMark[]
  readonly kind?: FireKind | undefined
}

/** As much of an ingredient as a plan needs; one of the household's own comes whole. */
export interface PlannedRow {
  readonly id: string
  readonly composition: Composition
  readonly colour?: Lab
  readonly yields?: Yields
  readonly allergens?: readonly Allergen[]
  readonly kind?: Kind
  readonly smokeC?: number | undefined
  readonly own?: undefined
}

/** What the household chose for a cook. */
export interface CookChoices {
  readonly dish: Dish
  readonly baseG: number
  readonly ingredients: readonly (PlannedRow | Ingredient)[]
  readonly cup: { readonly id: string, readonly name: string, readonly volumeMl: number }
  /** Pans and fires by the dish's vessel ids. */
  readonly pans: Readonly<Record<string, ChosenPan>>
  readonly fires: Readonly<Record<string, ChosenFire>>
  /** Flame marks by stage id; what is not given is guessed. */
  readonly flames: Readonly<Record<string, string>>
  /** Turns of the flame in the last roast, from a flame plan. */
  readonly turns?: readonly FlameTurn[] | undefined
  readonly people: number
  readonly firstBelief: Belief
  readonly evidence: readonly Evidence[]
  readonly seed: number
  /** °C and m above the sea. */
  readonly airC: number
  readonly altitudeM: number
  readonly thermometerK?: number | undefined
}

/**
 * Makes the plan of a cook from what was chosen.
 *
 * @param id of the cook
 * @param choices dish, amount (base 5 to 20 000 g), vessels, fires, marks
 * @param plannedAt ms since 1970
 * @returns the plan, without a forecast
 * @throws CoreError `unknown-name` where an ingredient is not in the table, `out-of-range` for the amount
 */
export function planCook(id: string, choices: CookChoices, plannedAt: number): CookPlan {
  const { baseG, cup, pans, fires } = choices
  const rowOf = (id: string): CookChoices['ingredients'][number] | undefined =>
    choices.ingredients.find(known => known.id === id)
  requireRange('planCook.baseG', baseG, 5, 20000)
  const laid = scaledMinutes(
    withFreeShare(learnedMinutes(choices.dish, choices.evidence), id => rowOf(id)?.allergens ?? []),
    baseG,
  )
  const dish = withPressureWater(laid, baseG, id => rowOf(id)?.composition.water ?? 0)
  const planFires = Object.fromEntries(Object.entries(fires).map(([vessel, fire]) => [vessel, planFire(fire)]))
  const flames = { ...guessFlames(dish, fires), ...choices.flames }
  const plan: CookPlan = {
    id, dish,
    amounts: dish.ingredients.map((one) => {
      const row = rowOf(one.ingredient)
      if (!row) throw new CoreError('unknown-name', 'planCook.ingredients', { missing: one.ingredient })
      const massG = Math.round(one.perBase * baseG * 100) / 100
      const preparation = preparationOf(dish, one)
      const soakedG = row.yields ? massG * soakWater({ yields: row.yields }, preparation) : 0
      return {
        id: one.id,
        ingredient: one.ingredient,
        massG,
        composition: row.composition,
        ...(preparation !== undefined && row.colour ? { look: row.colour } : {}),
        ...(row.own ? { own: row } : {}),
        ...(soakedG > 0 ? { soakedG } : {}),
        ...(row.kind === 'fat' ? { smokeC: row.smokeC ?? UNKNOWN_SMOKE_C } : {}),
      }
    }),
    vessels: Object.fromEntries(Object.entries(pans).map(([vessel, pan]) => [vessel, planVessel(pan)])),
    fires: planFires,
    flames,
    cup: { id: cup.id, name: cup.name, volumeMl: cup.volumeMl },
    people: choices.people,
    belief: beliefFor(choices.firstBelief, [], { dish, fires: planFires, flames }),
    seed: choices.seed,
    modelVersion: MODEL_VERSION,
    airC: choices.airC,
    altitudeM: choices.altitudeM,
    plannedAt,
    forecast: null,
  }
  // Usual minutes are the common kitchen's, of a flame left as it is: own readings and turns come after they were
  // blended in.
  const first = blendedBelief(
    choices.firstBelief,
    { ...plan, dish: { ...dish, usual: choices.dish.usual } },
    blendWeight(choices.evidence),
  )
  const blended = { ...plan, belief: beliefFor(first, choices.evidence, plan, plannedAt > 0 ? plannedAt : undefined) }
  const guarded = guardHeat({
    ...blended,
    ...(choices.turns && choices.turns.length > 0 ? { turns: choices.turns } : {}),
    ...(choices.thermometerK === undefined ? {} : { thermometerK: choices.thermometerK }),
  }, choices.flames)
  return keptCold(guarded, middleRun(guarded).points.at(-1)?.waterG ?? 0, id => rowOf(id)?.kind)
}

function planFire(fire: ChosenFire): PlanFire {
  const { id, name, marks, kind } = fire
  return kind === undefined ? { id, name, marks } : { id, name, marks, kind, lagS: FIRE_KINDS[kind].lagS }
}

function planVessel(pan: ChosenPan): PlanVessel {
  const { innerDiameterMm, depthMm, massG, material } = pan
  return {
    id: pan.id, name: pan.name, coated: pan.coated, massGuessed: pan.massOrigin === 'guess',
    vessel: { innerDiameterMm, depthMm, massG, material },
  }
}
