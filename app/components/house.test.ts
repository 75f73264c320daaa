import { flushPromises, mount, RouterLinkStub } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
import { useLiveCooks } from '../composables/liveCooks'
import { withChoices } from '../../test/support/choiceStub'
import HousePage from './HousePage.vue'
import LabelledChoice from './LabelledChoice.vue'

const global = { stubs: { ...withChoices.stubs, NuxtLink: RouterLinkStub } }
const cook = (id: string) => ({ id, dish: 'Sweet water', plannedAt: 1_795_000_000_000, startedAt: null })
let answers: () => Promise<Response>
const asked = vi.fn(() => answers())
const cooksAre = (list: unknown): void => {
  answers = () => Promise.resolve(new Response(JSON.stringify({ cooks: list })))
}

beforeEach(() => {
  vi.useFakeTimers()
  vi.stubGlobal('fetch', asked)
  cooksAre([])
})
afterEach(() => {
  vi.unstubAllGlobals()
  vi.useRealTimers()
  asked.mockClear()
})
const page = (props: { trouble?: string | null } = {}) =>
  mount(HousePage, {
    props,
    slots: { default: '<p id="in">here</p>' },
    global: { ...global, mocks: { $route: { path: '/kitchen/boil' } } },
  })

describe('a page of the house', () => {
  it('holds its content in the one main part, which the first link leads to', () => {
    const drawn = page()
    expect(drawn.findAll('main')).toHaveLength(1)
    expect(drawn.get('main').find('#in').exists()).toBe(true)
    expect(drawn.get('a').attributes('href')).toBe(`#${drawn.get('main').attributes('id')}`)
    drawn.unmount()
  })

  it('says aloud what went wrong, and nothing where nothing did', () => {
    const wrong = page({ trouble: 'The hearth is away.' })
    expect(wrong.get('[role="alert"]').text()).toBe('The hearth is away.')
    wrong.unmount()
    for (const trouble of ['', null]) {
      const fine = page({ trouble })
      expect(fine.find('[role="alert"]').exists()).toBe(false)
      fine.unmount()
    }
  })

  it('leads to the fire while a cook is on, and not after', async () => {
    const places = (drawn: ReturnType<typeof page>): unknown[] =>
      drawn.findAllComponents(RouterLinkStub).map(link => link.props('to'))
    cooksAre([cook('newest'), cook('older')])
    const drawn = page()
    await flushPromises()
    expect(places(drawn)).toContain('/fire/newest')
    cooksAre([])
    await vi.advanceTimersByTimeAsync(5000)
    await flushPromises()
    expect(places(drawn).some(to => String(to).startsWith('/fire/'))).toBe(false)
    drawn.unmount()
  })
})

describe('live cooks', () => {
  it('are asked for once for all who show them, and not any more once nobody does', async () => {
    const scopes = [effectScope(), effectScope()]
    const [first, second] = scopes.map(scope => scope.run(() => useLiveCooks())!)
    cooksAre([cook('c')])
    await vi.advanceTimersByTimeAsync(5000)
    expect(asked).toHaveBeenCalledTimes(2)
    expect(first!.value.map(one => one.id)).toEqual(['c'])
    expect(second!.value).toEqual(first!.value)
    scopes[0]!.stop()
    await vi.advanceTimersByTimeAsync(5000)
    expect(asked).toHaveBeenCalledTimes(3)
    scopes[1]!.stop()
    await vi.advanceTimersByTimeAsync(60_000)
    expect(asked).toHaveBeenCalledTimes(3)
  })

  it('stay as they were known while the hearth is away or talks nonsense', async () => {
    const scope = effectScope()
    cooksAre([cook('c')])
    const cooks = scope.run(() => useLiveCooks())!
    await vi.advanceTimersByTimeAsync(10)
    answers = () => Promise.reject(new TypeError('away'))
    await vi.advanceTimersByTimeAsync(5000)
    cooksAre('nonsense')
    await vi.advanceTimersByTimeAsync(5000)
    expect(cooks.value.map(one => one.id)).toEqual(['c'])
    scope.stop()
  })
})

describe('a labelled choice', () => {
  it('says what it asks once to the eye and once to the ear', async () => {
    const drawn = mount(LabelledChoice, {
      props: {
        asks: 'Roast',
        chosen: 'golden',
        options: [
          { value: 'golden', label: 'golden' },
          { value: 'brown', label: 'brown' },
        ],
      },
      global,
    })
    expect(drawn.get('span').attributes('aria-hidden')).toBe('true')
    expect(drawn.find('[aria-label="Roast"]').exists()).toBe(true)
    await drawn.get('select').setValue('brown')
    expect(drawn.emitted('choose')).toEqual([['brown']])
  })
})
