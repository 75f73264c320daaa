import { computed, ref, type ComputedRef, type Ref } from 'vue'
import { PLAIN_NAMES } from '../../book/plainNames'
import type { Ingredient } from '../../contracts/ingredient'
import { CoreError } from '../../core/error'
import { foodNames } from '../../core/formulation/exchange/text/foodNames'
import { readAnyway, readLines, type ReadLine } from '../../core/formulation/exchange/text/readLines'
import { countable } from '../../core/formulation/measures/countable'
import { parseAmount } from '../../core/formulation/measures/parseAmount'
import { weightOf } from '../../core/formulation/measures/weightOf'

/** What a person decides about a line. */
export interface Decision {
  readonly ingredient?: string
  readonly typed?: string
  readonly accepted?: boolean
  readonly left?: boolean
  /** A line that was passed over is read after all. */
  readonly asIngredient?: boolean
}

/** A line with what was decided about it. */
export interface DecidedLine extends ReadLine {
  /** The same for the same words, wherever they stand: what was decided outlives an edit of other lines. */
  readonly key: string
  readonly row: Ingredient | null
  readonly typed: string
  readonly left: boolean
  /** True while it wants a decision. */
  readonly open: boolean
}

/** A pasted text being decided. */
export interface PastedText {
  readonly read: ComputedRef<readonly DecidedLine[]>
  readonly passed: ComputedRef<readonly DecidedLine[]>
  readonly beyond: ComputedRef<readonly string[]>
  /** How many want a decision, and how many of these have a guess. */
  readonly open: ComputedRef<number>
  readonly guessed: ComputedRef<number>
  decide(key: string, what: Decision): void
  acceptAll(): void
}

/**
 * Reads a text as it is typed and keeps what is decided about its lines.
 *
 * @param text what was pasted
 * @param table the ingredients
 * @param cupMl what a cup means in it, ml
 * @returns its lines and what decides them
 */
export function usePastedText(text: Ref<string>, table: () => readonly Ingredient[], cupMl: () => number): PastedText {
  const decisions = ref<Record<string, Decision>>({})
  const cup = computed(() => ({ id: 'their-cup', name: 'cup', volumeMl: cupMl() }))
  const foods = computed(() => foodNames(table(), PLAIN_NAMES))
  const found = computed(() => readLines(text.value, cup.value, foods.value))
  const all = computed(() => {
    const times = new Map<string, number>()
    return found.value.lines.map((line) => {
      const words = `${line.text}\u0000${line.says}`
      const nth = (times.get(words) ?? 0) + 1
      times.set(words, nth)
      const key = `${words}\u0000${nth}`
      const decision = decisions.value[key] ?? {}
      return decided(
        decision.asIngredient ? readAnyway(line.text, cup.value, foods.value) : line,
        key,
        decision,
        table(),
        cup.value,
      )
    })
  })
  const read = computed(() => all.value.filter(line => line.passed === null))
  const guesses = computed(() => read.value.filter(line => line.open && line.row !== null && line.massG !== null))
  function decide(key: string, what: Decision): void {
    decisions.value = { ...decisions.value, [key]: { ...decisions.value[key], ...what } }
  }
  return {
    read,
    passed: computed(() => all.value.filter(line => line.passed !== null)),
    beyond: computed(() => found.value.beyond),
    open: computed(() => read.value.filter(line => line.open).length),
    guessed: computed(() => guesses.value.length),
    decide,
    acceptAll: () => guesses.value.forEach(line => decide(line.key, { accepted: true })),
  }
}

function decided(
  line: ReadLine,
  key: string,
  decision: Decision,
  table: readonly Ingredient[],
  cup: { readonly id: string, readonly name: string, readonly volumeMl: number },
): DecidedLine {
  const ingredient = decision.ingredient ?? line.ingredient
  const row = table.find(one => one.id === ingredient) ?? null
  const typed = decision.typed ?? ''
  const own = typed.trim() !== '' && row ? weigh(typed, row, cup) : null
  const guess = ingredient === line.ingredient ? line.massG : row ? asOther(line, row, table) : null
  const massG = typed.trim() === '' ? guess : own
  const left = decision.left === true
  const accepted = decision.accepted === true
  const foodOpen =
    (line.doubts.includes('which') || line.doubts.includes('either')) && decision.ingredient === undefined && !accepted
  const amountOpen =
    (line.doubts.includes('range') || line.doubts.includes('measure')) && typed.trim() === '' && !accepted
  const open = line.passed === null && !left && (row === null || massG === null || foodOpen || amountOpen)
  return { ...line, key, ingredient, row, typed, massG, left, open }
}

/** The same volume of another ingredient; where nothing was guessed, nothing is. */
function asOther(line: ReadLine, row: Ingredient, table: readonly Ingredient[]): number | null {
  const old = table.find(one => one.id === line.ingredient)
  if (line.massG === null) return null
  // A weight stays a weight, whatever it is of.
  return old && !line.isWeight ? line.massG / old.bulkDensity * row.bulkDensity : line.massG
}

function weigh(
  said: string,
  row: Ingredient,
  cup: { readonly id: string, readonly name: string, readonly volumeMl: number },
): number | null {
  try {
    return weightOf(parseAmount(said, cup, [], countable(row)), row)
  } catch (error) {
    if (error instanceof CoreError) return null
    throw error
  }
}
