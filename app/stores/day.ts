import { useDebounceFn, useManualRefHistory } from '@vueuse/core'
import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import { SpreadSchema, type Spread } from '../../contracts/spread'
import { ask, isForLater, Refused } from '../clients/api'
import { dropText, keepText, keptJson } from '../clients/deviceStorage'

const SAVE_MS = 400
const RETRY_MS = 5000
const MOST_UNDONE = 200
const KEPT = (id: string): string => `yon-hearth.spread.${id}`

/**
 * One day of cooking: kept on this device at once and on the hearth soon after, with every change of it to be undone, also
 * after another view. What another device changed is read again.
 *
 * @param id of the day
 * @returns its store
 */
export const useDay = (id: string) => defineStore(`day/${id}`, () => {
  const spread = shallowRef<Spread | null>(null)
  /** What is wrong, as a sentence; empty where nothing is. */
  const trouble = shallowRef('')
  const history = useManualRefHistory(spread, { capacity: MOST_UNDONE })
  let dirty = false
  let busy: Promise<void> | null = null

  async function read(): Promise<void> {
    spread.value = await ask('GET', `/spreads/${id}`, SpreadSchema)
  }

  /** Sends what is not sent yet; what is under way is waited for. */
  async function save(): Promise<void> {
    if (busy) await busy
    if (!spread.value || busy || !dirty) return
    busy = send().finally(() => {
      busy = null
      if (dirty) void later()
    })
    await busy
  }

  async function send(): Promise<void> {
    if (!spread.value) return
    const sent = spread.value
    dirty = false
    try {
      const kept = await ask('PUT', `/spreads/${id}`, SpreadSchema, sent)
      if (spread.value) spread.value = { ...spread.value, revision: kept.revision }
      if (!dirty) dropText(KEPT(id))
      trouble.value = ''
    }
    catch (error) {
      if (error instanceof Refused && error.problem.code === 'changed-meanwhile') {
        dropText(KEPT(id))
        await read()
        history.clear()
        trouble.value = error.problem.detail
      }
      else if (isForLater(error)) {
        dirty = true
        setTimeout(() => void save(), RETRY_MS)
        trouble.value = 'The hearth cannot be reached. The day is kept on this device and sent when it is back.'
      }
      else trouble.value = error instanceof Error ? error.message : String(error)
    }
  }
  const later = useDebounceFn(() => save(), SAVE_MS)

  function saveSoon(): void {
    dirty = true
    if (spread.value) keepText(KEPT(id), JSON.stringify(spread.value))
    void later()
  }

  /** Reads the day; what was changed here and is not sent yet stands. What nobody changed meanwhile can still be undone. */
  async function load(): Promise<void> {
    const before = spread.value
    const kept = SpreadSchema.safeParse(keptJson(KEPT(id)))
    try {
      await read()
      if (kept.success && spread.value && kept.data.revision === spread.value.revision) {
        spread.value = kept.data
        dirty = true
        void later()
      }
    }
    catch (error) {
      if (kept.success) spread.value = kept.data
      trouble.value = error instanceof Error ? error.message : String(error)
    }
    if (before && spread.value && before.revision === spread.value.revision) {
      spread.value = before
      return
    }
    history.commit()
    history.clear()
  }

  /** Changes the day: one step to be undone, unless it is still moved. */
  function change(next: (now: Spread) => Spread, moving = false): void {
    if (!spread.value) return
    spread.value = next(spread.value)
    if (!moving) history.commit()
    saveSoon()
  }

  /** What is found for the day goes into it, and is no step to be undone. */
  function note(values: Partial<Spread>): void {
    if (!spread.value) return
    spread.value = { ...spread.value, ...values }
    saveSoon()
  }

  /** Takes the last change back. */
  function undo(): void {
    const revision = spread.value?.revision ?? 0
    history.undo()
    if (spread.value) spread.value = { ...spread.value, revision }
    saveSoon()
  }

  /** Another device has changed it: what was changed here while it is read stands, for the hearth tells, when it is sent, who was first. */
  async function heardOf(revision: number): Promise<void> {
    if (dirty || busy || !spread.value || revision <= spread.value.revision) return
    const theirs = await ask('GET', `/spreads/${id}`, SpreadSchema).catch(() => null)
    if (theirs && !dirty && !busy) spread.value = theirs
  }

  return { spread, trouble, canUndo: history.canUndo, load, change, note, undo, heardOf, saved: save }
})()
