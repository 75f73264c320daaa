import { constant } from '../../materials/constants/constants'
import { familyOf } from '../../formulation/family/families'
import { remedy, some, type Bench } from './bench'
import { contentsG } from '../../process/program/contentsNow'
import type { Remedy } from './remedy'
import { fatSpoon } from './wetness'

/** Fat that is taken to run out where the forecast sees none, as a share of what is in it (estimate). */
const SEEN = constant('fatSeen')
/** By how much less fat balls stand, and more of it binds crumbs, as shares of the mass (estimates). */
const FIRMER = constant('firmer')
const BINDS = constant('binds')
/** Chilling a tray of balls, s (estimate). */
const CHILL_S = constant('chillS')

/** Greasy: lift the fat off, or give it more base to hold it. */
export function greasy(bench: Bench): Remedy[] {
  const { now, point, plan } = bench
  const out = Math.min(now.fatG, Math.max(SEEN * now.fatG, point.fatOutG ?? 0))
  if (!(out >= 1)) return []
  const base = plan.amounts.find(one => one.id === plan.dish.base)
  const family = familyOf(plan.dish.family)
  const adds =
    base && !family.fresh
      ? some(
          base.ingredient,
          out / (family.mostFatPerSolids * Math.max(0.05, base.composition.solids)),
          base.composition,
        )
      : []
  return [
    remedy(bench, 'lift-off', { liftsFatG: Math.round(out), takesS: 60, notes: ['tip-and-spoon'] }),
    ...(adds.length > 0 ? [remedy(bench, 'bind-base', { adds, notes: ['roast-it-first', 'sprinkle-stir'] })] : []),
  ]
}

/** Sticks to the pan: it is too early, or wants a spoon of fat. */
export function sticking(bench: Bench): Remedy[] {
  return [remedy(bench, 'cook-on', { notes: ['lower-scrape'] }), ...fatSpoon(bench, 0.02)]
}

/** Balls fall apart: warm them, and a spoon of warm fat. */
export function ballsCrumble(bench: Bench): Remedy[] {
  return [remedy(bench, 'warm-through', { takesS: 120, notes: ['palms-greased'] }), ...fatSpoon(bench, BINDS)]
}

/** Balls flatten: chill them; or more roasted flour. */
export function ballsFlatten(bench: Bench): Remedy[] {
  const base = bench.plan.amounts.find(one => one.id === bench.plan.dish.base)
  const adds = base ? some(base.ingredient, contentsG(bench.now) * (1 / (1 - FIRMER) - 1), base.composition) : []
  return [
    remedy(bench, 'chill', { takesS: CHILL_S, notes: ['keep-covered'] }),
    ...(adds.length > 0 ? [remedy(bench, 'more-flour', { adds, notes: ['roast-it-first'] })] : []),
  ]
}
