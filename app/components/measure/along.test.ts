import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { forecastCook } from '../../../core/process/forecast/forecastCook'
import { starterPlan } from '../../../test/support/plans'
import AlongTheCook from './AlongTheCook.vue'
import { choose, chosenIn } from '../../../test/support/hands'

const plan = starterPlan('sweet-water-semolina')
const forecast = forecastCook(plan, [], 0, 60)
const draw = (id = 'sweet-water-semolina') => {
  const own = starterPlan(id)
  return mount(AlongTheCook, {
    props: {
      dish: own.dish,
      forecast: id === 'sweet-water-semolina' ? forecast : forecastCook(own, [], 0, 60),
      pan: { innerDiameterMm: 260, massG: 1300 },
    },
  })
}

describe('the pan along the cook', () => {
  it('begins with the heat inside, with its unit, its stages and its minutes', () => {
    const drawn = draw()
    expect(drawn.get('svg').attributes('aria-label')).toBe('Heat inside along the cook')
    const text = drawn.get('svg').text()
    expect(text).toContain('°C')
    expect(text).toContain('roast')
    expect(text).toContain('min')
    expect(drawn.find('.band').attributes('d')).not.toContain('NaN')
  })

  it('tells the same in words, a line for each stage and the end', () => {
    const drawn = draw()
    expect(drawn.findAll('.told li').length).toBeGreaterThan(4)
    expect(drawn.get('.told').text()).toMatch(/the end: \d+ °C to \d+ °C/)
  })

  it.each([
    ['On the scale', / g/],
    ['Depth', / mm/],
    ['Water that runs', / g/],
    ['Water held', / g/],
    ['Stiffness', / %/],
    ['Smell', / %/],
  ] as const)('%s has its own unit', async (name, unit) => {
    const drawn = draw()
    await choose(drawn, name)
    expect(drawn.get('svg').text()).toMatch(unit)
    expect(chosenIn(drawn)).toEqual([name])
  })

  it('weighs the pan with what is in it', async () => {
    const drawn = draw()
    await choose(drawn, 'On the scale')
    const end = Number(drawn.findAll('.told li').at(-1)!.text().match(/: (\d+) g/)![1])
    expect(end).toBeGreaterThan(1300 + 0.8 * forecast.finishedG.middle)
  })

  it('draws colours as the food will have them, light to dark', async () => {
    const drawn = draw()
    await choose(drawn, 'Colour')
    expect(drawn.findAll('rect').length).toBe(3 * forecast.bands!.length)
    expect(drawn.get('svg').text()).toContain('lightest')
    expect(drawn.find('.band').exists()).toBe(false)
  })

  it('asks of no smell where nothing is roasted, and keeps the last bands while an amount moves', async () => {
    expect(draw('winter-market-carrot').text()).not.toContain('Smell')
    const drawn = draw()
    await drawn.setProps({ forecast: { ...forecast, bands: undefined } })
    expect(drawn.find('.band').exists()).toBe(true)
  })
})
