import { isOneOf } from '../../core/records'
import { shallowRef, watch, type Ref } from 'vue'
import { z } from 'zod'
import { BatchPageSchema, BatchSchema, type Batch } from '../../contracts/batch'
import type { BatchRecord } from '../../core/cook/compare/difference'
import { changeWorked, type ChangeResult } from '../../core/cook/faults/changeWorked'
import { editFor, type DishEdit } from '../../core/cook/faults/dishEdit'
import { END_FAULTS, type EndFault } from '../../core/cook/faults/faults'
import { findCauses, type RankedCause } from '../../core/cook/faults/findCauses'
import { replay } from '../../core/record/replay/replay'
import { ask } from '../clients/api'

/** Good batches of the dish that are looked at beside. */
const BESIDE = 5
const DISH_BATCHES = 200

/** What was found out of a batch's faults. */
export interface Found {
  readonly good: number
  readonly faults: readonly {
    readonly fault: EndFault
    readonly causes: readonly { readonly ranked: RankedCause, readonly edit: DishEdit | null }[]
  }[]
  readonly changes: readonly ChangeResult[]
}

/**
 * A batch as the core compares it.
 *
 * @param batch from the hearth
 * @returns its record
 */
export function batchRecordOf(batch: Batch): BatchRecord {
  return { plan: batch.plan, cook: replay(batch.plan, batch.observations), summary: batch.line.summary }
}

/**
 * Looks for the causes of a batch's faults, beside the household's good batches of the dish.
 *
 * @param batch the batch, or null
 * @param faults as they stand now
 * @returns what was found; null until something is
 */
export function useFaultFinder(batch: Ref<Batch | null>, faults: Ref<readonly string[]>): Ref<Found | null> {
  const found = shallowRef<Found | null>(null)
  const beside = shallowRef<{
    readonly good: readonly BatchRecord[]
    readonly changes: readonly ChangeResult[]
  } | null>(null)
  async function lookBeside(of: Batch): Promise<void> {
    const { dishId } = of.line
    const [page, told] = await Promise.all([
      ask('GET', `/batches?dish=${dishId}&limit=${DISH_BATCHES}`, BatchPageSchema),
      ask('GET', `/batches/changes?dish=${dishId}`, ChangesSchema),
    ])
    const right = page.batches.filter(one => one.id !== of.line.id && one.summary.faults.length === 0).slice(0, BESIDE)
    const good = await Promise.all(right.map(one => ask('GET', `/batches/${one.id}`, BatchSchema).then(batchRecordOf)))
    const later = page.batches.map(one => ({
      dishId: one.dishId,
      version: one.version,
      startedAt: one.startedAt,
      faults: one.summary.faults,
    }))
    beside.value = { good, changes: changeWorked(told.changes, later) }
  }
  watch(() => batch.value?.line.id, () => {
    if (batch.value) void lookBeside(batch.value).catch(() => undefined)
  }, { immediate: true })
  watch([batch, faults, beside], () => {
    const of = batch.value
    if (!of) return
    const record = batchRecordOf(of)
    const known = faults.value.filter((one): one is EndFault => isOneOf(END_FAULTS, one))
    const good = beside.value?.good ?? []
    found.value = {
      good: good.length, changes: beside.value?.changes ?? [],
      faults: known.map(fault => ({
        fault,
        causes: findCauses(record, fault, good).map(ranked => ({ ranked, edit: editFor(ranked.cause, record) })),
      })),
    }
  }, { immediate: true })
  return found
}

const ChangesSchema = z.object({
  changes: z.array(
    z.object({
      at: z.number(),
      change: z.object({ dish: z.string(), version: z.number(), fault: z.string(), cause: z.string() }),
    }),
  ),
})
