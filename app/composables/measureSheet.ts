import { useDebounceFn } from '@vueuse/core'
import { storeToRefs } from 'pinia'
import { computed, onScopeDispose, shallowRef, watch, type Ref } from 'vue'
import type { Kitchen, Pan, Settings } from '../../contracts/kitchen'
import type { Ingredient } from '../../contracts/ingredient'
import type { Sheet } from '../../contracts/sheet'
import { firstBelief } from '../../core/process/belief/firstBelief'
import type { Evidence } from '../../core/materials/belief/reading'
import { fitAdvice } from '../../core/formulation/yield/fitAdvice'
import { volumesOf } from '../../core/formulation/yield/volumes'
import { yieldOf } from '../../core/formulation/yield/yieldOf'
import { houseTable } from '../../core/materials/composition/corrections'
import type { Dish, DishCard } from '../../core/formulation/dish/dish'
import { withFreeShare } from '../../core/formulation/dish/freeShare'
import { goesNowhere } from '../../core/formulation/dish/goesNowhere'
import { pressureFit } from '../../core/formulation/dish/pressure'
import { stageDish } from '../../core/formulation/stages/stageDish'
import { troublesOf } from '../../core/formulation/dish/troublesOf'
import { CoreError } from '../../core/error'
import type { Forecast } from '../../core/record/plan/forecast'
import { forecastCook } from '../../core/process/forecast/forecastCook'
import { scaledForecast, type FineForecast } from '../../core/process/forecast/scaledForecast'
import type { CookPlan } from '../../core/record/plan/plan'
import { placesOf } from '../../core/formulation/dish/placesOf'
import { planCook } from '../../core/cook/planning/planCook'
import { finishedShare } from '../../core/formulation/proportions/finishedShare'
import { holdWater, liquidAccount } from '../../core/formulation/proportions/liquidAccount'
import { measuredAmounts } from '../../core/formulation/proportions/measuredAmounts'
import { USUAL_ROOM_C } from '../../core/record/plan/usualRoom'
import type { ScaleFacts } from '../../core/formulation/scale/baseOf'
import { capacityMl } from '../../core/materials/vessel/capacityMl'
import { askForecast, giveUp } from '../clients/forecaster'
import { useSheet } from '../stores/sheet'

/** Members of the outline that runs here while a level moves, and of the forecasts by the worker once it stands. */
const OUTLINE = 1
const MEMBERS = [60, 300] as const
const REFINE_MS = 120
const SEED = 20261125

/** What the sheet is made from. */
export interface SheetSources {
  readonly kitchen: Readonly<Ref<Kitchen | null>>
  readonly dishes: Readonly<Ref<readonly DishCard[]>>
  readonly evidence: Readonly<Ref<readonly Evidence[]>>
  readonly ingredients: readonly Ingredient[]
}

/**
 * The sheet on which a dish is measured out, as a view has it open: what follows from what was chosen, and its
 * forecast, coarse at once and then fine.
 *
 * @param sources kitchen, dishes and what was learned
 * @returns state and the ways to change it
 */
export function useMeasureSheet(sources: SheetSources) {
  const store = useSheet()
  const { sheet, canUndo } = storeToRefs(store)
  const table = computed(() => houseTable(sources.ingredients, sources.kitchen.value))
  const rows = computed(() => new Map(table.value.map(row => [row.id, row])))
  const rowOf = (id: string): Ingredient => {
    const row = rows.value.get(id)
    if (!row) throw new CoreError('unknown-name', 'measureSheet.table', { missing: id })
    return row
  }
  const card = computed(() => sheet.value?.dish ?? null)
  const troubles = computed(() => (card.value ? troublesOf(card.value) : []))
  const dish = computed((): Dish | null =>
    card.value && troubles.value.length === 0
      ? withFreeShare(stageDish(card.value), id => rows.value.get(id)?.allergens ?? [])
      : null,
  )
  const chosen = useChosen(sources, sheet)
  const { cup, pan } = chosen
  const pressurePan = computed(() => sources.kitchen.value?.pans.find(one => one.kind === 'pressure'))
  const amounts = computed(() =>
    card.value && cup.value && sheet.value
      ? measuredAmounts(
          card.value,
          sheet.value.baseG,
          table.value,
          cup.value,
          (sources.kitchen.value?.measures ?? []).filter(one => one.kind === 'spoon'),
        )
      : [],
  )
  const finished = computed(() => (card.value ? finishedShare(card.value, rowOf).perBase : 1))
  const volumes = computed(() => (dish.value && sheet.value ? volumesOf(dish.value, sheet.value.baseG, rowOf) : null))
  const greatestMl = computed(() => {
    const points = forecast.value?.points ?? []
    return points.length > 0 ? Math.max(...points.map(one => one.volumeMl)) : volumes.value?.greatestMl ?? null
  })
  const plan = computed(() =>
    dish.value && sheet.value
      ? planOf(
          dish.value,
          sheet.value,
          chosen,
          pressurePan.value,
          table.value,
          sources.evidence.value,
          finished.value,
          sources.kitchen.value?.settings[0],
        )
      : null,
  )
  const { forecast, forecastIsOld } = useCoarseThenFine(plan)
  return {
    sheet,
    card,
    dish,
    troubles,
    table,
    /** Ids of ingredients that no stage takes in. */
    nowhere: computed(() => (card.value && dish.value ? goesNowhere(card.value, dish.value.stages) : [])),
    rowOf,
    ...chosen,
    amounts,
    finished,
    volumes,
    greatestMl,
    plan,
    forecast,
    forecastIsOld,
    canUndo,
    set: store.set,
    undo: store.undo,
    dishYield: computed(() =>
      card.value && sheet.value
        ? yieldOf(card.value, sheet.value.baseG, rowOf, sources.kitchen.value?.corrections ?? [])
        : null,
    ),
    account: computed(() => (card.value && sheet.value ? liquidAccount(card.value, sheet.value.baseG, rowOf) : null)),
    fit: computed(() =>
      greatestMl.value !== null && pan.value
        ? fitAdvice(greatestMl.value, pan.value, sources.kitchen.value?.pans.filter(one => one.kind === 'pan') ?? [])
        : null,
    ),
    pressure: computed(() => {
      const fit = plan.value && sheet.value ? pressureFit(plan.value.dish, sheet.value.baseG, rowOf) : null
      return (
        fit && {
          ...fit,
          pan: pressurePan.value ? { name: pressurePan.value.name, capacityMl: capacityMl(pressurePan.value) } : null,
        }
      )
    }),
    facts: computed((): ScaleFacts | null =>
      card.value && sheet.value && volumes.value
        ? {
            base: card.value.base,
            ingredients: card.value.ingredients,
            baseG: sheet.value.baseG,
            usualBaseG: card.value.usual.baseG,
            portionG: card.value.portionG,
            finishedPerBase: finished.value,
            greatestMlPerBase: volumes.value.greatestMl / sheet.value.baseG,
            density: volumes.value.density,
            pan: pan.value,
          }
        : null,
    ),
    /** Changes the dish in hand; where the total of water is held, plain water follows. */
    setDish(next: DishCard, hold = false, moving = false): void {
      const before = card.value
      if (!before) return
      store.set(
        { dish: hold ? holdWater(next, liquidAccount(before, 1000, rowOf).totalG / 1000, rowOf).dish : next },
        moving,
      )
    },
    /**
     * Opens the sheet of a dish, or the last one, with what was kept where it still stands on a shelf; none where there
     * is none.
     */
    open(dishId: string | undefined): void {
      store.open(dishId, { kitchen: sources.kitchen.value, dishes: sources.dishes.value })
    },
  }
}

/** State of the Measure screen. */
export type MeasureSheet = ReturnType<typeof useMeasureSheet>

/** What of the kitchen is chosen on the sheet. */
function useChosen(sources: SheetSources, sheet: Readonly<Ref<Sheet | null>>) {
  const find = <T extends { readonly id: string }>(list: readonly T[] | undefined, id: string | undefined): T | null =>
    list?.find(one => one.id === id) ?? null
  return {
    cup: computed(() => find(sources.kitchen.value?.measures, sheet.value?.cup)),
    pan: computed(() => find(sources.kitchen.value?.pans, sheet.value?.pan)),
    pot: computed(() => find(sources.kitchen.value?.pans, sheet.value?.pot)),
    otherPan: computed(
      () => sources.kitchen.value?.pans.find(one => one.kind === 'pan' && one.id !== sheet.value?.pan) ?? null,
    ),
    fire: computed(() => find(sources.kitchen.value?.fires, sheet.value?.fire)),
    otherFire: computed(() => find(sources.kitchen.value?.fires, sheet.value?.otherFire)),
  }
}
type Chosen = ReturnType<typeof useChosen>

function planOf(
  dish: Dish,
  sheet: Sheet,
  chosen: Chosen,
  pressure: Pan | undefined,
  table: readonly Ingredient[],
  evidence: readonly Evidence[],
  finished: number,
  settings: Settings | undefined,
) {
  const {
    cup: { value: cup },
    pan: { value: pan },
    pot: { value: pot },
    fire: { value: fire },
    otherFire: { value: otherFire },
  } = chosen
  if (!cup || !pan || !pot || !fire || !otherFire) return null
  const second = chosen.otherPan.value ?? undefined
  return planCook(
    'measure',
    {
      dish,
      baseG: sheet.baseG,
      ingredients: table,
      cup,
      ...placesOf(dish, { pan, pot, pressure, second, fire, otherFire }),
      flames: Object.fromEntries(
        Object.entries(sheet.marks).filter(([, mark]) => fire.marks.some(one => one.id === mark)),
      ),
      turns: sheet.turns?.filter(turn => turn.mark === 'off' || fire.marks.some(one => one.id === turn.mark)),
      people: Math.min(500, Math.max(0.5, Math.round(((sheet.baseG * finished) / dish.portionG) * 2) / 2)),
      firstBelief: firstBelief(),
      evidence,
      seed: SEED,
      airC: settings?.roomC ?? USUAL_ROOM_C,
      altitudeM: settings?.altitudeM ?? 0,
      thermometerK: settings?.thermometerK,
    },
    0,
  )
}

/** Whose forecasts they are, for the worker. */
const STREAM = 'measure'

/** What is drawn of a plan that changes. */
interface DrawnForecast {
  /** Counts the plans that were asked for: an answer to an older one is passed over. */
  readonly question: number
  readonly forecast: Forecast | null
  /** True while a newer one is on its way. */
  readonly isOld: boolean
  /** The last fine forecast of this dish, with the outline that it refines. */
  readonly known: (FineForecast & { readonly dish: string }) | null
}

/**
 * Forecasts of a plan that changes. While it moves, the middle member runs here, in the same frame as the amounts, and
 * moves the last fine forecast; once it stands, the worker runs many.
 */
function useCoarseThenFine(plan: Readonly<Ref<ReturnType<typeof planOf>>>) {
  const drawn = shallowRef<DrawnForecast>({ question: 0, forecast: null, isOld: false, known: null })
  const refine = useDebounceFn(async (value: CookPlan, mine: number, outline: Forecast) => {
    for (const members of MEMBERS) {
      if (mine !== drawn.value.question) return
      const fine = await askForecast(STREAM, value, [], 0, members).catch(() => null)
      if (mine !== drawn.value.question || !fine) return
      drawn.value = { question: mine, forecast: fine, isOld: false, known: { fine, outline, dish: value.dish.id } }
    }
  }, REFINE_MS)
  watch(plan, (value) => {
    const question = drawn.value.question + 1
    if (!value) {
      drawn.value = { ...drawn.value, question, forecast: null, known: null }
      return
    }
    const known = drawn.value.known?.dish === value.dish.id ? drawn.value.known : null
    const outline = forecastCook(value, [], 0, OUTLINE)
    drawn.value = { question, known, isOld: true, forecast: known ? scaledForecast(known, outline) : outline }
    void refine(value, question, outline)
  }, { immediate: true })
  // The fire that comes next waits for nothing that is asked here.
  onScopeDispose(() => {
    drawn.value = { ...drawn.value, question: drawn.value.question + 1 }
    giveUp(STREAM)
  })
  return {
    forecast: computed(() => drawn.value.forecast),
    forecastIsOld: computed(() => drawn.value.isOld),
  }
}
