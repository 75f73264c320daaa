import { computed, onScopeDispose, ref, shallowRef, type ComputedRef, type Ref } from 'vue'
import { BatchSchema, type Batch } from '../../contracts/batch'
import type { StoredObservation } from '../../contracts/observation'
import { INGREDIENTS } from '../../book/ingredients'
import { standing, type Standing } from '../../core/cook/after/standing'
import type { AnyMark, MarkKind } from '../../core/record/marks/kinds'
import type { LiveCook } from '../../core/record/marks/liveCook'
import type { Observation } from '../../core/record/marks/observation'
import type { CookPlan } from '../../core/record/plan/plan'
import { planRow } from '../../core/record/plan/planRow'
import { replay } from '../../core/record/replay/replay'
import { ask, isForLater } from '../clients/api'
import { followStream } from './cookStream'

const ROWS = new Map(INGREDIENTS.map(row => [row.id, row]))

/** The cooks a page knows, and what is marked in them. */
interface Cooks {
  readonly known: Readonly<Record<string, { readonly plan: CookPlan, readonly observations: readonly Observation[] }>>
  load(id: string): Promise<unknown>
  mark(id: string, mark: AnyMark): void
  receive(id: string, stored: readonly StoredObservation[]): void
}

/** A cook that has just ended is not a batch yet: it is asked for again after so long, real ms. */
const COMING_MS = 2000

/** A batch after the fire, as a page shows it. */
export interface BatchAfterFire {
  /** `coming`: its cook has ended, and the hearth is still working out what came of it. */
  readonly state: Ref<'loading' | 'here' | 'coming' | 'unknown' | 'away'>
  readonly batch: Ref<Batch | null>
  readonly plan: ComputedRef<CookPlan | null>
  readonly cook: ComputedRef<LiveCook | null>
  readonly now: ComputedRef<Standing | null>
  mark(mark: AnyMark): void
  /** Takes back the newest mark of a kind. */
  takeBack(kind: MarkKind): void
}

/**
 * Follows a finished batch: its summary from the hearth, and what is marked of it, here and on other devices.
 *
 * @param id of the batch
 * @param cooks of this page
 * @returns how it stands; `now` is null until its weight is known
 */
export function useAfterFire(id: string, cooks: Cooks): BatchAfterFire {
  const state: BatchAfterFire['state'] = ref('loading')
  const batch = shallowRef<Batch | null>(null)
  const plan = computed(() => cooks.known[id]?.plan ?? null)
  const cook = computed(() => (plan.value ? replay(plan.value, cooks.known[id]?.observations ?? []) : null))
  let again: ReturnType<typeof setTimeout> | undefined
  async function load(): Promise<void> {
    clearTimeout(again)
    const known = cooks.load(id)
    try {
      batch.value = await ask('GET', `/batches/${id}`, BatchSchema)
      await known
      state.value = 'here'
    }
    catch (error) {
      await known
      state.value = isForLater(error) ? 'away' : (cook.value?.finishedS ?? null) === null ? 'unknown' : 'coming'
      if (state.value === 'coming' && !gone) again = setTimeout(() => void load(), COMING_MS)
    }
  }
  let gone = false
  onScopeDispose(() => {
    gone = true
    clearTimeout(again)
  })
  void load()
  followStream(id, stored => cooks.receive(id, stored), () => void load())
  const now = computed(() => {
    const finishedG = batch.value?.line.summary.finishedG ?? null
    if (!plan.value || !cook.value || finishedG === null || !(finishedG > 0)) return null
    const rowOf = planRow(plan.value, ROWS)
    return standing(plan.value, cook.value, finishedG, ingredient => rowOf(ingredient)?.kind)
  })
  return {
    state, batch, plan, cook, now,
    mark: mark => cooks.mark(id, mark),
    takeBack(kind) {
      const last = cook.value?.moments.filter(one => one.kind === kind && !one.withdrawn).at(-1)
      if (last) cooks.mark(id, { kind: 'withdrawn', payload: { replaces: last.id } })
    },
  }
}
