import type { BatchRecord } from '../compare/difference'
import type { Part } from '../../formulation/dish/dish'
import { roleRatio } from '../../formulation/proportions/roleRatio'
import { spansOf } from '../../formulation/dish/spans'
import type { FaultCause } from './causes'

/** What a cook has said outright. */
export type Statement =
  | 'slip-poured-early'
  | 'slip-liquid-cold'
  | 'slip-flame-high'
  | 'forgot-fat'
  | 'forgot-sugar'
  | 'forgot-liquid'
  | 'added-fat'
  | 'added-sugar'
  | 'added-liquid'
  | 'kept-back'
  | 'dish-fat'
  | 'dish-sugar'
  | 'dish-liquid'

/** What was told, how often, and how loud it speaks for which causes. */
export type StatedClue = readonly [of: Statement, times: number, speaks: Readonly<Partial<Record<FaultCause, number>>>]

/** A word of the cook weighs as much as two features that lie two deviations off (estimate). */
const LOUD = 3
const SOME = 1.2

const FAT: readonly Part[] = ['fat']
const SUGAR: readonly Part[] = ['sugar', 'jaggery', 'condensed']
const LIQUID: readonly Part[] = ['water', 'milk', 'juice']

/**
 * What a cook has said outright of a batch: slips, what was forgotten, added or kept back.
 *
 * @param record the batch
 * @returns clues
 */
export function statementsOf({ plan, cook }: BatchRecord): StatedClue[] {
  const partOf = (id: string): Part | undefined => plan.dish.ingredients.find(one => one.id === id)?.part
  const forgot = (parts: readonly Part[]): number =>
    cook.forgotten.filter(one => parts.includes(partOf(one.what) ?? 'base')).length
  const added = (share: 'fat' | 'sugar' | 'water'): number =>
    cook.changes.reduce(
      (sum, one) => sum + one.what.adds.reduce((all, add) => all + add.massG * add.composition[share], 0),
      0,
    )
  const slip = (what: string): number => cook.slips.filter(one => one.what === what).length
  const clues: StatedClue[] = [
    ['slip-poured-early', slip('poured-early'), { 'roast-short': LOUD }],
    ['slip-liquid-cold', slip('liquid-cold'), { 'cold-liquid': LOUD }],
    ['slip-flame-high', slip('flame-too-high'), { 'flame-high': LOUD }],
    ['forgot-fat', forgot(FAT), { 'less-fat': LOUD }],
    ['forgot-sugar', forgot(SUGAR), { 'less-sugar': LOUD }],
    ['forgot-liquid', forgot(LIQUID), { 'too-dry': LOUD }],
    ['added-fat', added('fat') > 5 ? 1 : 0, { 'more-fat': SOME }],
    ['added-sugar', added('sugar') > 5 ? 1 : 0, { 'more-sugar': SOME }],
    ['added-liquid', added('water') > 10 ? 1 : 0, { 'too-wet': SOME }],
    ['kept-back', Math.max(0, cook.keptBack.length - cook.restPoured.length), { 'too-dry': SOME, 'too-wet': -SOME }],
  ]
  return [...clues.filter(([, times]) => times > 0), ...ratioClues(plan)]
}

/** A dish that stands at an end of its usual span speaks, less loudly, for what that end brings (estimate). */
const QUIET = 0.8

/** How rich, sweet or wet the dish itself is: where it lies on the usual span, 0 at its lean end and 1 at the other. */
function ratioClues({ dish, amounts }: BatchRecord['plan']): StatedClue[] {
  const { choices } = dish
  if (!choices) return []
  const spans = spansOf({ family: dish.family, choices })
  const nothing = { water: 0, solids: 1, fat: 0, sugar: 0, nuts: 0 }
  const of = [
    ['fat', 'dish-fat', 'more-fat', 'less-fat'],
    ['sugar', 'dish-sugar', 'more-sugar', 'less-sugar'],
    ['liquid', 'dish-liquid', 'too-wet', 'too-dry'],
  ] as const
  return of.flatMap(([role, told, more, less]): StatedClue[] => {
    const span = spans[role]
    const ratio = roleRatio(
      dish,
      role,
      ingredient => amounts.find(one => one.ingredient === ingredient)?.composition ?? nothing,
    )
    const place = span.to > span.from ? (ratio - span.from) / (span.to - span.from) : 0.5
    if (place > 0.75) return [[told, place, { [more]: QUIET, [less]: -QUIET }]]
    return place < 0.1 ? [[told, place, { [less]: QUIET, [more]: -QUIET }]] : []
  })
}

