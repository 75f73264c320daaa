import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { yieldOf } from '../../../core/formulation/yield/yieldOf'
import { liquidAccount } from '../../../core/formulation/proportions/liquidAccount'
import { dishOf, nameOf } from '../../../test/support/measuring'
import { rowOf } from '../../../test/support/plans'
import LiquidBar from './LiquidBar.vue'
import ServingFacts from './ServingFacts.vue'

describe('the liquid bar', () => {
  it('says the total, what is taken, what comes with the food, and what is still to pour', () => {
    const account = liquidAccount(dishOf('threshing-floor-wheat'), 200, rowOf)
    const text = mount(LiquidBar, { props: { account, nameOf, hold: true } }).text()
    expect(text).toContain('still to pour 745 g')
    expect(text).toContain('77 g melts the jaggery')
    expect(text).toContain('25 g comes with the jaggery')
  })

  it('warns where more is taken than there is, and tells whether the total is held', async () => {
    const account = { ...liquidAccount(dishOf('threshing-floor-wheat'), 200, rowOf), overdrawn: true }
    const drawn = mount(LiquidBar, { props: { account, nameOf, hold: true } })
    expect(drawn.text()).toContain('More water is taken')
    await drawn.get('input').setValue(false)
    expect(drawn.emitted('hold')).toEqual([[false]])
  })

  it('has no plain water to pour where there is none', () => {
    const account = liquidAccount(dishOf('milk-morning-semolina'), 200, rowOf)
    expect(mount(LiquidBar, { props: { account, nameOf, hold: false } }).text()).not.toContain('still to pour')
  })
})

describe('the serving', () => {
  const dish = dishOf('sweet-water-semolina')

  it('tells servings, sweetness warm and cold, and how the fat shows', () => {
    const text = mount(ServingFacts, {
      props: { dishYield: yieldOf(dish, 250, rowOf), part: 'first', currency: '' },
    }).text()
    expect(text).toMatch(/Servings\s*9 of 190 g/)
    expect(text).toMatch(/16 % sugar warm, 16 % cold/)
    expect(text).toContain('held in the mass')
  })

  it('tells what it holds with its uncertainty, allergens, and cost with what has no price', () => {
    const text = mount(ServingFacts, {
      props: { dishYield: yieldOf(dish, 250, rowOf, [{ id: 'ghee', pricePerKg: 600 }]), part: 'rest', currency: 'cr' },
    }).text()
    expect(text).toMatch(/kJ \(\d+ kcal\)/)
    expect(text).toContain('not medical advice')
    expect(text).toContain('wheat, milk, cashew')
    expect(text).toMatch(/117 cr, 13 cr each/)
    expect(text).toContain('no price yet')
  })

  it('says nothing of cost without prices', () => {
    expect(
      mount(ServingFacts, { props: { dishYield: yieldOf(dish, 250, rowOf), part: 'rest', currency: 'cr' } }).text(),
    ).not.toContain('Cost')
  })
})
