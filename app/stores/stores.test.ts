import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { FIRST_KITCHEN } from '../../book/firstKitchen'
import { STARTER_DISHES } from '../../book/dishes'
import type { StoredObservation } from '../../contracts/observation'
import { examplePlan, marked } from '../../test/support/plans'
import { useCooks } from './cooks'
import { useHouse } from './house'

let away = false
const asked: { method: string, path: string, body: unknown }[] = []
let answers: Record<string, unknown> = {}

beforeEach(() => {
  setActivePinia(createPinia())
  localStorage.clear()
  asked.length = 0
  away = false
  answers = {}
  vi.stubGlobal('fetch', (path: string, init?: RequestInit) => {
    if (away) return Promise.reject(new TypeError('away'))
    asked.push({
      method: init?.method ?? 'GET',
      path,
      body: init?.body ? (JSON.parse(String(init.body)) as unknown) : undefined,
    })
    const found = answers[path]
    if (path.endsWith('/observations')) return new Promise(() => undefined)
    return Promise.resolve(
      found === undefined
        ? new Response(
            JSON.stringify({
              type: 'x',
              title: 'x',
              status: 404,
              code: 'not-found',
              detail: 'Nothing was changed.',
              fields: [],
            }),
            { status: 404 },
          )
        : new Response(JSON.stringify(found), { status: 200 }),
    )
  })
})
afterEach(() => {
  vi.unstubAllGlobals()
})

const plan = examplePlan({}, 'cook-1')
const stored = (number: number, kind: string, device = 'tablet'): StoredObservation =>
  ({ ...marked(number, number * 10, kind, {}, device), sentAt: 5, receivedAt: 6, place: number }) as StoredObservation

describe('cooks', () => {
  it('come from the hearth and are kept on this device for when it is away', async () => {
    answers['/api/cooks/cook-1'] = { plan, observations: [stored(1, 'cook.started')] }
    expect(await useCooks().load('cook-1')).toBe('here')
    away = true
    setActivePinia(createPinia())
    const again = useCooks()
    expect(await again.load('cook-1')).toBe('here')
    expect(again.known['cook-1']!.observations).toHaveLength(1)
  })

  it('are unknown, or away, and say which', async () => {
    expect(await useCooks().load('nothing')).toBe('unknown')
    away = true
    expect(await useCooks().load('nothing')).toBe('away')
  })

  it('begin on this device at once, with what is marked before anything is acknowledged', async () => {
    away = true
    const cooks = useCooks()
    cooks.begin(plan)
    cooks.mark('cook-1', { kind: 'cook.started', payload: {} })
    expect(cooks.known['cook-1']!.observations.map(one => one.kind)).toEqual(['cook.started'])
    setActivePinia(createPinia())
    expect(await useCooks().load('cook-1')).toBe('here')
    expect(useCooks().known['cook-1']!.observations.map(one => one.kind)).toEqual(['cook.started'])
  })

  it('are not asked of the hearth while their plan waits to go there', async () => {
    const cooks = useCooks()
    away = true
    cooks.begin({ ...plan, id: 'cook-9' })
    away = false
    asked.length = 0
    expect(await cooks.load('cook-9')).toBe('here')
    expect(asked.filter(one => one.method === 'GET' && one.path.endsWith('/cooks/cook-9'))).toEqual([])
  })

  it('take in what is stored, each once, the stored form over the waiting one', () => {
    away = true
    const cooks = useCooks()
    cooks.begin(plan)
    cooks.mark('cook-1', { kind: 'cook.started', payload: {} })
    const [waiting] = cooks.known['cook-1']!.observations
    cooks.receive('cook-1', [
      { ...waiting!, sentAt: 1, receivedAt: 2, place: 1 } as StoredObservation,
      stored(7, 'note', 'phone'),
    ])
    cooks.receive('cook-1', [stored(7, 'note', 'phone')])
    const kept = cooks.known['cook-1']!.observations
    expect(kept).toHaveLength(2)
    expect(kept.every(one => one.receivedAt !== undefined)).toBe(true)
  })

  it('keep on this device what was acknowledged while an older answer was on its way', async () => {
    const cooks = useCooks()
    answers['/api/cooks/cook-1'] = { plan, observations: [] }
    await cooks.load('cook-1')
    const late = cooks.load('cook-1')
    cooks.receive('cook-1', [stored(1, 'cook.started')])
    await late
    away = true
    setActivePinia(createPinia())
    await useCooks().load('cook-1')
    expect(useCooks().known['cook-1']!.observations.map(one => one.kind)).toEqual(['cook.started'])
  })

  it('lose nothing that was stored while they were read for the first time', async () => {
    const cooks = useCooks()
    answers['/api/cooks/cook-1'] = { plan, observations: [stored(1, 'cook.started')] }
    const late = cooks.load('cook-1')
    cooks.receive('cook-1', [stored(2, 'note')])
    cooks.receive('cook-1', [stored(3, 'flame.out', 'phone')])
    await late
    expect(cooks.known['cook-1']!.observations.map(one => one.number).sort()).toEqual([1, 2, 3])
    await cooks.load('cook-1')
    expect(cooks.known['cook-1']!.observations).toHaveLength(3)
  })

  it('keep several live at once, and drop the oldest copies from the device', async () => {
    for (let i = 0; i < 6; i++) {
      const id = `cook-${i}`
      answers[`/api/cooks/${id}`] = { plan: examplePlan({}, id), observations: [] }
      await useCooks().load(id)
    }
    expect(Object.keys(useCooks().known)).toHaveLength(6)
    expect(Object.keys(localStorage).filter(key => key.startsWith('yon-hearth.cook.')).length).toBeLessThanOrEqual(3)
  })
})

describe('the house', () => {
  beforeEach(() => {
    answers['/api/kitchen'] = FIRST_KITCHEN
    answers['/api/dishes'] = { dishes: STARTER_DISHES, aside: [] }
    answers['/api/evidence'] = { evidence: [], sources: [] }
  })

  it('is read as a whole and sorts cups, pans and pots', async () => {
    const house = useHouse()
    await house.load()
    expect(house.cups.map(one => one.id)).toEqual(['cup'])
    expect(house.pans.map(one => one.id)).toEqual(['pan'])
    expect(house.pots.map(one => one.id)).toEqual(['pot'])
    expect(house.dishes).toHaveLength(STARTER_DISHES.length)
    expect(house.trouble).toBeNull()
  })

  it('says when the hearth cannot be reached', async () => {
    away = true
    const house = useHouse()
    await house.load()
    expect(house.trouble).toContain('cannot be reached')
    expect(house.kitchen).toBeNull()
  })

  it('shows a change at once and keeps it', async () => {
    const house = useHouse()
    await house.load()
    answers['/api/kitchen/measures/cup'] = {}
    await house.put('measures', { ...FIRST_KITCHEN.measures[0]!, volumeMl: 200 })
    expect(house.cups[0]!.volumeMl).toBe(200)
    expect(asked.at(-1)).toMatchObject({ method: 'PUT', path: '/api/kitchen/measures/cup', body: { volumeMl: 200 } })
    answers['/api/kitchen/measures/new'] = {}
    await house.put('measures', { ...FIRST_KITCHEN.measures[0]!, id: 'new' })
    expect(house.cups).toHaveLength(2)
    await house.remove('measures', 'new')
    expect(house.cups).toHaveLength(1)
  })

  it('keeps a new version of a dish', async () => {
    const house = useHouse()
    await house.load()
    const dish = { ...STARTER_DISHES[0]!, version: 2 }
    answers[`/api/dishes/${dish.id}`] = dish
    await house.keepDish(dish)
    expect(house.dishes[0]!.version).toBe(2)
  })
})
