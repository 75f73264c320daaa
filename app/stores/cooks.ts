import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import { CookSchema, type Cook } from '../../contracts/cook'
import type { StoredObservation } from '../../contracts/observation'
import type { AnyMark } from '../../core/record/marks/kinds'
import type { Observation } from '../../core/record/marks/observation'
import type { CookPlan } from '../../core/record/plan/plan'
import { ask, isForLater } from '../clients/api'
import { recentOnDevice } from '../clients/sync/recent'
import { keepObservation, keepPlan, waitingEntries } from '../clients/sync/outbox'

/** The cooks that this device can show while the hearth is away. */
const MOST_RECENT = 3
const recent = recentOnDevice('cook', CookSchema, MOST_RECENT)

/** A cook as this page knows it: its plan, and what was marked, acknowledged or not. */
export interface KnownCook {
  readonly plan: CookPlan
  readonly observations: readonly Observation[]
}

/** Cooks by id; any number may be live. State and actions only: what they mean is replayed in the core. */
export const useCooks = defineStore('cooks', () => {
  const known = shallowRef<Readonly<Record<string, KnownCook>>>({})
  /** What was stored of a cook that is still being read: the answer under way can be older than it. */
  const ahead = new Map<string, readonly Observation[]>()

  function set(id: string, cook: KnownCook): void {
    known.value = { ...known.value, [id]: cook }
  }

  /** Brings a cook in: from the hearth, or from this device where the hearth is away; what waits here is added. */
  async function load(id: string): Promise<'here' | 'unknown' | 'away'> {
    let cook: Cook | null
    let away = false
    let fresh = false
    try {
      // A plan that waits here is not on the hearth yet: it is not asked for.
      const waits = waitingEntries().some(({ entry }) => entry.type === 'plan' && entry.plan.id === id)
      cook = waits ? recent.read(id) : await ask('GET', `/cooks/${id}`, CookSchema)
      fresh = !waits
    }
    catch (error) {
      away = isForLater(error)
      cook = recent.read(id)
    }
    const waiting = waitingEntries()
    const plan =
      cook?.plan
      ?? waiting.flatMap(({ entry }) => (entry.type === 'plan' && entry.plan.id === id ? [entry.plan] : []))[0]
    if (!plan) return away ? 'away' : 'unknown'
    const local = waiting.flatMap(({ entry }) =>
      entry.type === 'observation' && entry.stream === id ? [entry.observation] : [],
    )
    const here = known.value[id]?.observations ?? ahead.get(id) ?? []
    const observations = merge(merge(here, local), cook?.observations ?? [])
    ahead.delete(id)
    set(id, { plan, observations })
    // An answer can be older than what was acknowledged while it was on its way: both are kept.
    if (fresh) cacheStored(id, plan, observations)
    return 'here'
  }

  /** Begins a cook of a plan: it is on this device at once and goes to the hearth as soon as it can. */
  function begin(plan: CookPlan): void {
    keepPlan(plan)
    set(plan.id, { plan, observations: [] })
  }

  /** Marks something in a cook. */
  function mark(id: string, { kind, payload }: AnyMark): void {
    const observation = keepObservation(id, kind, payload)
    const cook = known.value[id]
    if (cook) set(id, { ...cook, observations: merge(cook.observations, [observation]) })
  }

  /** Takes in what the hearth has stored: acknowledged, or marked on another device. */
  function receive(id: string, stored: readonly StoredObservation[]): void {
    const cook = known.value[id]
    if (stored.length === 0) return
    if (!cook) return void ahead.set(id, merge(ahead.get(id) ?? [], stored))
    const observations = merge(cook.observations, stored)
    if (observations === cook.observations) return
    set(id, { ...cook, observations })
    cacheStored(id, cook.plan, observations)
  }

  return { known, load, begin, mark, receive }
})

/** What the hearth has stored stands for what this device marked; what is known already changes nothing. */
function merge(old: readonly Observation[], fresh: readonly Observation[]): readonly Observation[] {
  const byId = new Map(old.map(one => [one.id, one]))
  const news = fresh.filter((one) => {
    const known = byId.get(one.id)
    return !known || (known.receivedAt === undefined && one.receivedAt !== undefined)
  })
  if (news.length === 0) return old
  for (const one of news) byId.set(one.id, one)
  return [...byId.values()]
}

/** Keeps a cook on this device, with what the hearth has stored of it: the rest waits in the outbox. */
function cacheStored(id: string, plan: CookPlan, observations: readonly Observation[]): void {
  const cook: Cook = { plan, observations: observations.filter((one): one is StoredObservation => 'place' in one) }
  recent.keep(id, cook)
}
