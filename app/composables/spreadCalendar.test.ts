import ICAL from 'ical.js'
import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../book/dishes'
import { INGREDIENTS } from '../../book/ingredients'
import { lanesOf, stepsOf } from '../../core/schedule/lanesOf'
import { dayOf } from '../../core/schedule/dayOf'
import { DaySolver } from '../../core/schedule/solveDay'
import { exampleSpread } from '../../test/support/spreads'
import { dayShopping } from './dayShopping'
import { spreadCalendar } from './spreadCalendar'

const spread = exampleSpread({ name: 'Sunday, with; signs\\and lines' })
const day = dayOf(spread, 2000)
const solver = new DaySolver(day)
for (let i = 0; i < 40 && !solver.done; i++) solver.step(() => false)
const steps = stepsOf(day, solver.plan!.starts)
const EVE = Date.UTC(2026, 10, 28)

describe('a day as a calendar', () => {
  const who = new Map(lanesOf(day, solver.plan!.starts).hands.flatMap((lane, i) => lane.map(span => [span.step, spread.hands[i]!.name] as const)))
  const text = spreadCalendar(spread, steps, who, EVE, EVE)
  const events = new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent')

  it('is read by an independent library: every step, meal and promise, at its minute', () => {
    expect(events).toHaveLength(steps.length + spread.meals.length + spread.promises.length)
    for (const step of steps) {
      const event = new ICAL.Event(events.find(one => String(one.getFirstPropertyValue('uid')).includes(`-${step.step}@`))!)
      expect(event.startDate.toJSDate().getTime()).toBe(EVE + step.from * 60_000)
      expect(event.endDate.toJSDate().getTime()).toBe(EVE + step.to * 60_000)
      expect(event.summary).toContain('Semolina')
    }
  })

  it('rings five minutes before each step', () => {
    const alarms = events.flatMap(event => event.getAllSubcomponents('valarm'))
    expect(alarms).toHaveLength(steps.length + spread.promises.length)
    for (const alarm of alarms) expect((alarm.getFirstPropertyValue('trigger') as ICAL.Duration).toSeconds()).toBe(-300)
  })

  it('folds its lines at 75 octets and ends them as the standard wants', () => {
    for (const line of text.split('\r\n')) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75)
    expect(new Set([...text.matchAll(/UID:(.*)\r\n/g)].map(match => match[1])).size).toBe(events.length)
  })
})

describe('what to buy for a day', () => {
  it('adds up what its dishes need, once for all, less what is in the house', () => {
    const list = dayShopping(spread, INGREDIENTS, [], 20_000)
    const one = dayShopping({ dishes: spread.dishes.slice(0, 1) }, INGREDIENTS, [], 20_000)
    for (const line of one) expect(list.find(other => other.ingredient === line.ingredient)!.neededG).toBeCloseTo(2 * line.neededG, 6)
    const semolina = list.find(line => line.dishes.length === 2)!
    const store = [{ id: 's', ingredient: semolina.ingredient, massG: 50_000, gotOn: 19_990, openedOn: null, useBy: null }]
    expect(dayShopping(spread, INGREDIENTS, store, 20_000).find(line => line.ingredient === semolina.ingredient)!.packagesG).toEqual([])
  })

  it('buys milk where its thickened milk is made at home', () => {
    const carrot = STARTER_DISHES.find(one => one.id === 'winter-market-carrot')!
    const buys = (thickens: boolean): Record<string, number> =>
      Object.fromEntries(dayShopping({ dishes: [{ ...spread.dishes[0]!, card: carrot, baseG: 1000, thickens }] }, INGREDIENTS, [], 20_000).map(line => [line.ingredient, line.neededG]))
    expect(buys(false)).toMatchObject({ khoya: 120, milk: 900 })
    expect(buys(true)).toMatchObject({ milk: 1500 })
    expect(buys(true)).not.toHaveProperty('khoya')
  })
})
