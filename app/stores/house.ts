import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { z } from 'zod'
import { DishCardSchema } from '../../contracts/dish'
import { KitchenSchema, type Kitchen, type ShelfName } from '../../contracts/kitchen'
import {
  LearnedSchema,
  LessonAnswerSchema,
  type EvidenceSource,
  type Lesson,
  type LessonAnswer,
} from '../../contracts/lesson'
import type { Evidence } from '../../core/materials/belief/reading'
import type { DishCard } from '../../core/formulation/dish/dish'
import { Anything, ask } from '../clients/api'
import { useMeasures } from './measures'
import { useSettings, type ClockFormat, type Units } from './settings'

const DishesSchema = z.object({ dishes: z.array(DishCardSchema), aside: z.array(z.string()) })

/** What belongs to the house: its kitchen, its dishes and what its batches have taught. */
export const useHouse = defineStore('house', () => {
  const kitchen = shallowRef<Kitchen | null>(null)
  const dishes = shallowRef<readonly DishCard[]>([])
  const aside = shallowRef<readonly string[]>([])
  const evidence = shallowRef<readonly Evidence[]>([])
  const sources = shallowRef<readonly EvidenceSource[]>([])
  const trouble = shallowRef<string | null>(null)
  const settings = useSettings()
  const { measureIn } = useMeasures()

  /** Reads everything from the hearth. */
  async function load(): Promise<void> {
    try {
      const [shelves, book, learned] = await Promise.all([
        ask('GET', '/kitchen', KitchenSchema),
        ask('GET', '/dishes', DishesSchema),
        ask('GET', '/evidence', LearnedSchema),
      ])
      kitchen.value = shelves
      dishes.value = book.dishes
      aside.value = book.aside
      settings.readIn(shelves.settings[0]?.units ?? 'metric')
      settings.timesIn(shelves.settings[0]?.zone, shelves.settings[0]?.clock ?? '24')
      measureIn(shelves)
      evidence.value = learned.evidence
      sources.value = learned.sources
      trouble.value = null
    }
    catch (error) {
      trouble.value = error instanceof Error ? error.message : String(error)
    }
  }

  /** Puts one thing on a shelf and keeps it at once. */
  async function put<S extends ShelfName>(shelf: S, item: Kitchen[S][number]): Promise<void> {
    const now = kitchen.value
    if (now) {
      const items: readonly { readonly id: string }[] = now[shelf]
      const at = items.findIndex(one => one.id === item.id)
      kitchen.value = { ...now, [shelf]: at < 0 ? [...items, item] : items.map((one, i) => (i === at ? item : one)) }
    }
    await ask('PUT', `/kitchen/${shelf}/${item.id}`, Anything, item)
  }

  /** Takes one thing off a shelf; `put` brings it back. */
  async function remove(shelf: ShelfName, id: string): Promise<void> {
    const now = kitchen.value
    if (now) {
      const items: readonly { readonly id: string }[] = now[shelf]
      kitchen.value = { ...now, [shelf]: items.filter(one => one.id !== id) }
    }
    await ask('DELETE', `/kitchen/${shelf}/${id}`, Anything)
  }

  async function learnAnew(): Promise<void> {
    const learned = await ask('GET', '/evidence', LearnedSchema)
    evidence.value = learned.evidence
    sources.value = learned.sources
  }

  /** Teaches the house something; what it says comes back, and everything learned is read anew. */
  async function teach(lesson: Lesson): Promise<LessonAnswer> {
    const told = await ask('PUT', `/lessons/${lesson.id}`, LessonAnswerSchema, lesson)
    await learnAnew()
    return told
  }

  /** Takes a lesson back; teaching it again brings it back. */
  async function unteach(id: string): Promise<void> {
    await ask('DELETE', `/lessons/${id}`, Anything)
    await learnAnew()
  }

  /** Keeps a new version of a dish. */
  async function keepDish(dish: DishCard): Promise<void> {
    await ask('PUT', `/dishes/${dish.id}`, Anything, dish)
    dishes.value = dishes.value.some(one => one.id === dish.id)
      ? dishes.value.map(one => (one.id === dish.id ? dish : one))
      : [...dishes.value, dish]
  }

  /** Puts a dish aside, or takes it back. */
  async function putAside(id: string, away: boolean): Promise<void> {
    await ask('PUT', `/dishes/${id}/aside`, Anything, { aside: away })
    aside.value = away ? [...aside.value, id] : aside.value.filter(one => one !== id)
  }

  /** Reads numbers in other units: on all screens at once, and for good. */
  async function setUnits(units: Units): Promise<void> {
    settings.readIn(units)
    await put('settings', { currency: '', ...kitchen.value?.settings[0], id: 'house', units })
  }

  /** Writes times another way, and in another zone: on all screens at once, and for good. */
  async function setTimes(values: {
    readonly zone?: string | undefined
    readonly clock?: ClockFormat | undefined
  }): Promise<void> {
    const now = kitchen.value?.settings[0]
    settings.timesIn(values.zone ?? now?.zone, values.clock ?? now?.clock ?? '24')
    await put('settings', { units: 'metric', currency: '', ...now, ...values, id: 'house' })
  }

  const cups = computed(() => kitchen.value?.measures.filter(one => one.kind === 'cup') ?? [])
  const pans = computed(() => kitchen.value?.pans.filter(one => one.kind === 'pan') ?? [])
  const pots = computed(() => kitchen.value?.pans.filter(one => one.kind === 'pot') ?? [])
  const currency = computed(() => kitchen.value?.settings[0]?.currency ?? '')
  return {
    kitchen,
    dishes,
    aside,
    evidence,
    sources,
    teach,
    unteach,
    putAside,
    setUnits,
    setTimes,
    currency,
    trouble,
    load,
    put,
    remove,
    keepDish,
    cups,
    pans,
    pots,
  }
})
