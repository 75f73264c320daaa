import { readonly, shallowRef, type Ref } from 'vue'
import { z } from 'zod'
import { CookPlanSchema } from '../../../contracts/cook'
import {
  AppendAnswerSchema,
  ObservationSchema,
  type SentObservation,
  type StoredObservation,
} from '../../../contracts/observation'
import type { CookPlan } from '../../../core/record/plan/plan'
import { Anything, ask, isForLater, Refused } from '../api'
import { deviceKeeping, dropText, keepText, keptJson, keptKeys, keptText, type DeviceKeeping } from './storage'
import { hearthNow, hearthRate, holdClock, onClockPutRight } from '../hearthClock'
import { isReachable, laneOf, type Lane, type Round } from './lane'

const PREFIX = 'yon-hearth.out.'
/** What the hearth will never take is set aside under this, and told of; nothing is thrown away. */
const SET_ASIDE = 'yon-hearth.refused.'
const DEVICE = 'yon-hearth.device'
const NUMBER = 'yon-hearth.number'

/**
 * One thing that the hearth has not acknowledged yet: each under a key of its own, so that two tabs never overwrite.
 */
const EntrySchema = z.discriminatedUnion('type', [
  z.object({ type: z.literal('plan'), order: z.number(), plan: CookPlanSchema }),
  z.object({ type: z.literal('observation'), order: z.number(), stream: z.string(), observation: ObservationSchema }),
])
type Entry = z.infer<typeof EntrySchema>

/** Marks of one post: the hearth takes no more. */
const MOST_AT_ONCE = 200

type Acknowledged = (stream: string, stored: readonly StoredObservation[]) => void

const waiting = shallowRef(0)
const setAside = shallowRef(0)
const listeners = new Set<Acknowledged>()
/** A mark is on this device at once; it is drawn first and sent this much later, ms of the hearth's clock. */
const DRAWN_MS = 150
/**
 * How many things wait to be acknowledged, whether the hearth answered the last time, what it refused for good, and how
 * this device keeps what waits.
 */
export interface OutboxState {
  readonly waiting: Readonly<Ref<number>>
  readonly reachable: Readonly<Ref<boolean>>
  readonly setAside: Readonly<Ref<number>>
  readonly keeping: Readonly<Ref<DeviceKeeping>>
}
export const outboxState: OutboxState = {
  waiting: readonly(waiting),
  reachable: isReachable,
  setAside: readonly(setAside),
  keeping: deviceKeeping,
}

/**
 * This device's name: made once and kept.
 *
 * @returns an id
 */
export function deviceId(): string {
  let id = keptText(DEVICE)
  if (!id) {
    id =
      crypto.randomUUID?.()
      ?? `d-${Array.from(crypto.getRandomValues(new Uint8Array(12)), b => b.toString(16).padStart(2, '0')).join('')}`
    keepText(DEVICE, id)
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
  const number = (Number(keptText(NUMBER)) || 0) + 1
  keepText(NUMBER, String(number))
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
export function keepObservation(
  stream: string,
  kind: string,
  payload: Readonly<Record<string, unknown>>,
): SentObservation {
  const observation: SentObservation = {
    id: newId(),
    device: deviceId(),
    number: nextNumber(),
    deviceTime: hearthNow(),
    kind,
    payload: { ...payload },
  }
  put(`${PREFIX}observation.${observation.id}`, { type: 'observation', order: observation.number, stream, observation })
  return observation
}

function put(key: string, entry: Entry): void {
  keepText(key, JSON.stringify(entry))
  waiting.value++
  holdClock(DRAWN_MS)
  laneFor(streamOf(entry)).soon(DRAWN_MS / Math.max(1, hearthRate()))
}

/**
 * What waits of one stream goes by itself: its plan, where it is a cook that the hearth has not seen, then its marks.
 */
const streamOf = (entry: Entry): string => (entry.type === 'plan' ? entry.plan.id : entry.stream)
const lanes = new Map<string, Lane>()

function laneFor(stream: string): Lane {
  const known = lanes.get(stream)
  if (known) return known
  const lane = laneOf(() => sendStream(stream).finally(countWaiting))
  lanes.set(stream, lane)
  return lane
}

/**
 * Everything that waits, oldest first. What cannot be read is left where it is.
 *
 * @returns keys and entries
 */
export function waitingEntries(): { readonly key: string, readonly entry: Entry }[] {
  const entries = keptKeys(PREFIX).flatMap((key) => {
    const parsed = EntrySchema.safeParse(keptJson(key))
    return parsed.success ? [{ key, entry: parsed.data }] : []
  })
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

/** Sends what waits, each stream by itself; tries again, after longer and longer, where the hearth is away. */
export async function flush(): Promise<void> {
  countWaiting()
  const streams = new Set(waitingEntries().map(one => streamOf(one.entry)))
  await Promise.all([...streams].map(stream => laneFor(stream).now()))
}

/** Counts what waits and what is set aside anew. */
export function countWaiting(): void {
  waiting.value = waitingEntries().length
  setAside.value = keptKeys(SET_ASIDE).length
}

/** What the hearth will never take must not hold up the rest; it is set aside, not thrown away. */
function putAside(key: string, why: string): void {
  keepText(key.replace(PREFIX, SET_ASIDE), JSON.stringify({ why, entry: keptJson(key) }))
  dropText(key)
}

/** One round of a stream: its plan, and as many of its marks as go at once. */
async function sendStream(stream: string): Promise<Round> {
  const own = waitingEntries().filter(one => streamOf(one.entry) === stream)
  for (const { key, entry } of own) if (entry.type === 'plan') await sendPlan(key, entry.plan)
  const marks = own.flatMap(({ key, entry }) =>
    entry.type === 'observation' ? [{ key, observation: entry.observation }] : [],
  )
  const settled = marks.length === 0 ? 0 : await sendMarks(stream, marks.slice(0, MOST_AT_ONCE))
  if (marks.length === settled) return 'done'
  // An answer that settles nothing is no reason to ask again at once.
  return settled > 0 ? 'more' : 'stuck'
}

async function sendPlan(key: string, plan: CookPlan): Promise<void> {
  try {
    await ask('PUT', `/cooks/${plan.id}`, Anything, plan)
    dropText(key)
  }
  catch (error) {
    if (isForLater(error)) throw error
    putAside(key, error instanceof Error ? error.message : String(error))
  }
}

/**
 * Sends marks; those that are on disk are let go of, those that will never be are set aside. Returns how many of them.
 */
async function sendMarks(
  stream: string,
  marks: readonly { readonly key: string, readonly observation: SentObservation }[],
): Promise<number> {
  try {
    const { acknowledged, refused } = await ask('POST', `/streams/${stream}/observations`, AppendAnswerSchema, {
      sentAt: hearthNow(),
      observations: marks.map(one => one.observation),
    })
    const ids = new Set(acknowledged.map(one => one.id))
    const faults = new Map(refused.map(one => [one.id, `${one.path.replace(/^payload\./, '')}: ${one.message}`]))
    for (const { key, observation } of marks) {
      if (ids.has(observation.id)) dropText(key)
      else if (faults.has(observation.id)) putAside(key, faults.get(observation.id) ?? '')
    }
    for (const listener of listeners) listener(stream, acknowledged)
    return marks.filter(one => ids.has(one.observation.id) || faults.has(one.observation.id)).length
  } catch (error) {
    if (isForLater(error)) throw error
    // All of this post was refused: of this stream or of these marks; other streams go on.
    for (const { key } of marks)
      putAside(
        key,
        error instanceof Refused
          ? error.problem.code === 'not-found'
            ? 'the hearth knows no such cook'
            : error.problem.title
          : String(error),
      )
    return marks.length
  }
}

// What was marked while the clock was wrong gets the time that it was.
onClockPutRight((right) => {
  for (const { key, entry } of waitingEntries()) {
    if (entry.type !== 'observation') continue
    const deviceTime = Math.max(0, Math.round(right(entry.observation.deviceTime)))
    if (deviceTime !== entry.observation.deviceTime)
      keepText(key, JSON.stringify({ ...entry, observation: { ...entry.observation, deviceTime } }))
  }
})
