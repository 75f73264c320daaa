import { itemAt } from '../../maths/table/itemAt'
import { usableCount } from '../measures/usableCount'
import type { MeasureSize } from '../measures/inMeasures'

/** One way to fill an amount: counts of at most two measures. */
export interface Fill {
  readonly volumeMl: number
  readonly parts: readonly {
    readonly measure: string
    readonly name: string
    readonly count: number
    readonly text: string
  }[]
}

/** Marks a cup has, and a spoon: whole and halves; a teaspoon also a quarter. */
const CUP_MARKS = [0, 1 / 4, 1 / 3, 1 / 2, 2 / 3, 3 / 4]
const SPOON_MARKS = [0, 1 / 2]
/** A measure bigger than this is filled to the marks of a cup, ml. */
const CUP_FROM = 60
const MOST_SPOONS = 4
const MOST_CUPS = 24

/**
 * Every amount that lands on real marks of what a household owns: a cup alone, spoons alone, or one mark of a cup and a
 * few spoons on top.
 *
 * @param measures cups and spoons, at least one
 * @returns fills, rising in volume; of two within a thousandth the simpler one
 */
export function allFills(measures: readonly MeasureSize[]): readonly Fill[] {
  const cups = measures.filter(one => one.volumeMl >= CUP_FROM)
  const spoons = measures.filter(one => one.volumeMl < CUP_FROM)
  const part = (one: MeasureSize, count: number) => ({
    measure: one.id,
    name: one.name,
    count,
    text: usableCount(count).text,
  })
  const counts = (most: number, marks: readonly number[]): number[] =>
    Array.from({ length: most + 1 }, (_, whole) => marks.map(mark => whole + mark))
      .flat()
      .filter(count => count > 0 && count <= most)
  const cupFills = cups.flatMap(one =>
    counts(MOST_CUPS, CUP_MARKS).map((count): Fill => ({ volumeMl: count * one.volumeMl, parts: [part(one, count)] })),
  )
  const smallest = spoons.reduce((least, one) => Math.min(least, one.volumeMl), Infinity)
  const spoonFills = spoons.flatMap(one =>
    [...counts(MOST_SPOONS, SPOON_MARKS), ...(one.volumeMl === smallest ? [0.25] : [])].map((count): Fill => ({
      volumeMl: count * one.volumeMl,
      parts: [part(one, count)],
    })),
  )
  const whole = spoons.flatMap(one =>
    [1, 2, 3].map((count): Fill => ({ volumeMl: count * one.volumeMl, parts: [part(one, count)] })),
  )
  const both = cupFills.filter(fill => fill.volumeMl < 6 * CUP_FROM * 4).flatMap(cup => whole
    .filter(spoon => spoon.volumeMl < 0.25 * cup.volumeMl / (cup.parts[0]?.count ?? 1))
    .map((spoon): Fill => ({ volumeMl: cup.volumeMl + spoon.volumeMl, parts: [...cup.parts, ...spoon.parts] })))
  const all = [...cupFills, ...spoonFills, ...both].sort(
    (p, q) => p.volumeMl - q.volumeMl || p.parts.length - q.parts.length,
  )
  return all.filter(
    (fill, i) =>
      i === 0
      || fill.volumeMl > itemAt(all, i - 1).volumeMl * 1.001
      || fill.parts.length < itemAt(all, i - 1).parts.length,
  )
}
