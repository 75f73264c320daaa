import { useManualRefHistory } from '@vueuse/core'
import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import { SpreadSchema, type Spread } from '../../contracts/spread'
import { ask, isForLater, Refused } from '../clients/api'
import { laneOf, type Round } from '../clients/sync/lane'
import { dropText, keepText, keptJson } from '../clients/sync/storage'

const SAVE_MS = 400
const MOST_UNDONE = 200
const KEPT = (id: string): string => `yon-hearth.spread.${id}`

/**
 * One day of cooking: kept on this device at once and on the hearth soon after, with every change of it to be undone,
 * also after another view. What another device changed is read again.
 *
 * @param id of the day
 * @returns its store
 */
export const useDay = (id: string) => defineStore(`day/${id}`, () => {
  const spread = shallowRef<Spread | null>(null)
  /** What is wrong, as a sentence; empty where nothing is. */
  const trouble = shallowRef('')
  const history = useManualRefHistory(spread, { capacity: MOST_UNDONE })
  /** True while what stands here is not on the hearth. */
  let dirty = false
  const lane = laneOf(send)
  const isSending = (): boolean => lane.state.value === 'working'

  async function read(): Promise<void> {
    spread.value = await ask('GET', `/spreads/${id}`, SpreadSchema)
  }

  async function send(): Promise<Round> {
    if (!spread.value || !dirty) return 'done'
    const sent = spread.value
    dirty = false
    try {
      const kept = await ask('PUT', `/spreads/${id}`, SpreadSchema, sent)
      if (spread.value) spread.value = { ...spread.value, revision: kept.revision }
      if (!dirty) dropText(KEPT(id))
      trouble.value = ''
    }
    catch (error) {
      if (isForLater(error)) {
        dirty = true
        trouble.value = 'The hearth cannot be reached. The day is kept on this device and sent when it is back.'
        throw error
      }
      trouble.value = error instanceof Error ? error.message : String(error)
      if (error instanceof Refused && error.problem.code === 'changed-meanwhile') {
        dropText(KEPT(id))
        await read()
        history.clear()
      }
    }
    return dirty ? 'more' : 'done'
  }

  function saveSoon(): void {
    dirty = true
    if (spread.value) keepText(KEPT(id), JSON.stringify(spread.value))
    lane.afterPause(SAVE_MS)
  }

  /**
   * Reads the day; what was changed here and is not sent yet stands. What nobody changed meanwhile can still be undone.
   */
  async function load(): Promise<void> {
    const before = spread.value
    const kept = SpreadSchema.safeParse(keptJson(KEPT(id)))
    try {
      await read()
      if (kept.success && spread.value && kept.data.revision === spread.value.revision) {
        spread.value = kept.data
        dirty = true
        lane.afterPause(SAVE_MS)
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

  /**
   * Another device has changed it: what was changed here while it is read stands, for the hearth tells, when it is
   * sent, who was first.
   */
  async function heardOf(revision: number): Promise<void> {
    if (dirty || isSending() || !spread.value || revision <= spread.value.revision) return
    const theirs = await ask('GET', `/spreads/${id}`, SpreadSchema).catch(() => null)
    if (theirs && !dirty && !isSending()) spread.value = theirs
  }

  return { spread, trouble, canUndo: history.canUndo, load, change, note, undo, heardOf, saved: lane.now }
})()
