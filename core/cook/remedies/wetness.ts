import { constant } from '../../materials/constants/constants'
import { familyOf } from '../../formulation/family/families'
import { remedy, some, type Bench } from './bench'
import { contentsG, dryG } from '../../process/program/contentsNow'
import type { Remedy } from './remedy'

/**
 * Least water that a step drives off or puts back where the forecast sees no difference, as a share of the mass
 * (estimate).
 */
const STEP = constant('repairStep')
/** Water that milk powder takes up at the stiffness of a halwa, g/g (estimate). */
const POWDER_TAKES = constant('powderTakes')

/** Water the mass should hold now so that it ends as the plan wants, with what is still to go in, g. */
export function wantedWaterG({ now, toCome, aim }: Bench): number {
  return Math.max(0, aim.waterG / Math.max(1e-9, dryG(aim)) * (dryG(now) + dryG(toCome)) - toCome.waterG)
}

/** Runny: drive the water off, or bind it. */
export function runny(bench: Bench): Remedy[] {
  const mass = contentsG(bench.now)
  const excess = Math.max(STEP * mass, bench.now.waterG - wantedWaterG(bench))
  const off = Math.min(excess, 0.8 * bench.now.waterG)
  return [
    remedy(bench, 'boil-off', { drivesOffG: off, weighs: true, notes: ['uncovered-higher', 'long-spoon'] }),
    ...binding(bench, off),
    ...powdered(bench, off),
  ]
}

/** Roasted base that takes up so much water at the dish's own stiffness; fresh produce binds nothing. */
function binding(bench: Bench, excessG: number): Remedy[] {
  const base = bench.plan.amounts.find(one => one.id === bench.plan.dish.base)
  const takes = bench.aim.waterG / Math.max(1e-9, bench.aim.solidsG)
  if (!base || familyOf(bench.plan.dish.family).fresh || (base.soakedG ?? 0) > 0 || !(takes > 0.2)) return []
  const adds = some(base.ingredient, excessG / (takes * base.composition.solids), base.composition)
  return adds.length > 0 ? [remedy(bench, 'bind-base', { adds, notes: ['roast-it-first', 'sprinkle-stir'] })] : []
}

function powdered(bench: Bench, excessG: number): Remedy[] {
  const adds = some('milk-powder', excessG / POWDER_TAKES, bench.pantry['milk-powder'])
  return adds.length > 0 ? [remedy(bench, 'bind-powder', { adds, notes: ['contains-milk', 'sprinkle-stir'] })] : []
}

/** Dry, crumbly: put hot liquid back, of the kind the dish is made with. */
export function dry(bench: Bench): Remedy[] {
  const missing = Math.max(STEP * contentsG(bench.now), wantedWaterG(bench) - bench.now.waterG)
  const milk = bench.plan.amounts.find(one =>
    bench.plan.dish.ingredients.some(each => each.id === one.id && each.part === 'milk'),
  )
  const water = some('water', missing, bench.pantry.water)
  return [
    ...(milk
      ? [
          remedy(bench, 'add-liquid', {
            adds: some(milk.ingredient, missing / Math.max(0.3, milk.composition.water), milk.composition),
            weighs: true,
            notes: ['hot', 'side-spoons', 'cover-low'],
          }),
        ]
      : []),
    ...(water.length > 0
      ? [remedy(bench, 'add-liquid', { adds: water, weighs: true, notes: ['hot', 'side-spoons', 'cover-low'] })]
      : []),
  ]
}

/**
 * Share of the grain's swelling that a hard centre lacks at least, and how much of it goes in at a time (estimates).
 */
const LACKS = constant('lacksSwelling')
const SWELL_S = constant('swellS')

/** Hard grain: plain hot water in spoons under a lid; sugar that is in already makes it slow. */
export function hardGrain(bench: Bench): Remedy[] {
  const { point, aim, now } = bench
  const full = Math.max(
    point.heldG,
    Math.min(aim.waterG, familyOf(bench.plan.dish.family).mostWaterPerSolids * now.solidsG),
  )
  const lacks = Math.max(LACKS * full, full - point.heldG)
  const sweet = now.sugarG / Math.max(1, now.sugarG + now.waterG)
  return [
    remedy(bench, 'swell-on', {
      adds: some('water', lacks, bench.pantry.water),
      takesS: SWELL_S * (1 + 2 * sweet),
      notes: ['hot', 'side-spoons', 'cover-low', ...(sweet > 0.3 ? ['sugar-slows' as const] : [])],
    }),
  ]
}

/** Gluey: cook on, drier, with a little fat. */
export function gluey(bench: Bench): Remedy[] {
  return [
    remedy(bench, 'cook-drier', {
      drivesOffG: STEP * 1.5 * contentsG(bench.now),
      weighs: true,
      notes: ['uncovered-higher', 'long-spoon'],
    }),
    ...fatSpoon(bench, 0.03),
  ]
}

/** Pasty produce: browned in a little more fat until it is dry. */
export function pasty(bench: Bench): Remedy[] {
  const excess = Math.max(STEP * contentsG(bench.now), bench.now.waterG - wantedWaterG(bench))
  const fat = fatSpoon(bench, 0.03)[0]
  return [
    remedy(bench, 'brown-in-fat', {
      adds: fat?.adds ?? [],
      drivesOffG: Math.min(excess, 0.8 * bench.now.waterG),
      weighs: true,
      notes: ['uncovered-higher', 'lift-not-mash'],
    }),
  ]
}

/** A spoon of the dish's own fat. */
export function fatSpoon(bench: Bench, share: number): Remedy[] {
  const fat = fatOf(bench)
  const adds = fat ? some(fat.ingredient, Math.max(10, share * contentsG(bench.now)), fat.composition) : []
  return adds.length > 0 ? [remedy(bench, 'fat-spoon', { adds, takesS: 60, notes: ['warm'] })] : []
}

/** The dish's own fat. */
export function fatOf({ plan }: Bench): Bench['plan']['amounts'][number] | undefined {
  return (
    plan.amounts.find(one => plan.dish.ingredients.some(each => each.id === one.id && each.part === 'fat'))
    ?? plan.amounts.find(one => one.composition.fat > 0.6)
  )
}
