// @vitest-environment happy-dom
import { effectScope, nextTick, ref, shallowRef, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { RoastAhead } from '../../core/process/flame/roastAhead'
import type { Observation } from '../../core/record/marks/observation'
import type { CookPlan } from '../../core/record/plan/plan'
import { replay } from '../../core/record/replay/replay'
import { examplePlan, marked } from '../../test/support/plans'
import { askRoastAhead } from '../clients/forecaster'
import { useRoastLook } from './roastLook'

vi.mock('../clients/forecaster', () => ({ askRoastAhead: vi.fn() }))

const asked = vi.mocked(askRoastAhead)
const plan = examplePlan()
const ROAST = [marked(1, 0, 'cook.started'), marked(2, 240, 'stage.began', { stage: 'roast' })]
const found = (bestS: number): RoastAhead => ({ bestS } as unknown as RoastAhead)
let scope: EffectScope

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'performance'] })
  asked.mockReset().mockResolvedValue(found(500))
  scope = effectScope()
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})

/** The look ahead at a second of a cook with marks. */
async function looking(observations: readonly Observation[], nowS: number) {
  const marks = shallowRef(observations)
  const cook = shallowRef(replay(plan, observations))
  const now = ref(nowS)
  const ahead = scope.run(() => useRoastLook(shallowRef<CookPlan | null>(plan), marks, cook, now))!
  await vi.advanceTimersByTimeAsync(400)
  return {
    ahead, now,
    mark: async (more: Observation) => {
      marks.value = [...marks.value, more]
      cook.value = replay(plan, marks.value)
      await nextTick()
    },
  }
}

describe('the look ahead of a roast', () => {
  it('is asked for the roast that is wanted, with patience for a few times its usual minutes', async () => {
    const { ahead } = await looking(ROAST, 300)
    expect(asked).toHaveBeenCalledTimes(1)
    const [, of, , nowS, wish] = asked.mock.calls[0]!
    expect(of).toBe(plan)
    expect(nowS).toBe(300)
    expect(wish).toMatchObject({ step: expect.any(String) as string, risk: 0.02 })
    expect(wish.patienceS).toBeGreaterThanOrEqual(900)
    expect(wish.patienceS).toBeLessThanOrEqual(7200)
    expect(ahead.value).toEqual(found(500))
  })

  it('is nothing before the roast and after it', async () => {
    const { ahead, mark } = await looking(ROAST.slice(0, 1), 30)
    expect(asked).not.toHaveBeenCalled()
    expect(ahead.value).toBeNull()
    await mark(ROAST[1]!)
    await vi.advanceTimersByTimeAsync(400)
    expect(ahead.value).toEqual(found(500))
    await mark(marked(3, 600, 'stage.began', { stage: 'pour' }))
    await vi.advanceTimersByTimeAsync(400)
    expect(ahead.value).toBeNull()
  })

  it('lets the windows of a mark be drawn first, and asks once for marks that come close together', async () => {
    const { mark } = await looking(ROAST, 300)
    await mark(marked(3, 310, 'sign.seen', { sign: 'aroma' }))
    await vi.advanceTimersByTimeAsync(200)
    await mark(marked(4, 311, 'looks.like', { step: 'pale' }))
    await vi.advanceTimersByTimeAsync(250)
    expect(asked).toHaveBeenCalledTimes(1)
    await vi.advanceTimersByTimeAsync(100)
    expect(asked).toHaveBeenCalledTimes(2)
    expect(asked.mock.calls[1]![2]).toHaveLength(4)
  })

  it('is looked at again as the minutes pass, but not while one look is under way', async () => {
    const { now } = await looking(ROAST, 300)
    now.value = 310
    await vi.advanceTimersByTimeAsync(2000)
    expect(asked).toHaveBeenCalledTimes(1)
    let answer: (one: RoastAhead) => void = () => undefined
    asked.mockImplementation(() => new Promise((resolve) => { answer = resolve }))
    now.value = 325
    await vi.advanceTimersByTimeAsync(10)
    expect(asked).toHaveBeenCalledTimes(2)
    now.value = 360
    await vi.advanceTimersByTimeAsync(2000)
    expect(asked).toHaveBeenCalledTimes(2)
    answer(found(520))
  })

  it('keeps the newest answer, whichever comes first, and the last one where a question fails', async () => {
    const answers: ((one: RoastAhead | null) => void)[] = []
    asked.mockImplementation(() => new Promise((resolve) => { answers.push(resolve) }))
    const { ahead, mark } = await looking(ROAST, 300)
    await mark(marked(3, 310, 'sign.seen', { sign: 'aroma' }))
    await vi.advanceTimersByTimeAsync(400)
    answers[1]!(found(700))
    answers[0]!(found(400))
    await vi.advanceTimersByTimeAsync(10)
    expect(ahead.value).toEqual(found(700))
    asked.mockRejectedValue(new Error('given up'))
    await mark(marked(4, 320, 'looks.like', { step: 'pale' }))
    await vi.advanceTimersByTimeAsync(400)
    expect(ahead.value).toEqual(found(700))
  })
})
