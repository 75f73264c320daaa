import { useDebounceFn, useEventListener, useManualRefHistory } from '@vueuse/core'
import { defineStore } from 'pinia'
import { shallowRef, watch } from 'vue'
import type { Kitchen } from '../../contracts/kitchen'
import { SheetSchema, type Sheet } from '../../contracts/sheet'
import type { DishCard } from '../../core/formulation/dish/dish'
import { keepText, keptJson } from '../clients/sync/storage'

const KEPT = 'yon-hearth.sheet'
const MOST_UNDONE = 200
/** A drag is one change: it is written down once it pauses for so long, ms. */
const PAUSE_MS = 250
/** The sheet is written down on this device this soon after a change, ms. */
const KEEP_MS = 120

/** What a sheet is opened from. */
export interface SheetShelves {
  readonly kitchen: Kitchen | null
  readonly dishes: readonly DishCard[]
}

/**
 * The sheet on which a dish is measured out: what was chosen, and every change of it to be undone, also after another
 * view. Kept on this device with every change.
 */
export const useSheet = defineStore('sheet', () => {
  const sheet = shallowRef<Sheet | null>(null)
  const history = useManualRefHistory(sheet, { capacity: MOST_UNDONE })
  let unwritten = false
  function write(): void {
    if (unwritten) history.commit()
    unwritten = false
  }
  const writeLater = useDebounceFn(write, PAUSE_MS)
  function keepNow(): void {
    if (sheet.value) keepText(KEPT, JSON.stringify(sheet.value))
  }
  const keepSoon = useDebounceFn(keepNow, KEEP_MS)
  watch(sheet, () => void keepSoon())
  useEventListener('pagehide', keepNow)

  /** Changes some of what was chosen: one step to be undone, or part of one while something is moved. */
  function set(values: Partial<Sheet>, moving = false): void {
    if (!sheet.value) return
    if (!moving) write()
    sheet.value = { ...sheet.value, ...values }
    if (!moving) return history.commit()
    unwritten = true
    void writeLater()
  }

  /** Takes the last change back. */
  function undo(): void {
    write()
    history.undo()
  }

  /**
   * Opens the sheet of a dish, or the last one, with what was kept where it still stands on a shelf; none where there
   * is none.
   */
  function open(dishId: string | undefined, shelves: SheetShelves): void {
    write()
    const before = sheet.value
    const opened = firstSheet(shelves, dishId, before ?? recall())
    // What was open already stays so, with all that can be undone of it.
    if (before && JSON.stringify(before) === JSON.stringify(opened)) return
    sheet.value = opened
    history.commit()
    history.clear()
  }

  return { sheet, canUndo: history.canUndo, set, undo, open }
})

function firstSheet({ kitchen, dishes }: SheetShelves, dishId: string | undefined, last: Sheet | null): Sheet | null {
  const dish =
    dishes.find(one => one.id === dishId) ?? (dishId === undefined || dishId === last?.dish.id ? last?.dish : undefined)
  if (!kitchen || !dish) return null
  const kept = last && last.dish.id === dish.id && last.dish.version >= dish.version ? last : null
  const has = (list: readonly { readonly id: string }[], id: string | undefined): string =>
    (list.find(one => one.id === id) ?? list[0])?.id ?? ''
  const pots = kitchen.pans.filter(one => one.kind === 'pot')
  return {
    dish: kept?.dish ?? dish,
    baseG: kept?.baseG ?? dish.usual.baseG,
    marks: kept?.marks ?? {},
    turns: kept?.turns ?? [],
    cup: has(
      kitchen.measures.filter(one => one.kind === 'cup'),
      last?.cup,
    ),
    pan: has(
      kitchen.pans.filter(one => one.kind === 'pan'),
      last?.pan,
    ),
    pot: has(pots.length > 0 ? pots : kitchen.pans, last?.pot),
    fire: has(kitchen.fires, last?.fire),
    otherFire: has([...kitchen.fires].reverse(), last?.otherFire),
  }
}

function recall(): Sheet | null {
  const parsed = SheetSchema.safeParse(keptJson(KEPT))
  return parsed.success ? parsed.data : null
}
