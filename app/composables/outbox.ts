import { readonly, shallowRef, type Ref } from 'vue'
import { z } from 'zod'
import { CookPlanSchema } from '../../contracts/cook'
import { AppendAnswerSchema, ObservationSchema, type SentObservation, type StoredObservation } from '../../contracts/observation'
import type { CookPlan } from '../../core/live/plan'
import { Anything, ask, isForLater } from './api'
import { hearthNow, hearthRate, holdClock } from './hearthClock'

const PREFIX = 'yon-hearth.out.'
const DEVICE = 'yon-hearth.device'
const NUMBER = 'yon-hearth.number'

/** One thing that the hearth has not acknowledged yet: each under a key of its own, so that two tabs never overwrite. */
const EntrySchema = z.discriminatedUnion('type', [
  z.object({ type: z.literal('plan'), order: z.number(), plan: CookPlanSchema }),
  z.object({ type: z.literal('observation'), order: z.number(), stream: z.string(), observation: ObservationSchema }),
])
type Entry = z.infer<typeof EntrySchema>

type Acknowledged = (stream: string, stored: readonly StoredObservation[]) => void

const waiting = shallowRef(0)
const reachable = shallowRef(true)
const listeners = new Set<Acknowledged>()
/** A mark is on this device at once; it is drawn first and sent this much later, ms of the hearth's clock. */
const DRAWN_MS = 150
let sending: Promise<void> | null = null
let again: ReturnType<typeof setTimeout> | null = null
let soon: ReturnType<typeof setTimeout> | null = null

/** How many things wait to be acknowledged, and whether the hearth answered the last time. */
export const outboxState: { readonly waiting: Readonly<Ref<number>>, readonly reachable: Readonly<Ref<boolean>> } = {
  waiting: readonly(waiting),
  reachable: readonly(reachable),
}

/**
 * This device's name: made once and kept.
 *
 * @returns an id
 */
export function deviceId(): string {
  let id = localStorage.getItem(DEVICE)
  if (!id) {
    id = crypto.randomUUID?.() ?? `d-${Array.from(crypto.getRandomValues(new Uint8Array(12)), b => b.toString(16).padStart(2, '0')).join('')}`
    localStorage.setItem(DEVICE, id)
  }
  return id
}

/**
 * A new id for anything this device makes; also where the page is not served securely.
 *
 * @returns 32 hexadecimal digits
 */
export function newId(): string {
  return Array.from(crypto.getRandomValues(new Uint8Array(16)), byte => byte.toString(16).padStart(2, '0')).join('')
}

function nextNumber(): number {
  const number = Number(localStorage.getItem(NUMBER) ?? 0) + 1
  localStorage.setItem(NUMBER, String(number))
  return number
}

/**
 * Keeps a plan until the hearth has it.
 *
 * @param plan a cook's plan
 */
export function keepPlan(plan: CookPlan): void {
  put(`${PREFIX}plan.${plan.id}`, { type: 'plan', order: nextNumber(), plan: CookPlanSchema.parse(plan) })
}

/**
 * Marks something: it is kept on this device at once and until the hearth has acknowledged it.
 *
 * @param stream id of the stream, such as a cook's
 * @param kind what was marked
 * @param payload its details
 * @returns the observation
 */
export function keepObservation(stream: string, kind: string, payload: Readonly<Record<string, unknown>>): SentObservation {
  const observation: SentObservation = {
    id: newId(), device: deviceId(), number: nextNumber(), deviceTime: hearthNow(), kind, payload: { ...payload },
  }
  put(`${PREFIX}observation.${observation.id}`, { type: 'observation', order: observation.number, stream, observation })
  return observation
}

function put(key: string, entry: Entry): void {
  localStorage.setItem(key, JSON.stringify(entry))
  waiting.value++
  holdClock(DRAWN_MS)
  soon ??= setTimeout(() => void flush(), DRAWN_MS / Math.max(1, hearthRate()))
}

/**
 * Everything that waits, oldest first. What cannot be read is left where it is.
 *
 * @returns keys and entries
 */
export function waitingEntries(): { readonly key: string, readonly entry: Entry }[] {
  const entries: { key: string, entry: Entry }[] = []
  for (let i = 0; i < localStorage.length; i++) {
    const key = localStorage.key(i)
    if (!key?.startsWith(PREFIX)) continue
    const parsed = EntrySchema.safeParse(JSON.parse(localStorage.getItem(key) ?? 'null'))
    if (parsed.success) entries.push({ key, entry: parsed.data })
  }
  return entries.sort((p, q) => p.entry.order - q.entry.order)
}

/**
 * Hears of what the hearth has acknowledged.
 *
 * @param listener called with the stream and the stored observations
 * @returns a function that stops it
 */
export function onAcknowledged(listener: Acknowledged): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** Sends what waits, in order, one request at a time; tries again after two seconds where the hearth is away. */
export function flush(): Promise<void> {
  if (soon) clearTimeout(soon)
  soon = null
  waiting.value = waitingEntries().length
  sending ??= sendAll().finally(() => {
    sending = null
    waiting.value = waitingEntries().length
    if (waiting.value > 0 && reachable.value) void flush()
  })
  return sending
}

async function sendAll(): Promise<void> {
  try {
    for (const { key, entry } of waitingEntries().filter(one => one.entry.type === 'plan')) await sendPlan(key, entry)
    const observations = waitingEntries().filter(one => one.entry.type === 'observation')
    const streams = new Set(observations.map(one => (one.entry.type === 'observation' ? one.entry.stream : '')))
    for (const stream of streams) await sendStream(stream, observations)
    reachable.value = true
  }
  catch {
    reachable.value = false
    again ??= setTimeout(() => {
      again = null
      void flush()
    }, 2000)
  }
}

async function sendPlan(key: string, entry: Entry): Promise<void> {
  if (entry.type !== 'plan') return
  try {
    await ask('PUT', `/cooks/${entry.plan.id}`, Anything, entry.plan)
  }
  catch (error) {
    // A plan that the hearth will never take must not hold up the rest; it is put aside, not thrown away.
    if (isForLater(error)) throw error
    localStorage.setItem(key.replace(PREFIX, 'yon-hearth.refused.'), JSON.stringify(entry))
  }
  localStorage.removeItem(key)
}

async function sendStream(stream: string, entries: ReturnType<typeof waitingEntries>): Promise<void> {
  const own = entries.flatMap(({ key, entry }) =>
    (entry.type === 'observation' && entry.stream === stream ? [{ key, observation: entry.observation }] : []))
  const { acknowledged } = await ask('POST', `/streams/${stream}/observations`, AppendAnswerSchema, {
    sentAt: hearthNow(), observations: own.slice(0, 200).map(one => one.observation),
  })
  const ids = new Set(acknowledged.map(one => one.id))
  for (const one of own) if (ids.has(one.observation.id)) localStorage.removeItem(one.key)
  for (const listener of listeners) listener(stream, acknowledged)
}
