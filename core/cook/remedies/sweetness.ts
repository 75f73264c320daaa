import { formOf } from '../../formulation/dish/forms'
import { constant } from '../../materials/constants/constants'
import { familyOf } from '../../formulation/family/families'
import { remedy, some, type Bench } from './bench'
import { dryG } from '../../process/program/contentsNow'
import type { Remedy } from './remedy'
import { fatOf } from './wetness'

/** A change of sweetness that those who eat it notice, as a share (estimate). */
const NOTICED = constant('noticedSweet')
/** Closer to the plan than this and the taste itself is what differs. */
const AS_PLANNED = 0.03

/** Sugar over everything dry once all is in: what it comes to and what the plan wants. */
function ratios({ now, toCome, aim }: Bench) {
  const dry = dryG(now) + dryG(toCome)
  const sugar = now.sugarG + toCome.sugarG
  return { dry, sugar, is: sugar / Math.max(1e-9, dry), wanted: aim.sugarG / Math.max(1e-9, dryG(aim)) }
}

/** Too sweet: more of everything but sugar, in the dish's own proportions; or milk solids. */
export function tooSweet(bench: Bench): Remedy[] {
  const { aim, plan, pantry } = bench
  const { dry, sugar, is, wanted } = ratios(bench)
  const target = is > wanted * (1 + AS_PLANNED) ? wanted : is * (1 - NOTICED)
  if (!(target > 0) || !(sugar > 0)) return []
  const more = sugar / target - dry
  const rest = Math.max(1e-9, aim.solidsG + aim.fatG)
  const base = plan.amounts.find(one => one.id === plan.dish.base)
  const fat = fatOf(bench)
  const liquid = more * aim.waterG / Math.max(1e-9, dryG(aim))
  const adds =
    base && !familyOf(plan.dish.family).fresh
      ? [
          ...some(
            base.ingredient,
            (more * aim.solidsG) / rest / Math.max(0.05, base.composition.solids),
            base.composition,
          ),
          ...(fat
            ? some(fat.ingredient, (more * aim.fatG) / rest / Math.max(0.05, fat.composition.fat), fat.composition)
            : []),
          ...some('water', liquid, pantry.water),
        ]
      : []
  const solids = pantry.khoya
    ? some('khoya', more / Math.max(0.05, 1 - pantry.khoya.water - pantry.khoya.sugar), pantry.khoya)
    : []
  return [
    ...(adds.length > 0 ? [remedy(bench, 'dilute', { adds, notes: ['roast-beside', 'hot', 'more-of-it'] })] : []),
    ...(solids.length > 0
      ? [remedy(bench, 'add-milk-solids', { adds: solids, notes: ['contains-milk', 'crumble-in'] })]
      : []),
  ]
}

/** Not sweet enough: the dish's own sweetener, exactly what was forgotten where it was. */
export function notSweet(bench: Bench): Remedy[] {
  const { plan, cook } = bench
  const sweeteners = plan.amounts.filter(one =>
    plan.dish.ingredients.some(each => each.id === one.id && (each.part === 'sugar' || each.part === 'jaggery')),
  )
  const own =
    sweeteners[0] ?? (bench.pantry.sugar ? { ingredient: 'sugar', composition: bench.pantry.sugar } : undefined)
  if (!own) return []
  const { dry, sugar, is, wanted } = ratios(bench)
  const target = Math.min(0.9, is < wanted * (1 - AS_PLANNED) ? wanted : Math.max(is * (1 + NOTICED), 0.02))
  const forgotten = sweeteners.filter(one => cook.forgotten.some(each => each.what === one.id))
  const adds =
    forgotten.length > 0
      ? forgotten.flatMap(one => some(one.ingredient, one.massG, one.composition))
      : some(
          own.ingredient,
          Math.max(0, (target * dry - sugar) / (1 - target)) / Math.max(0.3, own.composition.sugar),
          own.composition,
        )
  if (adds.length === 0) return []
  const off = formOf(plan.dish).dry
  return [
    remedy(bench, forgotten.length > 0 ? 'add-forgotten' : 'add-sugar', {
      adds,
      notes: off ? ['powdered-off-fire'] : ['runs-then-tightens'],
      ...(off ? { takesS: 120 } : {}),
    }),
  ]
}
