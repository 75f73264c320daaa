import { flushPromises, mount } from '@vue/test-utils'
import { computed, defineComponent, h, nextTick, ref, shallowRef } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Observation } from '../../../core/record/marks/observation'
import type { CookPlan } from '../../../core/record/plan/plan'
import { examplePlan, marked } from '../../../test/support/plans'
import { WorkerHere } from '../../../test/support/workerHere'
import type { FireState } from '../../composables/fireState'
import { eventually } from '../../../test/support/eventually'

const plan = examplePlan()
const STORY = [
  marked(1, 0, 'cook.started'),
  marked(2, 240, 'stage.began', { stage: 'roast' }),
  marked(3, 300, 'vessel.lit', { vessel: 'pot' }),
  marked(4, 500, 'sign.seen', { sign: 'aroma' }),
  marked(5, 640, 'stage.began', { stage: 'pour' }),
  marked(6, 700, 'stage.began', { stage: 'take-up' }),
]
let nowMs = 0

beforeEach(() => {
  vi.resetModules()
  vi.stubGlobal('Worker', WorkerHere)
  vi.stubGlobal('fetch', () =>
    Promise.resolve(new Response(JSON.stringify({ now: nowMs, rate: 0.01 }), { status: 200 })),
  )
})
afterEach(() => {
  vi.unstubAllGlobals()
})

/** The fire screen's state at a second of a cook with so many marks, with a component drawn over it. */
async function at(
  nowS: number,
  count: number,
  draw: (fire: FireState, of: CookPlan) => Promise<ReturnType<typeof h>> | ReturnType<typeof h>,
) {
  nowMs = 1_795_000_000_000 + nowS * 1000
  const { setHearthClock } = await import('../../clients/hearthClock')
  await setHearthClock()
  const { useFire } = await import('../../composables/fire')
  let state: FireState | null = null
  const drawn = shallowRef<ReturnType<typeof h> | null>(null)
  const wrapper = mount(
    defineComponent({
      setup() {
        const observations = ref<readonly Observation[]>(STORY.slice(0, count))
        state = useFire(
          computed(() => plan),
          observations,
        )
        return () => drawn.value
      },
    }),
  )
  await eventually(() => expect(state!.forecast.value).not.toBeNull())
  drawn.value = await draw(state!, plan)
  await nextTick()
  return { wrapper, fire: state! as FireState }
}
const arch = async (fire: FireState, of: CookPlan, narrow = false) =>
  h((await import('./FireArch.vue')).default, { fire, plan: of, narrow, far: false, aside: false })
const side = async (fire: FireState, of: CookPlan, before: { window: string, by: string } | null = null) =>
  h((await import('./FireSide.vue')).default, { fire, plan: of, before })

describe('the fire before it is lit', () => {
  it('says what goes in first and has every window before it', async () => {
    const { wrapper, fire } = await at(0, 0, side)
    expect(wrapper.text()).toContain('Into the pan first')
    await vi.dynamicImportSettled()
    await flushPromises()
    expect(wrapper.findAll('ul.next li').map(one => one.text())).toEqual([
      expect.stringMatching(/cup.* ghee · 98 g$/),
      expect.stringMatching(/cup.* cashew halves · 40 g$/),
    ])
    expect(wrapper.text()).toContain('first guesses of your fires')
    expect(fire.windows.value.map(one => one.id)).toEqual(['aroma', 'pour', 'end'])
    expect(fire.actions.value.map(one => one.code)).toEqual(['start'])
    expect(fire.running.value).toBe(false)
  })
})

describe('the fire in the roast', () => {
  it('shows clock, cue, temperature and the flame under the pan', async () => {
    const { wrapper, fire } = await at(310, 3, arch)
    expect(wrapper.get('.clock').text()).toBe('5:10')
    expect(wrapper.get('.cue').text()).toBe('Keep it moving, low flame')
    expect(wrapper.get('.detail').text()).toContain('nutty smell')
    await wrapper.get('.cue').trigger('click')
    expect(wrapper.findComponent({ name: 'FireArch' }).emitted('say')).toHaveLength(1)
    expect(wrapper.get('.under').text()).toMatch(/flame low-middle · about \d+ °C/)
    expect(wrapper.findAll('.flame.on')).toHaveLength(3)
    expect(fire.stage.value!.id).toBe('roast')
    expect(fire.sides.value).toEqual(['pot'])
  })

  it('puts the caution beside it and says how the windows moved', async () => {
    const { wrapper } = await at(520, 4, (fire, of) => side(fire, of, { window: '1:00–99:00', by: 'marked smell' }))
    expect(wrapper.text()).toContain('Other vessel: sweet water')
    expect(wrapper.text()).toContain('Was 1:00–99:00 before “marked smell”.')
    expect(wrapper.text()).toContain('1 mark')
    expect(wrapper.text()).toMatch(/From first colour to brown in about \d/)
    expect(wrapper.find('.caution').exists()).toBe(true)
    expect(wrapper.get('.now').text()).toMatch(/Pan on the scale.*g to .*g.*Inside.*°C to .*°C.*Depth in the pan\d+ mm/)
  })

  it('draws its labels only where there is room', async () => {
    const wide = await at(420, 3, arch)
    expect(wide.wrapper.get('svg.arch').text()).toContain('pour')
    const narrow = await at(420, 3, (fire, of) => arch(fire, of, true))
    expect(narrow.wrapper.get('svg.arch').text()).toBe('')
  })
})

describe('the fire after the pour', () => {
  it('keeps the keystone where the pour was and tells the weight to reach', async () => {
    const { wrapper, fire } = await at(760, 6, side)
    expect(fire.arch.value!.keystoneS).toBe(640)
    expect(fire.windows.value.map(one => one.id)).toEqual(['end'])
    expect(wrapper.text()).toContain('Pan on the scale')
    expect(wrapper.text()).toContain('its empty weight a guess')
    expect(wrapper.text()).toContain('Next in')
  })

  it('shows what is in the pan now and not what will be', async () => {
    const roast = await at(639, 4, arch)
    expect(roast.fire.point.value!.stage).toBe(1)
    expect(roast.fire.point.value!.contentG).toBeLessThan(500)
    const poured = await at(760, 6, arch)
    expect(poured.fire.point.value!.contentG).toBeGreaterThan(1300)
  })
})
