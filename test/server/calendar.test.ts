import ICAL from 'ical.js'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { dayOf } from '../../core/day/spread/dayOf'
import { plannedSteps } from '../../core/day/spread/plannedSteps'
import { DaySolver } from '../../core/day/planning/solveDay'
import type { Spread } from '../../core/day/spread/spread'
import { openHearth, type Hearth } from '../../server/services/hearth'
import { Refusal } from '../../server/services/refusal'
import { calendarWords } from '../../words/calendar'
import { exampleSpread } from '../support/spreads'

const AT = Date.UTC(2026, 2, 20)
let folder: string
let hearth: Hearth
let now = AT
beforeEach(async () => {
  now = AT
  folder = await mkdtemp(join(tmpdir(), 'yon-hearth-calendar-'))
  hearth = await openHearth(folder, { now: () => now, rate: 1 })
  await hearth.kitchens.put('settings', { id: 'house', units: 'metric', currency: '', zone: 'Europe/Berlin' })
})
afterEach(async () => {
  await hearth.close()
  await rm(folder, { recursive: true, force: true })
})

/** A day with a plan of its own; the clocks of its zone go forward in the night before it. */
function planned(more: Partial<Spread> = {}): Spread {
  const spread = exampleSpread({ name: 'Sunday, with; signs\\and lines', eve: '2026-03-28', ...more })
  const solver = new DaySolver(dayOf(spread, 0))
  for (let i = 0; i < 60 && !solver.done; i++) solver.step(() => false)
  const { starts, late, cost } = solver.plan!
  return { ...spread, plan: { starts, late, cost, bound: 0, proven: false, room: 1, latest: {}, tries: null } }
}
const eventsOf = (text: string) => new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent')
const byUid = (text: string) =>
  new Map(eventsOf(text).map(event => [String(event.getFirstPropertyValue('uid')), event]))
const text = async (id = 'day-1'): Promise<string> => hearth.calendars.day(id, calendarWords)
const said = (event: ICAL.Component | undefined, name: string): unknown => event?.getFirstPropertyValue(name)

describe('a day as a calendar', () => {
  it('is read by an independent library: every step, meal and promise, at its minute, the clocks changed or not', async () => {
    const spread = await hearth.spreads.put(planned())
    const all = byUid(await text())
    const { steps } = plannedSteps(spread)!
    expect(all.size).toBe(steps.length + spread.meals.length + spread.promises.length)
    for (const step of steps) {
      const event = new ICAL.Event(all.get(`day-1-${step.step}@yon-hearth`)!)
      // After the change Berlin is two hours ahead of UTC: the clock on the wall shows the minute that was planned.
      const day = step.from < 1440 ? Date.UTC(2026, 2, 28) - 3_600_000 : Date.UTC(2026, 2, 29) - 2 * 3_600_000
      expect(event.startDate.toJSDate().getTime(), step.step).toBe(day + (step.from % 1440) * 60_000)
      expect(event.summary).toContain(':')
    }
    expect(new ICAL.Event(all.get('day-1-m1@yon-hearth')!).startDate.toJSDate().toISOString()).toBe(
      '2026-03-29T17:00:00.000Z',
    )
    const alarms = [...all.values()].flatMap(event => event.getAllSubcomponents('valarm'))
    expect(alarms).toHaveLength(steps.length + spread.promises.length)
    for (const alarm of alarms) expect((alarm.getFirstPropertyValue('trigger') as ICAL.Duration).toSeconds()).toBe(-300)
  })

  it('folds its lines at 75 octets, and says when it changed', async () => {
    await hearth.spreads.put(planned())
    const whole = await text()
    for (const line of whole.split('\r\n')) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75)
    for (const event of eventsOf(whole))
      expect((said(event, 'last-modified') as ICAL.Time).toJSDate().getTime()).toBe(AT)
  })

  it('counts changes, cancels what is taken out, and leaves alone what stays', async () => {
    const first = await hearth.spreads.put(planned())
    const before = byUid(await text())
    now += 3_600_000
    const moved = { ...first, promises: [{ ...first.promises[0]!, at: first.promises[0]!.at + 30 }] }
    const second = await hearth.spreads.put(moved)
    const after = byUid(await text())
    const promise = `day-1-${first.promises[0]!.id}@yon-hearth`
    expect(Number(said(after.get(promise), 'sequence'))).toBeGreaterThan(Number(said(before.get(promise), 'sequence')))
    expect((said(after.get(promise), 'last-modified') as ICAL.Time).toJSDate().getTime()).toBe(now)
    expect(said(after.get('day-1-m1@yon-hearth'), 'sequence')).toBe(said(before.get('day-1-m1@yon-hearth'), 'sequence'))
    // A dish is taken off the day.
    const { plan: fresh } = planned({ dishes: first.dishes.slice(0, 1) })
    await hearth.spreads.put({ ...second, dishes: second.dishes.slice(0, 1), plan: fresh })
    const last = byUid(await text())
    const gone = [...last].filter(([, event]) => said(event, 'status') === 'CANCELLED').map(([uid]) => uid)
    expect(gone.length).toBeGreaterThan(3)
    expect(gone.every(uid => uid.includes('-d2.'))).toBe(true)
    for (const uid of gone) {
      expect(Number(said(last.get(uid), 'sequence'))).toBeGreaterThan(Number(said(before.get(uid), 'sequence')))
      expect(last.get(uid)!.getAllSubcomponents('valarm')).toEqual([])
    }
  })
})

describe('an address to subscribe to', () => {
  it('follows the days, and a day that is removed is cancelled', async () => {
    const { secret } = await hearth.calendars.makeKey('a telephone')
    expect(eventsOf((await hearth.calendars.feed(secret, calendarWords))!)).toEqual([])
    await hearth.spreads.put(planned())
    await hearth.spreads.put({ ...planned(), id: 'day-2', eve: '2026-04-04' })
    const both = (await hearth.calendars.feed(secret, calendarWords))!
    expect(new Set(eventsOf(both).map(event => String(said(event, 'uid')).slice(0, 5)))).toEqual(
      new Set(['day-1', 'day-2']),
    )
    expect(both).toContain('REFRESH-INTERVAL')
    await hearth.spreads.remove('day-2')
    for (const [uid, event] of byUid((await hearth.calendars.feed(secret, calendarWords))!))
      expect(said(event, 'status')).toBe(uid.startsWith('day-2') ? 'CANCELLED' : 'CONFIRMED')
    expect((await hearth.calendars.keys())[0]).toMatchObject({ name: 'a telephone', readAt: now })
  })

  it('reads nothing once it is taken back, and its secret is not on the disk', async () => {
    const { key, secret } = await hearth.calendars.makeKey('')
    expect(JSON.stringify(await hearth.database.models.CalendarKey.findAll({ raw: true }))).not.toContain(secret)
    await hearth.calendars.dropKey(key.id)
    expect(await hearth.calendars.feed(secret, calendarWords)).toBeNull()
    expect(await hearth.calendars.feed('A'.repeat(32), calendarWords)).toBeNull()
    await expect(hearth.calendars.dropKey(key.id)).rejects.toBeInstanceOf(Refusal)
    for (let i = 0; i < 20; i++) await hearth.calendars.makeKey(String(i))
    await expect(hearth.calendars.makeKey('one more')).rejects.toMatchObject({ code: 'too-many-addresses' })
  })

  it('moves with the zone of the house', async () => {
    const { secret } = await hearth.calendars.makeKey('')
    await hearth.spreads.put(planned())
    const at = async () =>
      new ICAL.Event(byUid((await hearth.calendars.feed(secret, calendarWords))!).get('day-1-m1@yon-hearth')!).startDate
        .toJSDate()
        .toISOString()
    expect(await at()).toBe('2026-03-29T17:00:00.000Z')
    await hearth.kitchens.put('settings', { id: 'house', units: 'metric', currency: '', zone: 'Asia/Kolkata' })
    expect(await at()).toBe('2026-03-29T13:30:00.000Z')
  })
})
