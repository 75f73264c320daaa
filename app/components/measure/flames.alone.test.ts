// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { nextTick } from 'vue'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { starterPlan } from '../../../test/support/plans'
import { planFlames } from '../../../core/process/flame/planFlames'
import { askFlamePlan, giveUp } from '../../clients/forecaster'
import FlamePlanner from './FlamePlanner.vue'

vi.mock('../../clients/forecaster', () => ({ askFlamePlan: vi.fn(), giveUp: vi.fn() }))
const ask = vi.mocked(askFlamePlan)
const plan = starterPlan('brick-kiln-wheat')
const best = planFlames(plan, { step: 'golden', patienceS: 1200, risk: 0.05 })

const shown = async (props = { plan }) => {
  const view = mount(FlamePlanner, { props })
  await new Promise(resolve => setTimeout(resolve, 600))
  await nextTick()
  return view
}

describe('the flames of a roast', () => {
  beforeEach(() => {
    ask.mockReset().mockImplementation((_, __, ___, soon) => {
      soon(best, 0.5)
      return Promise.resolve(best)
    })
    vi.mocked(giveUp).mockReset()
  })

  it('are searched for the dish\'s own roast once the plan stands, and shown with what they come to', async () => {
    const view = await shown()
    expect(ask.mock.calls[0]![2]).toMatchObject({ step: 'deep-golden', risk: 0.02 })
    expect(view.text()).toContain('Advised')
    expect(view.text()).toContain(`Best of ${best.tried} tried.`)
    expect(view.findAll('li')).toHaveLength(
      [best.advised, best.safer, best.quicker].reduce((sum, one) => sum + (one?.turns.length ?? 0), 0),
    )
  })

  it('are taken as a first mark and its turns', async () => {
    const view = await shown()
    await view.find('.row button').trigger('click')
    const [stage, turns] = view.emitted('take')![0] as [string, unknown]
    expect(plan.dish.stages.find(one => one.id === stage)?.does).toBe('roast')
    expect(turns).toEqual(best.advised.turns)
    const [first, ...rest] = best.advised.turns
    await view.setProps({ plan: { ...plan, flames: { ...plan.flames, [stage]: first!.mark }, turns: rest } })
    expect(view.find('.row button').text()).toBe('Planned')
    expect(ask).toHaveBeenCalledTimes(1)
  })

  it('say when nothing does it, and when they could not be searched', async () => {
    ask.mockResolvedValueOnce({ ...best, met: false })
    expect((await shown()).text()).toContain('Nothing on this fire does it')
    ask.mockRejectedValueOnce(new Error('no'))
    expect((await shown()).text()).toContain('could not be planned')
  })

  it('are given up when the page is left, and are not asked of what is not roasted', async () => {
    const view = await shown()
    view.unmount()
    expect(giveUp).toHaveBeenLastCalledWith('flame-plan')
    ask.mockClear()
    expect((await shown({ plan: starterPlan('winter-market-carrot') })).text()).toBe('')
    expect(ask).not.toHaveBeenCalled()
  })
})
