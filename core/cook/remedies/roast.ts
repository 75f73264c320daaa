import { boundaryIndex } from '../../formulation/dish/boundaryIndex'
import { remedy, some, type Bench } from './bench'
import type { Remedy } from './remedy'
import { fatOf, fatSpoon } from './wetness'

/** Whether the turning point of the dish is still to come. */
export function beforeTurn({ plan, cook }: Bench): boolean {
  return cook.stage < boundaryIndex(plan.dish, plan.dish.keystone)
}

/** Lumps: press them while it roasts; mash and sieve once it is wet. */
export function lumpy(bench: Bench): Remedy[] {
  return beforeTurn(bench)
    ? [remedy(bench, 'press-break', { notes: ['lower-scrape'] })]
    : [remedy(bench, 'mash-sieve', { notes: ['hot-sieve'] }), remedy(bench, 'press-break')]
}

/** Raw taste: roast on while it can still be roasted; afterwards a little drier and fatter is all. */
export function rawTaste(bench: Bench): Remedy[] {
  return beforeTurn(bench)
    ? [remedy(bench, 'roast-on', { notes: ['low-stir-always'] })]
    : [remedy(bench, 'cook-drier', { takesS: 300, notes: ['lower-scrape'] }), ...fatSpoon(bench, 0.03)]
}

/** Burnt: nothing burnt is used again. Where only the base caught, what lies above it may be lifted out. */
export function scorched(bench: Bench): Remedy[] {
  const base = bench.plan.amounts.find(one => one.id === bench.plan.dish.base)
  const fat = fatOf(bench)
  const anew = [
    ...(base ? some(base.ingredient, base.massG, base.composition) : []),
    ...(fat ? some(fat.ingredient, fat.massG, fat.composition) : []),
  ]
  return [
    remedy(bench, 'lift-out-clean', { takesS: 60, notes: ['do-not-scrape', 'taste-after'] }),
    { ...remedy(bench, 'start-again', { notes: ['no-liquid'] }), adds: anew },
  ]
}

/** Milk split: lower, stir on; it turns soft as it thickens. */
export function milkSplit(bench: Bench): Remedy[] {
  return [remedy(bench, 'lower-stir', { notes: ['nothing-sour'] }), remedy(bench, 'cook-through')]
}

/** Milk catching: lower, stir above it; what is clean may be lifted out. */
export function milkCatches(bench: Bench): Remedy[] {
  return [
    remedy(bench, 'lower-stir', { notes: ['scrape-not-if-brown'] }),
    remedy(bench, 'lift-out-clean', { takesS: 60, notes: ['do-not-scrape', 'taste-after'] }),
  ]
}
