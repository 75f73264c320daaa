import { useDebounceFn, useManualRefHistory } from '@vueuse/core'
import { computed, shallowRef, watch, type Ref } from 'vue'
import type { Fire, Kitchen, Measure, Pan } from '../../contracts/kitchen'
import type { Ingredient } from '../../contracts/ingredient'
import { SheetSchema, type Sheet } from '../../contracts/sheet'
import { firstBelief } from '../../core/belief/firstBelief'
import type { Evidence } from '../../core/belief/learn'
import type { Dish } from '../../core/dish/dish'
import type { Forecast } from '../../core/forecast/forecast'
import { planCook } from '../../core/live/planCook'
import { finishedShare } from '../../core/proportions/finishedShare'
import { measuredAmounts } from '../../core/proportions/measuredAmounts'
import { dishWith } from '../../core/proportions/proportionSheet'
import { askForecast } from './forecaster'

const KEPT = 'yon-hearth.measure'
const COARSE = 60
const PAUSE_MS = 250
const FINE = 300
/** Room and height of a house that has said nothing of them. */
const ROOM_C = 27
const SEED = 20261125

/** What the sheet is made from. */
export interface SheetSources {
  readonly kitchen: Readonly<Ref<Kitchen | null>>
  readonly dishes: Readonly<Ref<readonly Dish[]>>
  readonly evidence: Readonly<Ref<readonly Evidence[]>>
  readonly ingredients: readonly Ingredient[]
}

/**
 * The sheet on which a dish is measured out: what was chosen, what follows from it, and its forecast, coarse at once and
 * then fine. Kept on this device with every change; every change can be undone.
 *
 * @param sources kitchen, dishes and what was learned
 * @returns state and the ways to change it
 */
export function useMeasureSheet(sources: SheetSources) {
  const sheet = shallowRef<Sheet | null>(null)
  const history = useManualRefHistory(sheet, { capacity: 100 })
  // A drag is one change: it is written down once it pauses.
  let unwritten = false
  const write = (): void => {
    if (unwritten) history.commit()
    unwritten = false
  }
  const writeSoon = useDebounceFn(write, PAUSE_MS)
  const book = computed(() => sources.dishes.value.find(one => one.id === sheet.value?.dishId) ?? null)
  const dish = computed(() => (book.value && sheet.value ? dishWith(book.value, sheet.value) : null))
  const find = <T extends { readonly id: string }>(list: readonly T[] | undefined, id: string | undefined): T | null => list?.find(one => one.id === id) ?? null
  const cup = computed((): Measure | null => find(sources.kitchen.value?.measures, sheet.value?.cup))
  const pan = computed((): Pan | null => find(sources.kitchen.value?.pans, sheet.value?.pan))
  const pot = computed((): Pan | null => find(sources.kitchen.value?.pans, sheet.value?.pot))
  const fire = computed((): Fire | null => find(sources.kitchen.value?.fires, sheet.value?.fire))
  const otherFire = computed((): Fire | null => find(sources.kitchen.value?.fires, sheet.value?.otherFire))
  const rows = computed(() => (dish.value && cup.value && sheet.value
    ? measuredAmounts(dish.value, sheet.value.baseG, sources.ingredients, cup.value, sources.kitchen.value?.measures.filter(one => one.kind === 'spoon') ?? [])
    : []))
  const finished = computed(() => (dish.value
    ? finishedShare(dish.value.ingredients.map(one => ({
        perBase: one.perBase, base: one.id === dish.value!.base, waterShare: find(sources.ingredients, one.ingredient)?.composition.water ?? 0,
      })), dish.value.kept.share)
    : 1))
  const people = computed(() => (dish.value && sheet.value ? sheet.value.baseG * finished.value / dish.value.portionG : 0))
  const roast = computed(() => dish.value?.stages.find(stage => stage.does === 'roast')?.id ?? null)
  const plan = computed(() => {
    if (!dish.value || !sheet.value || !cup.value || !pan.value || !pot.value || !fire.value || !otherFire.value) return null
    const { roastMark, baseG } = sheet.value
    return planCook('measure', {
      dish: dish.value, baseG, ingredients: sources.ingredients, cup: cup.value,
      pans: byVessel(dish.value, pan.value, pot.value), fires: byVessel(dish.value, fire.value, otherFire.value),
      flames: roast.value && fire.value.marks.some(mark => mark.id === roastMark) ? { [roast.value]: roastMark } : {},
      people: Math.max(0.5, Math.round(people.value * 2) / 2), firstBelief: firstBelief(), evidence: sources.evidence.value,
      seed: SEED, airC: ROOM_C, altitudeM: 0,
    }, 0)
  })
  const forecast = shallowRef<Forecast | null>(null)
  watch(plan, async (value) => {
    if (!value) return
    const coarse = await askForecast('measure', value, [], 0, COARSE).catch(() => null)
    if (!coarse) return
    forecast.value = coarse
    forecast.value = await askForecast('measure', value, [], 0, FINE).catch(() => null) ?? coarse
  }, { immediate: true })
  watch(sheet, (value) => {
    if (value) localStorage.setItem(KEPT, JSON.stringify(value))
  })
  return {
    sheet, dish, book, cup, pan, pot, fire, otherFire, rows, finished, people, plan, forecast,
    /** Mark on which the roast is planned. */
    roastMark: computed(() => (roast.value ? plan.value?.flames[roast.value] ?? null : null)),
    canUndo: history.canUndo,
    /** Takes the last change back. */
    undo(): void {
      write()
      history.undo()
    },
    /** Changes some of what was chosen. */
    set(values: Partial<Sheet>): void {
      if (!sheet.value) return
      sheet.value = { ...sheet.value, ...values }
      unwritten = true
      void writeSoon()
    },
    /** Opens the sheet of a dish, with what was kept where it still stands on a shelf. */
    open(dishId: string | undefined): void {
      sheet.value = firstSheet(sources, dishId)
      history.commit()
      history.clear()
    },
  }
}

/** State of the Measure screen. */
export type MeasureSheet = ReturnType<typeof useMeasureSheet>

/** The same thing for every vessel of its kind: what stands on the main fire, and what stands beside it. */
function byVessel<T>(dish: Dish, main: T, beside: T): Record<string, T> {
  return Object.fromEntries(dish.vessels.map(vessel => [vessel.id, vessel.kind === 'pan' ? main : beside]))
}

function firstSheet({ kitchen, dishes }: SheetSources, dishId: string | undefined): Sheet | null {
  const shelves = kitchen.value
  const dish = dishes.value.find(one => one.id === dishId) ?? dishes.value[0]
  if (!shelves || !dish) return null
  const parsed = SheetSchema.safeParse(recall())
  const kept = parsed.success && parsed.data.dishId === dish.id ? parsed.data : null
  const has = (list: readonly { readonly id: string }[], id: string | undefined): string => (list.find(one => one.id === id) ?? list[0])?.id ?? ''
  const pots = shelves.pans.filter(one => one.kind === 'pot')
  return {
    dishId: dish.id, baseG: kept?.baseG ?? dish.usual.baseG, ratios: kept?.ratios ?? {},
    cup: has(shelves.measures.filter(one => one.kind === 'cup'), kept?.cup),
    pan: has(shelves.pans.filter(one => one.kind === 'pan'), kept?.pan),
    pot: has(pots.length > 0 ? pots : shelves.pans, kept?.pot),
    fire: has(shelves.fires, kept?.fire),
    otherFire: has([...shelves.fires].reverse(), kept?.otherFire),
    roastMark: kept?.roastMark ?? '',
  }
}

function recall(): unknown {
  try {
    return JSON.parse(localStorage.getItem(KEPT) ?? 'null')
  }
  catch {
    return null
  }
}
