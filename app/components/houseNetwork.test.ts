import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { examplePlan } from '../../test/support/plans'
import { eventually } from '../../test/support/eventually'

const problem = (code: string, status: number) =>
  new Response(
    JSON.stringify({ type: 'x', title: 'x', status, code, detail: `${code}. Nothing was changed.`, fields: [] }),
    { status },
  )
let answers: Record<string, () => Response> = {}
const asked: string[] = []
beforeEach(() => {
  vi.resetModules()
  localStorage.clear()
  asked.length = 0
  vi.stubGlobal('fetch', (path: string, options: { method: string }) => {
    asked.push(`${options.method} ${path}`)
    return Promise.resolve((answers[`${options.method} ${path}`] ?? (() => problem('not-found', 404)))())
  })
})
afterEach(() => vi.unstubAllGlobals())
const json = (value: unknown) => () => new Response(JSON.stringify(value), { status: 200 })

describe('a device outside the house', () => {
  it('knows it, keeps what was marked, and is let in by the next answer', async () => {
    answers = { 'PUT /api/cooks/cook': () => problem('enter-first', 401) }
    const { lockedOut, ask, Anything } = await import('../clients/api')
    const { keepPlan, waitingEntries, flush } = await import('../clients/sync/outbox')
    keepPlan(examplePlan())
    await flush()
    expect(lockedOut.value).toBe('enter-first')
    expect(waitingEntries()).toHaveLength(1)
    answers = { 'GET /api/clock': json({}), 'GET /api/house': json({}) }
    await ask('GET', '/house', Anything)
    expect(lockedOut.value).toBe('enter-first')
    await ask('GET', '/clock', Anything)
    expect(lockedOut.value).toBeNull()
  })

  it('puts aside only what was refused for good', async () => {
    const { isForLater, Refused, Unreachable } = await import('../clients/api')
    const refused = (code: 'too-fast' | 'body-not-understood') =>
      new Refused({ type: 'x', title: 'x', status: 400, code, detail: 'x', fields: [] })
    expect([new Unreachable(), refused('too-fast'), refused('body-not-understood')].map(isForLater)).toEqual([
      true,
      true,
      false,
    ])
  })
})

describe('the house network', () => {
  it('is read, its passphrase set, devices sent out, and trouble said', async () => {
    answers = {
      'GET /api/house': json({
        open: true,
        hasPassphrase: false,
        here: 'machine',
        addresses: ['http://192.0.2.7:3000/'],
      }),
      'GET /api/house/sessions': json({ sessions: [{ id: 's1', name: 'phone', createdAt: 1, seenAt: 2, own: false }] }),
      'PUT /api/house/passphrase': json({ set: true }), 'DELETE /api/house/sessions/s1': json({ ended: true }),
    }
    const { useHouseNetwork } = await import('../composables/houseNetwork')
    const network = useHouseNetwork()
    await flushPromises()
    expect(network.state.value!.addresses).toHaveLength(1)
    await network.setPassphrase('three plain words', null)
    expect(network.says.value).toContain('The passphrase is set')
    await network.end('s1')
    expect(asked).toContain('DELETE /api/house/sessions/s1')
    answers = {}
    await network.load()
    expect(network.trouble.value).toContain('Nothing was changed')
  })
})

describe('devices that were heard', () => {
  it('are those of the last minute, and can be put into a vessel', async () => {
    const now = Date.now()
    const heard = (device: string, heardAt: number) => ({
      device,
      kind: 'scale',
      name: '',
      cook: null,
      vessel: null,
      heardAt,
    })
    answers = {
      'GET /api/devices': json({ devices: [heard('a', now), heard('b', now - 300_000)] }),
      'PUT /api/devices/a': json({ linked: true }),
    }
    const { effectScope } = await import('vue')
    const { useHeardDevices } = await import('../composables/heardDevices')
    const scope = effectScope()
    const found = scope.run(() => useHeardDevices())!
    await flushPromises()
    expect(found.devices.value.map(one => one.device)).toEqual(['a'])
    await found.link('a', 'cook', 'pan')
    expect(asked).toContain('PUT /api/devices/a')
    scope.stop()
  })
})

describe('what a house can add', () => {
  it('is there with its composition, and the roast has its own colours', async () => {
    const { useIngredients } = await import('../stores/ingredients')
    const pantry = useIngredients()
    await eventually(() => expect(pantry.compositions.sugar).toBeDefined())
    expect(pantry.compositions['milk-powder']!.fat).toBeGreaterThan(0.2)
    const { roastColours, stepAt } = await import('../composables/roastColours')
    const colours = roastColours(examplePlan())
    expect(colours.map(one => one.step)).toEqual(['pale', 'golden', 'deep-golden', 'brown', 'burnt'])
    expect(stepAt(colours, 99)).toBeNull()
    expect(stepAt(colours, colours[2]!.lightness - 1)).toBe('deep-golden')
  })
})
