import { useDebounceFn } from '@vueuse/core'
import type { Ref } from 'vue'
import { SpreadSchema, type Spread } from '../../contracts/spread'
import { ask, isForLater, Refused } from './api'
import { dropText, keepText, keptJson } from './deviceStorage'
import { followSpread } from './followed'

const SAVE_MS = 400
const RETRY_MS = 5000
const KEPT = (id: string): string => `yon-hearth.spread.${id}`

/**
 * Keeps the day on this device at once and on the hearth soon after; what another device changed is read again.
 *
 * @param id of the day
 * @param spread the day
 * @param trouble what is wrong, as a sentence; empty if nothing is
 * @param readAnew called when what was read takes the place of what was here
 */
export function useSpreadSaving(id: string, spread: Ref<Spread | null>, trouble: Ref<string>, readAnew: () => void) {
  let dirty = false
  let busy: Promise<void> | null = null
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
        readAnew()
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
  async function read(): Promise<void> {
    spread.value = await ask('GET', `/spreads/${id}`, SpreadSchema)
  }
  /** What was changed here while it was read stands: the hearth tells, when it is sent, that another device was first. */
  async function follow(): Promise<void> {
    const theirs = await ask('GET', `/spreads/${id}`, SpreadSchema).catch(() => null)
    if (theirs && !dirty && !busy) spread.value = theirs
  }
  followSpread(id, (revision) => {
    if (!dirty && !busy && spread.value && revision > spread.value.revision) void follow()
  })
  return {
    async load(): Promise<void> {
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
    },
    now: () => save(),
    soon(): void {
      dirty = true
      if (spread.value) keepText(KEPT(id), JSON.stringify(spread.value))
      void later()
    },
  }
}
