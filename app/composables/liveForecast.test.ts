// @vitest-environment happy-dom
import { effectScope, nextTick, ref, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { examplePlan, marked } from '../../test/support/plans'
import type { Forecast } from '../../core/record/plan/forecast'
import type { Observation } from '../../core/record/marks/observation'
import type { CookPlan } from '../../core/record/plan/plan'
import { askForecast } from '../clients/forecaster'
import { useLiveForecast } from './liveForecast'

vi.mock('../clients/forecaster', () => ({ askForecast: vi.fn() }))
const ask = vi.mocked(askForecast)
let scope: EffectScope
beforeEach(() => {
  vi.useFakeTimers({ toFake: ['performance'] })
  scope = effectScope()
  ask.mockReset().mockImplementation((_, __, ___, nowS) => Promise.resolve({ nowS } as Forecast))
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('the forecast of a running cook', () => {
  const live = (running = true) => {
    const plan = ref<CookPlan | null>(examplePlan())
    const observations = ref<readonly Observation[]>([])
    const nowS = ref(0)
    const on = ref(running)
    return { plan, observations, nowS, on, forecast: scope.run(() => useLiveForecast(plan, observations, nowS, on))! }
  }
  const at = async (clock: { value: number }, seconds: number): Promise<void> => {
    vi.advanceTimersByTime(1000)
    clock.value = seconds
    await nextTick()
    await Promise.resolve()
  }

  it('is asked for at once, and at once again after every mark', async () => {
    const { observations, forecast, nowS } = live()
    await nextTick()
    expect(ask).toHaveBeenCalledTimes(1)
    nowS.value = 3
    observations.value = [marked(1, 0, 'cook.started')]
    await nextTick()
    await nextTick()
    expect(ask).toHaveBeenCalledTimes(2)
    expect(ask.mock.calls[1]![2]).toHaveLength(1)
    expect(forecast.value?.nowS).toBe(3)
  })

  it('is asked for again as time passes, never more often than each quarter of a minute', async () => {
    const { nowS } = live()
    for (let seconds = 1; seconds <= 60; seconds++) await at(nowS, seconds)
    expect(ask.mock.calls.map(call => call[3])).toEqual([0, 15, 30, 45, 60])
  })

  it('is not asked for by time alone while nothing runs', async () => {
    const { nowS } = live(false)
    for (let seconds = 20; seconds <= 200; seconds += 20) await at(nowS, seconds)
    expect(ask).toHaveBeenCalledTimes(1)
  })

  it('keeps the last one where the worker is overtaken or stops', async () => {
    const { observations, forecast } = live()
    await nextTick()
    await nextTick()
    const first = forecast.value
    expect(first).not.toBeNull()
    ask.mockResolvedValueOnce(null).mockRejectedValueOnce(new Error('stopped'))
    for (const number of [1, 2]) {
      observations.value = [...observations.value, marked(number, number, 'note', { text: 'x' })]
      await nextTick()
      await nextTick()
    }
    expect(ask).toHaveBeenCalledTimes(3)
    expect(forecast.value).toBe(first)
  })

  it('waits where there is no plan yet', async () => {
    const { plan } = live()
    ask.mockClear()
    plan.value = null
    await nextTick()
    expect(ask).not.toHaveBeenCalled()
  })
})
