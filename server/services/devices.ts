import type { StandingAside } from '../../contracts/aside'
import type { HeardDevice, ReadingsRequest, TakenReading } from '../../contracts/device'
import type { AppendRequest, SentObservation, StoredObservation } from '../../contracts/observation'
import { COLOUR_STEPS } from '../../core/formulation/signs/signIds'
import type { RawReading, Settled } from '../../core/cook/readings/reading'
import { settleColour, stepOfColour } from '../../core/cook/readings/settleColour'
import { settleTemperature } from '../../core/cook/readings/settleTemperature'
import { settleWeight } from '../../core/cook/readings/settleWeight'
import type { Aside } from './aside'
import type { HearthClock } from './clock'
import type { Cooks } from './cooks'
import type { Database } from './database'
import { rowOf } from '../models/rows'

/** Scales, probes and cameras. */
export interface Devices {
  /** Takes readings in; what has settled is marked in the cook the device stands in. */
  take(request: Omit<ReadingsRequest, 'protocol'>): Promise<TakenReading>
  heard(): HeardDevice[]
  link(device: string, cook: string | null, vessel: string | null): Promise<void>
}

type Append = (stream: string, request: AppendRequest) => Promise<StoredObservation[]>

/** Readings kept of each device, and devices heard of. */
const KEPT_READINGS = 80
const MOST_DEVICES = 50
/** Readings of one kind are marked no oftener than this, ms: one after another says little more. */
const EVERY_MS: Readonly<Record<Settled['kind'], number>> = {
  weight: 20_000,
  temperature: 60_000,
  colour: 15_000,
  unsure: 60_000,
}
/** The same weight again within this time is the same weighing, ms and share. */
const SAME_MS = 120_000
const SAME_SHARE = 0.004
const EXPECTED_EVERY_MS = 20_000
/** How long a forecast for a device may take, ms. */
const BUDGET_MS = 20_000

interface Heard extends HeardDevice {
  readings: readonly RawReading[]
  lastNumber: number
  /** The device's own clock at its newest reading, and when it last sent, ms. */
  lastAt: number
  lastSentAt: number
  /** When something of each kind was marked last, on the hearth's clock, the weight, and the colour step. */
  markedAt: Partial<Record<Settled['kind'], number>>
  weightG: number
  step: string
}

/**
 * The devices of one hearth. A device may say where it stands; else where it was said to stand, else the only cook on
 * the fire is taken.
 *
 * @param database an open database
 * @param clock the one clock
 * @param cooks running cooks
 * @param aside where forecasts are worked out
 * @param append how a mark is stored
 * @returns the devices; readings themselves are not stored, what they settle at is
 */
export function devicesOf(database: Database, clock: HearthClock, cooks: Cooks, aside: Aside, append: Append): Devices {
  const { DeviceLink } = database.models
  const heard = new Map<string, Heard>()
  const standings = new Map<string, { readonly atMs: number, readonly value: Promise<StandingAside> }>()

  const place = async (
    request: Omit<ReadingsRequest, 'protocol'>,
  ): Promise<{ cook: string | null, vessel: string | null }> => {
    if (request.cook && (await cooks.has(request.cook))) return { cook: request.cook, vessel: request.vessel ?? null }
    const link = await rowOf(DeviceLink, { where: { device: request.device } })
    const running = (await cooks.live()).filter(one => one.startedAt !== null)
    if (link && running.some(one => one.id === link.cook))
      return { cook: String(link.cook), vessel: String(link.vessel) || null }
    return { cook: running.length === 1 ? (running[0]?.id ?? null) : null, vessel: request.vessel ?? null }
  }

  /**
   * How the cook stands, by its forecast where a weight has to be told apart; asked aside, and no oftener than that.
   */
  const standingOf = async (cook: string, vessel: string | null): Promise<StandingAside> => {
    const key = `${cook} ${vessel ?? ''}`
    const known = standings.get(key)
    if (known && Math.abs(clock.now() - known.atMs) < EXPECTED_EVERY_MS) return known.value
    const value = aside.ask({ kind: 'standing', cook, nowMs: clock.now(), vessel }, BUDGET_MS)
    standings.set(key, { atMs: clock.now(), value })
    value.catch(() => standings.delete(key))
    if (standings.size > MOST_DEVICES) standings.delete(standings.keys().next().value ?? '')
    return value
  }

  const settle = (one: Heard, standing: StandingAside): Settled | null => {
    if (!standing.running) return null
    if (one.kind === 'scale') return standing.expected ? settleWeight(one.readings, standing.expected) : null
    return one.kind === 'thermometer' ? settleTemperature(one.readings) : settleColour(one.readings)
  }

  return {
    async take(request) {
      const now = clock.now()
      const offset = now - request.sentAt
      const old = heard.get(request.device)
      const where = await place(request)
      const one: Heard = {
        device: request.device,
        kind: request.kind,
        name: request.name ?? old?.name ?? '',
        cook: where.cook,
        vessel: where.vessel,
        heardAt: now,
        readings: old?.readings ?? [],
        lastNumber: hasBegunAnew(old, request) ? -1 : (old?.lastNumber ?? -1),
        lastAt: old?.lastAt ?? 0,
        lastSentAt: request.sentAt,
        markedAt: old?.markedAt ?? {},
        weightG: old?.weightG ?? 0,
        step: old && old.cook === where.cook ? old.step : '',
      }
      const fresh = request.readings
        .filter(reading => reading.number > one.lastNumber)
        .sort((p, q) => p.number - q.number)
      one.readings = [
        ...one.readings,
        ...fresh.map(({ at, value, unit }): RawReading => ({ atMs: at + offset, value, ...(unit ? { unit } : {}) })),
      ].slice(-KEPT_READINGS)
      one.lastNumber = Math.max(one.lastNumber, ...request.readings.map(reading => reading.number))
      one.lastAt = Math.max(hasBegunAnew(old, request) ? 0 : one.lastAt, ...request.readings.map(reading => reading.at))
      heard.delete(one.device)
      heard.set(one.device, one)
      if (heard.size > MOST_DEVICES) heard.delete(heard.keys().next().value ?? '')
      const answer = { taken: one.lastNumber, cook: where.cook, vessel: where.vessel }
      if (where.cook === null || fresh.length === 0) return { ...answer, marked: [] }
      const vessel = where.vessel ?? (await standingOf(where.cook, null)).mainVessel
      const standing = await standingOf(where.cook, one.kind === 'scale' ? vessel : null)
      const settled = settle(one, standing)
      const mark = settled ? markOf(one, vessel, settled, standing) : null
      if (!mark) return { ...answer, vessel, marked: [] }
      await append(where.cook, { sentAt: clock.now(), observations: [mark] })
      return { ...answer, vessel, marked: [mark.kind] }
    },
    heard: () =>
      [...heard.values()]
        .reverse()
        .map(({ device, kind, name, cook, vessel, heardAt }) => ({ device, kind, name, cook, vessel, heardAt })),
    async link(device, cook, vessel) {
      if (cook === null) await DeviceLink.destroy({ where: { device } })
      else await DeviceLink.upsert({ device, cook, vessel: vessel ?? '' })
    },
  }
}

/** Clocks of devices are set right by minutes now and then; one that is this far back has begun anew, ms. */
const ANEW_MS = 300_000

/**
 * A device that was switched off numbers from the beginning: its numbers are lower although its clock has gone on, or
 * its clock itself stands long before. What is only sent again has lower numbers and the times it had before.
 */
function hasBegunAnew(old: Heard | undefined, { sentAt, readings }: Omit<ReadingsRequest, 'protocol'>): boolean {
  if (!old) return false
  if (sentAt < old.lastSentAt - ANEW_MS) return true
  return readings.every(reading => reading.number <= old.lastNumber && reading.at > old.lastAt)
}

/** What is marked of a settled reading; null where it was marked a moment ago, or says nothing new. */
function markOf(one: Heard, vessel: string, settled: Settled, standing: StandingAside): SentObservation | null {
  const last = one.markedAt[settled.kind] ?? Number.NEGATIVE_INFINITY
  if (settled.atMs - last < EVERY_MS[settled.kind]) return null
  const mark = markPayload(one, settled, standing)
  if (!mark) return null
  if (settled.kind === 'weight') {
    if (settled.atMs - last < SAME_MS && Math.abs(settled.grossG - one.weightG) < SAME_SHARE * settled.grossG)
      return null
    one.weightG = settled.grossG
  }
  one.markedAt = { ...one.markedAt, [settled.kind]: settled.atMs }
  // A number that rises with the clock, so that a device that starts anew does not begin before itself; it fits 40
  // bits.
  const number = Math.floor(settled.atMs / 10)
  return {
    id: `${one.device}-${number}`,
    device: one.device,
    number,
    deviceTime: Math.round(settled.atMs),
    kind: mark.kind,
    payload: { vessel, by: one.kind, ...mark.payload },
  }
}

function markPayload(
  one: Heard,
  settled: Settled,
  standing: StandingAside,
): { readonly kind: string, readonly payload: Record<string, unknown> } | null {
  switch (settled.kind) {
    case 'weight':
      return { kind: 'weighed', payload: { grossG: settled.grossG, how: settled.how } }
    case 'temperature':
      return { kind: 'temperature', payload: { tempC: settled.tempC } }
    case 'unsure':
      return { kind: 'reading.unsure', payload: { readG: settled.readG } }
    case 'colour': {
      const step = stepOfColour(settled.lab, standing)
      // A roast only darkens: at the border of two steps a camera would call them by turns.
      if (!step || COLOUR_STEPS.indexOf(step) <= COLOUR_STEPS.findIndex(known => known === one.step)) return null
      one.step = step
      return { kind: 'looks.like', payload: { step, lab: settled.lab } }
    }
  }
}
