// @vitest-environment happy-dom
import { nextTick, reactive, ref } from 'vue'
import { describe, expect, it, vi } from 'vitest'
import type { Observation } from '../../core/record/marks/observation'
import type { CookPlan } from '../../core/record/plan/plan'
import { examplePlan, marked } from '../../test/support/plans'
import { exampleSpread } from '../../test/support/spreads'
import { OpenSpread, PLAN } from '../../test/app/openSpread'
import { momentOf } from './spreadClock'
import { useSpreadReading } from './spreadReading'
import { useSpreadToday } from './spreadToday'

const day = new OpenSpread()

describe('a day that runs late', () => {
  it('is worth another order only if that saves ten minutes', async () => {
    const state = await day.open()
    day.answer()
    const reading = day.scope.run(() => useSpreadReading(state))!
    const late = 2400 + 150
    const nowMs = ref(momentOf('2026-11-28', 0) + late * 60_000)
    const other = ref<{ readonly starts: Readonly<Record<string, number>> } | null>(null)
    const { today, savesMin, nowMin } = day.scope.run(() =>
      useSpreadToday(state.spread, reading.going, other, nowMs, {
        known: {},
        load: () => Promise.resolve(),
        receive: () => undefined,
      }),
    )!
    await nextTick()
    expect(nowMin.value).toBe(late)
    expect(today.value!.repaired.lateMin).toBeGreaterThan(10)
    expect(savesMin.value).toBe(0)
    other.value = { starts: PLAN.starts }
    expect(savesMin.value).toBe(0)
    nowMs.value = momentOf('2026-11-28', 0) + 100 * 60_000
    expect(today.value).toBeNull()
  })
})

describe('the fire and the day', () => {
  const eve = momentOf('2026-11-28', 0)
  const plan = examplePlan({}, 'cook-1')
  /** The day at a minute of its clock, with a cook of its first dish at the fire that was marked so. */
  async function at(minute: number, observations: readonly Observation[] | null) {
    day.kept = exampleSpread({ cooks: observations ? [{ dish: 'd1', cook: 'cook-1' }] : [] })
    const state = await day.open()
    day.answer()
    const reading = day.scope.run(() => useSpreadReading(state))!
    const known = reactive<Record<string, { plan: CookPlan, observations: readonly Observation[] }>>({})
    const load = vi.fn((id: string) => {
      if (observations) known[id] = { plan, observations }
      return Promise.resolve()
    })
    const nowMs = ref(eve + minute * 60_000)
    const today = day.scope.run(() =>
      useSpreadToday(state.spread, reading.going, ref(null), nowMs, { known, load, receive: () => undefined }),
    )!
    await nextTick()
    return { ...today, state, load, nowMs }
  }
  /** Marks of a cook that was lit at a minute of the day. */
  const lit = (
    minute: number,
    ...marks: [kind: string, timeS: number, payload?: Record<string, unknown>][]
  ): Observation[] =>
    marks.map(([kind, timeS, payload], i) => {
      const ms = eve + minute * 60_000 + timeS * 1000
      return { ...marked(i + 1, 0, kind, payload), deviceTime: ms, sentAt: ms, receivedAt: ms }
    })

  it('are apart as long as nothing was taken to the fire: the day is on from a little before its first step', async () => {
    const first = Math.min(...Object.values(PLAN.starts))
    expect((await at(first - 31, null)).isOn.value).toBe(false)
    const { isOn, today, load } = await at(first - 29, null)
    expect(isOn.value).toBe(true)
    expect(today.value!.hands.flat().length).toBeGreaterThan(0)
    expect(load).not.toHaveBeenCalled()
    expect((await at(1440 + 1140 + 121, null)).isOn.value).toBe(false)
  })

  it('are one: a cook that is taken there is followed once, and what was marked there moves the day', async () => {
    const roast = PLAN.starts['d1.roast']!
    const { today, load, nowMs } = await at(
      roast + 20,
      lit(roast + 12, ['cook.started', 0], ['stage.began', 240, { stage: 'roast' }]),
    )
    expect(load).toHaveBeenCalledTimes(1)
    const steps = today.value!.hands.flat()
    const going = steps.find(step => step.step === 'd1.roast')!
    expect(going.from).toBe(roast + 12 + 4)
    nowMs.value += 60_000
    await nextTick()
    expect(load).toHaveBeenCalledTimes(1)
    expect(today.value!.repaired.starts['d1.pour']!).toBeGreaterThanOrEqual(going.from)
  })

  it('says nothing of a day that is neither on nor begun', async () => {
    const { today, savesMin } = await at(100, null)
    expect(today.value).toBeNull()
    expect(savesMin.value).toBe(0)
  })
})
