import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../book/dishes'
import { INGREDIENTS } from '../../book/ingredients'
import { dishAddress, dishOfAddress } from './dishAddress'

const rice = INGREDIENTS.find(row => row.id === 'rice-flour')!

describe('a dish as an address', () => {
  it('comes back whole, its own ingredients too, and fits a code that can be scanned', async () => {
    for (const dish of STARTER_DISHES) {
      const shared = { dish, ingredients: [{ ...rice, id: 'own-1', own: true as const }] } as never
      const address = await dishAddress(shared, 'http://192.168.7.4:3000/')
      expect(address).toMatch(/^http:\/\/192\.168\.7\.4:3000\/book#dish=[\w-]+$/)
      // The largest code holds 2,953 bytes at the lowest level of correction (ISO/IEC 18004).
      expect(address.length).toBeLessThan(2953)
      expect(await dishOfAddress(`look: ${address} there`)).toEqual(shared)
    }
  })

  it('is told from a text without one, and from one that is damaged', async () => {
    expect(await dishOfAddress('200 g ghee')).toBeNull()
    const address = await dishAddress({ dish: STARTER_DISHES[0]!, ingredients: [] } as never, 'http://h')
    expect(await dishOfAddress(address.slice(0, -40))).toBe('damaged')
    expect(await dishOfAddress('http://h/book#dish=')).toBe('damaged')
    expect(await dishOfAddress(`http://h/book#dish=${'A'.repeat(30_000)}`)).toBe('damaged')
    await fc.assert(fc.asyncProperty(fc.stringMatching(/^[A-Za-z0-9_-]{1,200}$/), async (text) => {
      expect(await dishOfAddress(`#dish=${text}`)).toBe('damaged')
    }), { numRuns: 50 })
  })

  it('unpacks to no more than a dish can be long', async () => {
    const bomb = await dishAddress(
      { dish: { ...STARTER_DISHES[0]!, note: 'x'.repeat(5_000_000) }, ingredients: [] } as never,
      'http://h',
    )
    expect(bomb.length).toBeLessThan(20_000)
    expect(await dishOfAddress(bomb)).toBe('damaged')
  })
})
