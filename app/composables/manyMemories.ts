import { computed, ref, shallowRef } from 'vue'
import { z } from 'zod'
import { RememberedSchema } from '../../contracts/batch'
import type { Ingredient } from '../../contracts/ingredient'
import type { Kitchen } from '../../contracts/kitchen'
import { rememberBatch } from '../../core/cook/batch/rememberBatch'
import type { DishCard } from '../../core/formulation/dish/dish'
import { troublesOf } from '../../core/formulation/dish/troublesOf'
import { CoreError } from '../../core/error'
import { readBatchRows, type BatchRow, type RowTrouble } from '../../core/cook/exchange/batchRows'
import { countable } from '../../core/formulation/measures/countable'
import { parseAmount } from '../../core/formulation/measures/parseAmount'
import { weightOf } from '../../core/formulation/measures/weightOf'
import { foldSpelling } from '../../core/formulation/spelling/foldSpelling'
import { isoDay, wallMs } from '../../core/maths/time/houseDay'
import { hearthNow } from '../clients/hearthClock'
import { useSettings } from '../stores/settings'
import { isHeld } from './formRules'
import { sendRemembered } from './sendRemembered'

/** Largest table that is read, bytes and rows. */
const MOST_BYTES = 4_000_000
const MOST_ROWS = 2000
const NOON = 720

/** What the rows are read against. */
export interface MemorySources {
  readonly dishes: readonly DishCard[]
  readonly table: readonly Ingredient[]
  readonly kitchen: Kitchen
}

/** A row of the table with what of this house it means. */
export interface ReadMemory {
  readonly row: BatchRow
  readonly card: DishCard | null
  readonly baseG: number | null
  readonly troubles: readonly RowTrouble[]
  /** What is taken in the place of a pan or fire that is not here; empty for none. */
  readonly instead: string
  readonly state: 'waits' | 'kept' | 'known' | 'refused'
  /** Why it was refused. */
  readonly why: string
}

/**
 * Many batches from a table (CSV, RFC 4180): read, shown, and put in the ledger one by one. A row that is in the ledger
 * already is not doubled.
 *
 * @param sources the house
 * @returns rows, what is asked, and the ways to answer
 */
export function useManyMemories(sources: () => MemorySources) {
  const rows = shallowRef<readonly BatchRow[]>([])
  const says = ref('')
  const busy = ref(false)
  /** Dish by the name in the table, where the book has none called so. */
  const named = ref<Readonly<Record<string, string>>>({})
  const done = shallowRef<ReadonlyMap<number, { readonly state: ReadMemory['state'], readonly why: string }>>(new Map())
  const cookable = computed(() => sources().dishes.filter(dish => troublesOf(dish).length === 0))

  function cardOf(name: string): DishCard | null {
    const folded = foldSpelling(name)
    const given = named.value[folded]
    return (
      cookable.value.find(dish => dish.id === given)
      ?? cookable.value.find(dish => [dish.name, dish.id, ...dish.otherNames].some(one => foldSpelling(one) === folded))
      ?? null
    )
  }
  const read = computed(() => rows.value.map((row): ReadMemory => {
    const card = cardOf(row.dish)
    const baseG = card ? gramsOf(row.base, card, sources()) : null
    const troubles = [
      ...new Set([
        ...row.troubles,
        ...(card ? [] : ['dish' as const]),
        ...(card && baseG === null ? ['base' as const] : []),
      ]),
    ]
    return {
      row,
      card,
      baseG,
      troubles,
      instead: insteadOf(row, sources().kitchen),
      ...(done.value.get(row.row) ?? { state: 'waits' as const, why: '' }),
    }
  }))
  const ready = computed(() =>
    read.value.filter(one => one.troubles.length === 0 && one.state !== 'kept' && one.state !== 'known'),
  )

  async function take(file: File): Promise<void> {
    rows.value = []
    done.value = new Map()
    if (file.size > MOST_BYTES) {
      says.value = `${file.name} is too large: 4 MB are read. Cut it in two. Nothing was kept.`
      return
    }
    const { default: Papa } = await import('papaparse')
    const { data } = Papa.parse((await file.text()).replace(/^\ufeff/, ''), {
      header: true,
      skipEmptyLines: 'greedy',
      dynamicTyping: false,
    })
    const records = z
      .array(z.record(z.string(), z.unknown()))
      .catch([])
      .parse(data)
      .map(record =>
        Object.fromEntries(
          Object.entries(record).map(([key, value]) => [key.trim(), typeof value === 'string' ? value : '']),
        ),
      )
    rows.value = readBatchRows(records.slice(0, MOST_ROWS), isoDay(hearthNow(), useSettings().zone))
    says.value =
      rows.value.length === 0
        ? `${file.name} holds no rows that can be read. Its first line names the columns: dish, date, base, minutes. Nothing was kept.`
        : records.length > MOST_ROWS
          ? `${records.length} rows: the first ${MOST_ROWS} are read. Take the others in a second file.`
          : ''
  }

  async function keep(): Promise<void> {
    busy.value = true
    const { kitchen, table } = sources()
    const pans = kitchen.pans.filter(pan => pan.kind === 'pan')
    for (const one of ready.value) {
      const { row, card, baseG } = one
      const [pan, fire, cup] = [
        byName(pans, row.pan),
        byName(kitchen.fires, row.fire),
        kitchen.measures.find(measure => measure.kind === 'cup'),
      ]
      if (!card || baseG === null || row.day === null || row.totalMin === null || !pan || !fire || !cup) continue
      const atMs =
        row.atMs
        ?? Math.min(
          wallMs(row.day, row.minute ?? NOON, useSettings().zone),
          hearthNow() - row.totalMin * 60_000 - 120_000,
        )
      try {
        const cook = rememberBatch(
          {
            card,
            baseG,
            pan,
            fire,
            cup,
            mark: null,
            roastMin: row.roastMin,
            totalMin: row.totalMin,
            atMs,
            finishedG: row.finishedG,
            outcome: { faults: row.faults, line: row.line },
          },
          table,
        )
        const id =
          row.id
          ?? `table-${keyOf([row.dish, row.day, row.minute, row.base, row.totalMin, row.roastMin, row.line].join('|'))}`
        const known = await isKnown(id)
        if (!known) await sendRemembered(id, cook)
        done.value = new Map([...done.value, [row.row, { state: known ? 'known' : 'kept', why: '' }]])
      }
      catch (error) {
        done.value = new Map([
          ...done.value,
          [row.row, { state: 'refused', why: error instanceof Error ? error.message : String(error) }],
        ])
        if (!(error instanceof CoreError) && !(error instanceof Error && error.name === 'Refused')) break
      }
    }
    busy.value = false
    const count = (state: ReadMemory['state']): number => read.value.filter(one => one.state === state).length
    says.value = `${count('kept')} kept${count('known') > 0 ? `, ${count('known')} stood in the ledger already` : ''}${count('refused') > 0 ? `, ${count('refused')} not kept` : ''}.`
  }
  return {
    read, ready, says, busy, take, keep, cookable,
    /** Names of the table that no dish here is called by. */
    unknown: computed(() => [
      ...new Set(read.value.filter(one => one.card === null && one.row.dish !== '').map(one => one.row.dish)),
    ]),
    name(dish: string, id: string): void {
      named.value = { ...named.value, [foldSpelling(dish)]: id }
    },
  }
}

/** A pan or fire that is long gone is said, and another one taken. */
function insteadOf(row: BatchRow, { pans, fires }: Kitchen): string {
  const said = (wanted: string, things: readonly { readonly name: string }[]): string[] => {
    const taken = byName(things, wanted)
    return wanted !== '' && taken && foldSpelling(taken.name) !== foldSpelling(wanted)
      ? [`${taken.name} for ${wanted}`]
      : []
  }
  return [...said(row.pan, pans.filter(pan => pan.kind === 'pan')), ...said(row.fire, fires)].join(', ')
}

async function isKnown(id: string): Promise<boolean> {
  return (await fetch(`/api/cooks/${encodeURIComponent(id)}`)).ok
}

function byName<T extends { readonly name: string }>(things: readonly T[], name: string): T | undefined {
  const folded = foldSpelling(name)
  return things.find(one => foldSpelling(one.name) === folded) ?? things[0]
}

function gramsOf(said: string, card: DishCard, { table, kitchen }: MemorySources): number | null {
  const row = table.find(one => one.id === card.ingredients.find(each => each.id === card.base)?.ingredient)
  const cup = kitchen.measures.find(one => one.kind === 'cup')
  if (!row || !cup || said.trim() === '') return null
  const plain = /^\d+(?:[.,]\d+)?$/.test(said.trim()) ? Number(said.trim().replace(',', '.')) : null
  if (plain !== null) return isHeld(RememberedSchema, { baseG: plain }) ? plain : null
  try {
    const grams = weightOf(parseAmount(said, cup, kitchen.measures, countable(row)), row)
    return isHeld(RememberedSchema, { baseG: grams }) ? grams : null
  }
  catch (error) {
    if (error instanceof CoreError) return null
    throw error
  }
}

/** A short key of a text, the same for the same text (FNV-1a, 32 bits, forwards and backwards). */
function keyOf(text: string): string {
  const half = (letters: readonly string[]): number =>
    letters.reduce((hash, letter) => Math.imul(hash ^ letter.charCodeAt(0), 16777619) >>> 0, 2166136261)
  const letters = [...text].flatMap(letter => letter.split(''))
  return `${half(letters).toString(36)}${half([...letters].reverse()).toString(36)}`
}
