import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import EnterHouse from './EnterHouse.vue'
import HouseAddress from './kitchen/HouseAddress.vue'

describe('entering the house', () => {
  it('takes the passphrase and the name of the device, and says what stands against it', async () => {
    const enter = vi.fn(() => Promise.resolve('That is not it. Nothing was changed.'))
    const drawn = mount(EnterHouse, { props: { why: 'enter-first', enter } })
    await drawn.get('form').trigger('submit')
    await vi.waitFor(() =>
      expect(drawn.text()).toContain("Type the household's passphrase first. Nothing was changed."),
    )
    expect(enter).not.toHaveBeenCalled()
    await drawn.get('#passphrase').setValue('copper pan')
    await drawn.get('#device-name').setValue(' phone ')
    await drawn.get('form').trigger('submit')
    await vi.waitFor(() => expect(enter).toHaveBeenCalledWith('copper pan', 'phone'))
    await flushPromises()
    expect(drawn.text()).toContain('That is not it')
  })

  it('sends to the machine itself where there is no passphrase yet', () => {
    const drawn = mount(EnterHouse, { props: { why: 'no-passphrase', enter: () => Promise.resolve('') } })
    expect(drawn.find('form').exists()).toBe(false)
    expect(drawn.text()).toContain('Set one on the machine')
  })

  it('draws the address as a code with its quiet zone', () => {
    const drawn = mount(HouseAddress, { props: { address: 'http://192.0.2.7:3000/' } })
    expect(drawn.get('svg').attributes('aria-label')).toContain('http://192.0.2.7:3000/')
    const size = Number(drawn.get('svg').attributes('viewBox')!.split(' ')[2])
    expect((size - 8 - 17) % 4).toBe(0)
    expect(drawn.get('path').attributes('d')).toMatch(/^M4 4h1v1h-1z/)
    expect(drawn.get('figcaption').text()).toBe('http://192.0.2.7:3000/')
  })
})
