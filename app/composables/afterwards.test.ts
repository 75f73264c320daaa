// @vitest-environment happy-dom
import { effectScope, nextTick, ref, shallowReactive, shallowRef, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { BatchPictureSchema, type Batch } from '../../contracts/batch'
import type { StoredObservation } from '../../contracts/observation'
import type { BatchSummary } from '../../core/cook/batch/summary'
import type { Observation } from '../../core/record/marks/observation'
import { cookedThrough, type AfterMarks } from '../../test/support/afterFire'
import { starterPlan } from '../../test/support/plans'
import { useAfterFire } from './afterFire'
import { useBatchPhotos } from './batchPhotos'
import { useFaultFinder } from './faultFinder'
import { smallPhoto } from './smallPhoto'
import { eventually } from '../../test/support/eventually'

vi.mock('./smallPhoto', () => ({ smallPhoto: vi.fn() }))

const plan = { ...starterPlan('winter-market-carrot'), id: 'batch' }
const observations = (after: AfterMarks = []): StoredObservation[] =>
  cookedThrough(plan, after).map((one, i) => ({
    ...one,
    payload: { ...one.payload },
    place: i + 1,
    sentAt: one.deviceTime,
    receivedAt: one.deviceTime,
  }))
const summary: BatchSummary = {
  stones: [],
  plannedStones: [],
  keystoneS: 120,
  endS: 300,
  plannedKeystoneS: 900,
  plannedEndS: 2400,
  plannedKeystoneWindow: null,
  plannedEndWindow: null,
  moments: [],
  baseG: 1000,
  finishedG: 900,
  plannedFinishedG: 840,
  weighed: true,
  darkestStep: null,
  faults: [],
  line: '',
}
function batchOf(
  id: string,
  faults: readonly string[],
  after: AfterMarks = [[600, 'weighed', { vessel: 'pan', grossG: 2100 }]],
): Batch {
  const marks = observations(after)
  return {
    format: 'yon-hearth/batch/1',
    plan,
    forecast: null,
    observations: marks,
    line: {
      id,
      dishId: plan.dish.id,
      dish: plan.dish.name,
      startedAt: plan.plannedAt,
      note: '',
      family: 'vegetable',
      version: 1,
      pan: null,
      fire: null,
      after: null,
      summary: { ...summary, faults },
    },
  }
}
const notFound = (): Response =>
  new Response(
    JSON.stringify({ type: 'about:blank', title: 'x', status: 404, detail: 'x', code: 'not-found', fields: [] }),
    { status: 404, headers: { 'content-type': 'application/problem+json' } },
  )
/** Answers by path; anything else is away. */
let answers: Record<string, unknown>
const asked: string[] = []
let scope: EffectScope
beforeEach(() => {
  answers = {}
  asked.length = 0
  scope = effectScope()
  vi.stubGlobal('fetch', (path: string, init?: { method?: string }) => {
    asked.push(`${init?.method ?? 'GET'} ${path}`)
    const answer = answers[`${init?.method ?? 'GET'} ${path}`] ?? answers[path]
    if (answer === undefined) return Promise.reject(new TypeError('away'))
    return Promise.resolve(
      answer instanceof Response
        ? answer.clone()
        : new Response(JSON.stringify(answer), { status: 200, headers: { 'content-type': 'application/json' } }),
    )
  })
  vi.stubGlobal('EventSource', class {
    onopen: (() => void) | null = null
    onmessage: (() => void) | null = null
    close(): void {
      asked.push('closed')
    }
  })
})
afterEach(() => {
  scope.stop()
  vi.unstubAllGlobals()
})

describe('a batch after the fire', () => {
  function follow(marks: readonly Observation[]) {
    const known = shallowReactive<Record<string, { plan: typeof plan, observations: readonly Observation[] }>>({})
    const cooks = {
      known,
      load: vi.fn(() => Promise.resolve((known.batch = { plan, observations: marks }))),
      mark: vi.fn(),
      receive: vi.fn(),
    }
    return { cooks, after: scope.run(() => useAfterFire('batch', cooks))! }
  }

  it('stands as what was marked of it says, and changes with the next mark', async () => {
    answers['/api/batches/batch'] = batchOf('batch', [])
    const { cooks, after } = follow(observations())
    await eventually(() => expect(after.now.value).not.toBeNull())
    const before = after.now.value!.leftG
    cooks.known.batch = { plan, observations: observations([[1000, 'given.out', { massG: 200, to: 'eaten' }]]) }
    await nextTick()
    expect(after.now.value!.leftG).toBeCloseTo(before - 200)
    after.takeBack('given.out')
    expect(cooks.mark).toHaveBeenCalledWith('batch', {
      kind: 'withdrawn',
      payload: { replaces: after.cook.value!.moments.at(-1)!.id },
    })
    after.takeBack('gone')
    expect(cooks.mark).toHaveBeenCalledTimes(1)
    scope.stop()
    expect(asked).toContain('closed')
  })

  it('says whether there is none, or the hearth is away', async () => {
    const away = follow([])
    await eventually(() => expect(away.after.state.value).toBe('away'))
    answers['/api/batches/batch'] = notFound()
    const none = follow([])
    await eventually(() => expect(none.after.state.value).toBe('unknown'))
    expect(none.after.now.value).toBeNull()
  })

  it('of a cook that has just ended comes by itself, as soon as it is worked out', async () => {
    vi.useFakeTimers()
    try {
      answers['/api/batches/batch'] = notFound()
      const { after } = follow(observations())
      await vi.advanceTimersByTimeAsync(100)
      expect(after.state.value).toBe('coming')
      answers['/api/batches/batch'] = batchOf('batch', [])
      await vi.advanceTimersByTimeAsync(3000)
      expect(after.state.value).toBe('here')
      const sofar = asked.length
      await vi.advanceTimersByTimeAsync(10_000)
      expect(asked).toHaveLength(sofar)
    }
    finally {
      vi.useRealTimers()
    }
  })
})

describe('the cause finder of a page', () => {
  it('looks at the batch alone while the hearth is away, then beside the good ones of the house', async () => {
    const batch = batchOf('batch', ['runny'])
    const found = scope.run(() => useFaultFinder(shallowRef(batch), ref(['runny', 'no-such-fault'])))!
    await nextTick()
    expect(found.value).toMatchObject({ good: 0, changes: [] })
    expect(found.value!.faults.map(one => one.fault)).toEqual(['runny'])
    const shares = found.value!.faults[0]!.causes.map(one => one.ranked.share)
    expect(shares).toEqual([...shares].sort((p, q) => q - p))
    expect(found.value!.faults[0]!.causes.some(one => one.edit !== null)).toBe(true)
  })

  it('reads the batches of the dish that came right, and what became of its changes', async () => {
    const [bad, good] = [batchOf('batch', ['runny']), batchOf('good', [])]
    answers[`/api/batches?dish=${plan.dish.id}&limit=200`] = {
      batches: [bad.line, good.line].map(line => ({
        ...line,
        summary: BatchPictureSchema.strip().parse(line.summary),
      })),
      next: null,
    }
    answers[`/api/batches/changes?dish=${plan.dish.id}`] = {
      changes: [
        { at: plan.plannedAt - 1, change: { dish: plan.dish.id, version: 1, fault: 'runny', cause: 'too-wet' } },
      ],
    }
    answers['/api/batches/good'] = good
    const found = scope.run(() => useFaultFinder(shallowRef(bad), ref(['runny'])))!
    await eventually(() => expect(found.value?.good).toBe(1))
    expect(found.value!.changes).toMatchObject([{ since: 2, again: 1 }])
    expect(asked).not.toContain('GET /api/batches/batch')
  })
})

describe('the photographs of a batch', () => {
  const photo = { id: 'p', at: 1, width: 40, height: 30 }
  it('are read, and read again after each that is kept', async () => {
    answers['GET /api/batches/b/photos'] = { photos: [] }
    answers['POST /api/batches/b/photos'] = { ok: true }
    vi.mocked(smallPhoto).mockResolvedValue(new Blob(['x']))
    const photos = scope.run(() => useBatchPhotos('b'))!
    answers['GET /api/batches/b/photos'] = { photos: [photo] }
    await photos.add(new File(['x'], 'x.jpg'))
    expect(photos.photos.value).toEqual([photo])
    expect(photos.says.value).toBe('')
  })

  it('say what was not kept, and why', async () => {
    answers['GET /api/batches/b/photos'] = { photos: [] }
    const photos = scope.run(() => useBatchPhotos('b'))!
    vi.mocked(smallPhoto).mockResolvedValueOnce(null)
    await photos.add(new File(['x'], 'x.txt'))
    expect(photos.says.value).toContain('Nothing was kept.')
    vi.mocked(smallPhoto).mockResolvedValue(new Blob(['x']))
    await photos.add(new File(['x'], 'x.jpg'))
    expect(photos.says.value).toContain('was not kept. Add it again later.')
    answers['POST /api/batches/b/photos'] = new Response('{}', { status: 409 })
    await photos.add(new File(['x'], 'x.jpg'))
    expect(photos.says.value).toContain('twelve are enough')
    await photos.remove('p')
    expect(photos.says.value).toBe('The hearth is away. Nothing was changed.')
  })
})
