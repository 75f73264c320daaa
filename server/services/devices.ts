import type { HeardDevice, ReadingsRequest, Taken } from '../../contracts/device'
import type { AppendRequest, SentObservation, StoredObservation } from '../../contracts/observation'
import { mainVessel } from '../../core/dish/mainVessel'
import { coloursOf } from '../../core/forecast/coloursOf'
import { forecastCook } from '../../core/forecast/forecastCook'
import { COLOUR_STEPS } from '../../core/dish/signIds'
import type { CookPlan } from '../../core/live/plan'
import { replay } from '../../core/live/replay'
import type { Expected, RawReading, Settled } from '../../core/readings/reading'
import { settleColour, stepOfColour } from '../../core/readings/settleColour'
import { settleTemperature } from '../../core/readings/settleTemperature'
import { settleWeight } from '../../core/readings/settleWeight'
import type { Row } from '../models/models'
import type { HearthClock } from './clock'
import type { Cooks } from './cooks'
import type { Database } from './database'

/** Scales, probes and cameras. */
export interface Devices {
  /** Takes readings in; what has settled is marked in the cook the device stands in. */
  take(request: Omit<ReadingsRequest, 'protocol'>): Promise<Taken>
  heard(): HeardDevice[]
  link(device: string, cook: string | null, vessel: string | null): Promise<void>
}

type Append = (stream: string, request: AppendRequest) => Promise<StoredObservation[]>

/** Readings kept of each device, and devices heard of. */
const KEPT_READINGS = 80
const MOST_DEVICES = 50
/** Readings of one kind are marked no oftener than this, ms: one after another says little more. */
const EVERY_MS: Readonly<Record<Settled['kind'], number>> = { weight: 20_000, temperature: 60_000, colour: 15_000, unsure: 60_000 }
/** The same weight again within this time is the same weighing, ms and share. */
const SAME_MS = 120_000
const SAME_SHARE = 0.004
const EXPECTED_EVERY_MS = 20_000
const MEMBERS = 60

interface Heard extends HeardDevice {
  readings: readonly RawReading[]
  lastNumber: number
  /** When something of each kind was marked last, on the hearth's clock, the weight, and the colour step. */
  markedAt: Partial<Record<Settled['kind'], number>>
  weightG: number
  step: string
}

/**
 * The devices of one hearth. A device may say where it stands; else where it was said to stand, else the only cook on the
 * fire is taken.
 *
 * @param database an open database
 * @param clock the one clock
 * @param cooks running cooks
 * @param append how a mark is stored
 * @returns the devices; readings themselves are not stored, what they settle at is
 */
export function devicesOf(database: Database, clock: HearthClock, cooks: Cooks, append: Append): Devices {
  const { DeviceLink } = database.models
  const heard = new Map<string, Heard>()
  const expectations = new Map<string, { readonly atMs: number, readonly value: Expected | null }>()

  const place = async (request: Omit<ReadingsRequest, 'protocol'>): Promise<{ cook: string | null, vessel: string | null }> => {
    if (request.cook && await cooks.has(request.cook)) return { cook: request.cook, vessel: request.vessel ?? null }
    const link = await DeviceLink.findByPk(request.device, { raw: true }) as unknown as Row | null
    const running = (await cooks.live()).filter(one => one.startedAt !== null)
    if (link && running.some(one => one.id === link.cook)) return { cook: String(link.cook), vessel: String(link.vessel) || null }
    return { cook: running.length === 1 ? running[0]?.id ?? null : null, vessel: request.vessel ?? null }
  }

  const expectedOf = async (cookId: string, plan: CookPlan, vessel: string, observations: readonly StoredObservation[], nowS: number): Promise<Expected | null> => {
    const known = expectations.get(`${cookId} ${vessel}`)
    if (known && clock.now() - known.atMs < EXPECTED_EVERY_MS) return known.value
    const forecast = forecastCook(plan, observations, nowS, MEMBERS)
    const side = forecast.sides.find(one => one.vessel === vessel)?.now
    const now = vessel === mainVessel(plan.dish) ? forecast.panNow : side ? { contentG: { early: side.contentG, late: side.contentG }, tempC: { early: side.tempC, late: side.tempC } } : undefined
    const value = now ? { tareG: plan.vessels[vessel]?.vessel.massG ?? 0, contentG: now.contentG, tempC: now.tempC } : null
    expectations.set(`${cookId} ${vessel}`, { atMs: clock.now(), value })
    return value
  }

  const settle = async (one: Heard, cookId: string, vessel: string): Promise<{ settled: Settled, plan: CookPlan } | null> => {
    const { plan, observations } = await cooks.one(cookId)
    const cook = replay(plan, observations)
    if (cook.startedMs === null || cook.finishedS !== null) return null
    if (one.kind === 'scale') {
      const expected = await expectedOf(cookId, plan, vessel, observations, Math.max(0, (clock.now() - cook.startedMs) / 1000))
      const settled = expected ? settleWeight(one.readings, expected) : null
      return settled ? { settled, plan } : null
    }
    const settled = one.kind === 'thermometer' ? settleTemperature(one.readings) : settleColour(one.readings)
    return settled ? { settled, plan } : null
  }

  return {
    async take(request) {
      const now = clock.now()
      const offset = now - request.sentAt
      const old = heard.get(request.device)
      const where = await place(request)
      const one: Heard = {
        device: request.device, kind: request.kind, name: request.name ?? old?.name ?? '', cook: where.cook, vessel: where.vessel, heardAt: now,
        readings: old?.readings ?? [], lastNumber: old?.lastNumber ?? -1, markedAt: old?.markedAt ?? {}, weightG: old?.weightG ?? 0, step: old && old.cook === where.cook ? old.step : '',
      }
      const fresh = request.readings.filter(reading => reading.number > one.lastNumber).sort((p, q) => p.number - q.number)
      one.readings = [...one.readings, ...fresh.map(({ at, value, unit }): RawReading => ({ atMs: at + offset, value, ...(unit ? { unit } : {}) }))].slice(-KEPT_READINGS)
      one.lastNumber = Math.max(one.lastNumber, ...request.readings.map(reading => reading.number))
      heard.delete(one.device)
      heard.set(one.device, one)
      if (heard.size > MOST_DEVICES) heard.delete(heard.keys().next().value ?? '')
      const answer = { taken: one.lastNumber, cook: where.cook, vessel: where.vessel }
      if (where.cook === null || fresh.length === 0) return { ...answer, marked: [] }
      const vessel = where.vessel ?? mainVessel((await cooks.plan(where.cook)).dish)
      const found = await settle(one, where.cook, vessel)
      const mark = found ? markOf(one, vessel, found.settled, found.plan) : null
      if (!mark) return { ...answer, vessel, marked: [] }
      await append(where.cook, { sentAt: clock.now(), observations: [mark] })
      return { ...answer, vessel, marked: [mark.kind] }
    },
    heard: () => [...heard.values()].reverse().map(({ device, kind, name, cook, vessel, heardAt }) => ({ device, kind, name, cook, vessel, heardAt })),
    async link(device, cook, vessel) {
      if (cook === null) await DeviceLink.destroy({ where: { device } })
      else await DeviceLink.upsert({ device, cook, vessel: vessel ?? '' })
    },
  }
}

/** What is marked of a settled reading; null where it was marked a moment ago, or says nothing new. */
function markOf(one: Heard, vessel: string, settled: Settled, plan: CookPlan): SentObservation | null {
  const last = one.markedAt[settled.kind] ?? Number.NEGATIVE_INFINITY
  if (settled.atMs - last < EVERY_MS[settled.kind]) return null
  const mark = markPayload(one, settled, plan)
  if (!mark) return null
  if (settled.kind === 'weight') {
    if (settled.atMs - last < SAME_MS && Math.abs(settled.grossG - one.weightG) < SAME_SHARE * settled.grossG) return null
    one.weightG = settled.grossG
  }
  one.markedAt = { ...one.markedAt, [settled.kind]: settled.atMs }
  // A number that rises with the clock, so that a device that starts anew does not begin before itself; it fits 40 bits.
  const number = Math.floor(settled.atMs / 10)
  return { id: `${one.device}-${number}`, device: one.device, number, deviceTime: Math.round(settled.atMs), kind: mark.kind, payload: { vessel, by: one.kind, ...mark.payload } }
}

function markPayload(one: Heard, settled: Settled, plan: CookPlan): { readonly kind: string, readonly payload: Record<string, unknown> } | null {
  switch (settled.kind) {
    case 'weight': return { kind: 'weighed', payload: { grossG: settled.grossG, how: settled.how } }
    case 'temperature': return { kind: 'temperature', payload: { tempC: settled.tempC } }
    case 'unsure': return { kind: 'reading.unsure', payload: { readG: settled.readG } }
    case 'colour': {
      const step = stepOfColour(settled.lab, coloursOf(plan))
      // A roast only darkens: at the border of two steps a camera would call them by turns.
      if (!step || COLOUR_STEPS.indexOf(step) <= COLOUR_STEPS.findIndex(known => known === one.step)) return null
      one.step = step
      return { kind: 'looks.like', payload: { step, lab: settled.lab } }
    }
  }
}
