import { mount, RouterLinkStub } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { FIRST_KITCHEN } from '../../../book/firstKitchen'
import { standingOf } from '../../../test/support/afterFire'
import { ChoiceStub } from '../../../test/support/choiceStub'
import { starterPlan } from '../../../test/support/plans'
import ShapeBalls from './ShapeBalls.vue'
import ShapeBowls from './ShapeBowls.vue'
import ShapeTray from './ShapeTray.vue'
import TrayDrawing from './TrayDrawing.vue'
import { choose, chosenIn } from '../../../test/support/hands'

const global = { stubs: { NuxtLink: RouterLinkStub, ChoiceSelect: ChoiceStub } }
const SETTLE_MS = 1000
const { mass } = standingOf(starterPlan('tide-line-coconut'), 1100)
const trays = [
  { id: 'square', name: 'Square tray', shape: 'rectangle' as const, widthMm: 200, lengthMm: 200, depthMm: 40 },
  { id: 'plate', name: 'Round plate', shape: 'round' as const, widthMm: 240, lengthMm: 240, depthMm: 25 },
]

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

describe('a slab in its tray', () => {
  const view = (
    shaped: InstanceType<typeof ShapeTray>['$props']['shaped'] = null,
    of: readonly (typeof trays)[number][] = trays,
  ) => mount(ShapeTray, { global, props: { mass, trays: of, colour: '#d9b37a', shaped } })
  const counted = (one: ReturnType<typeof view>): number => Number(one.find('.count strong').text())

  it('counts pieces, weighs each, and draws as many', () => {
    const one = view()
    const kinds = one.findComponent(TrayDrawing).findAll('path').map(each => each.classes())
    expect(kinds.flat().filter(kind => kind === 'whole')).toHaveLength(counted(one))
    const each = Number(/([\d.]+) g/.exec(one.findAll('.count strong')[1]!.text())![1])
    expect(each * counted(one)).toBeLessThanOrEqual(mass.massG * 1.1)
  })

  it('goes to the next count of whole pieces that a knife can make, and marks it once it stands', async () => {
    const one = view()
    const before = counted(one)
    await one.find('[aria-label="Whole pieces: more"]').trigger('click')
    expect(counted(one)).toBeGreaterThan(before)
    await one.find('[aria-label="Whole pieces: less"]').trigger('click')
    const fewer = counted(one)
    expect(fewer).toBeLessThanOrEqual(before)
    expect(one.emitted('shape')).toBeUndefined()
    await vi.advanceTimersByTimeAsync(SETTLE_MS)
    expect(one.emitted('shape')).toHaveLength(1)
    expect(one.emitted('shape')![0]).toMatchObject([
      { way: 'tray', tray: { shape: expect.any(String) as string }, cut: { slantDeg: 90 } },
    ])
  })

  it('makes diamonds of a slant, and rectangles of two sides', async () => {
    const one = view()
    await choose(one, 'diamonds')
    expect(one.text()).toContain('60°')
    await one.find('[aria-label="Slant: more"]').trigger('click')
    expect(one.text()).toContain('65°')
    await choose(one, 'rectangles')
    expect(one.text()).toContain('Other side')
    expect(chosenIn(one)).toContain('rectangles')
  })

  it('turns the marks, and back again from the far side', async () => {
    const one = view()
    for (let i = 0; i < 19; i++) await one.find('[aria-label="Turned: more"]').trigger('click')
    expect(one.find('[aria-label="Turned"] output').text()).toBe('-85°')
  })

  it('says how the mass lies in each tray, and how much to make for the wanted depth', async () => {
    const one = view()
    expect(one.findAll('option')).toHaveLength(2)
    await one.find('select').setValue('plate')
    expect(one.find('figcaption').text()).toContain('Round plate')
    await one.find('select').setValue('square')
    for (let i = 0; i < 12; i++) await one.find('[aria-label="Wanted depth: more"]').trigger('click')
    expect(one.text()).toMatch(/To fill it to 4\.2 cm, make × [\d.]+ next time, or spread it over \d+ % of the tray/)
  })

  it('begins as it was cut before', () => {
    const cut = { firstMm: 30, secondMm: 30, turnDeg: 0, slantDeg: 60 }
    const one = view({ way: 'tray', tray: { ...trays[1]! }, cut })
    expect(chosenIn(one)).toContain('diamonds')
    expect(one.find('figcaption').text()).toContain('Round plate')
  })

  it('says what to do where the house has no tray', () => {
    expect(view(null, []).text()).toContain('Put one on the shelf')
  })
})

describe('balls', () => {
  const plan = starterPlan('marble-gram-balls')
  const stood = standingOf(plan, 620)
  const rolling = { from: { early: 600, middle: 900, late: 1300 }, until: { early: 2400, middle: 3000, late: 4000 } }
  const view = (nowS: number, shaped: InstanceType<typeof ShapeBalls>['$props']['shaped'] = null) =>
    mount(ShapeBalls, {
      global,
      props: { mass: stood.mass, colour: '#c9a26a', shaped, rolling, since: 0, now: nowS * 1000 },
    })

  it('count, weigh and measure one another', async () => {
    const one = view(0)
    const count = () => Number(one.find('.count strong').text())
    expect(count()).toBe(Math.floor(stood.mass.massG / 30 + 1e-9))
    const before = count()
    await one.find('[aria-label="How many: more"]').trigger('click')
    expect(count()).toBe(before + 1)
    await one.find('[aria-label="Across: more"]').trigger('click')
    expect(count()).toBeLessThan(before)
    const weight = () => Number.parseFloat(one.findAll('.count strong')[1]!.text())
    const heavy = weight()
    await one.find('[aria-label="Weight of one: less"]').trigger('click')
    expect(weight()).toBeLessThan(heavy)
    await vi.advanceTimersByTimeAsync(SETTLE_MS)
    expect(one.emitted('shape')).toMatchObject([[{ way: 'balls' }]])
  })

  it('are rolled while they are hand-warm: before it, in it, and after it something else is said', () => {
    expect(view(0).find('h3').text()).toContain('Hand-warm at about')
    expect(view(900).find('h3').text()).toContain('now')
    expect(view(5000).find('h3').text()).toContain('warm ghee')
  })

  it('begin as heavy as they were rolled', () => {
    expect(view(0, { way: 'balls', eachG: 25 }).findAll('.count strong')[1]!.text()).toBe('25 g')
  })
})

describe('bowls', () => {
  const cups = FIRST_KITCHEN.measures.filter(one => one.kind === 'cup')
  it('are filled and turned out, the last one with what is left', async () => {
    const one = mount(ShapeBowls, {
      global,
      props: {
        mass,
        cups: [...cups, { ...cups[0]!, id: 'small', name: 'Small bowl', volumeMl: 90 }],
        colour: '#d9b37a',
        shaped: null,
      },
    })
    const full = Number(one.find('.count strong').text())
    expect(full).toBe(Math.floor(mass.massG / mass.density / cups[0]!.volumeMl + 1e-9))
    await one.find('select').setValue('small')
    expect(Number(one.find('.count strong').text())).toBeGreaterThan(full)
    expect(one.findAll('svg').length).toBeLessThanOrEqual(12)
    await vi.advanceTimersByTimeAsync(SETTLE_MS)
    expect(one.emitted('shape')).toEqual([[{ way: 'bowls', bowlMl: 90 }]])
  })
})
