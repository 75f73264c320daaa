// @vitest-environment happy-dom
import { computed, ref } from 'vue'
import { describe, expect, it, vi } from 'vitest'
import { STARTER_DISHES } from '../../book/dishes'
import { DishCardSchema } from '../../contracts/dish'
import type { DishCard } from '../../core/formulation/dish/dish'
import { useKeepingDish } from './keepingDish'

const dish = STARTER_DISHES[0]!
function kept(reachable = true) {
  const book = ref<readonly DishCard[]>([dish])
  const hand = ref<DishCard | null>(dish)
  const keepDish = vi.fn(async (next: DishCard) => {
    if (!reachable) throw new Error('away')
    book.value = [...book.value.filter(one => one.id !== next.id), next]
    return Promise.resolve()
  })
  const take = (next: DishCard): void => {
    hand.value = next
  }
  return {
    book,
    hand,
    keepDish,
    keeping: useKeepingDish({ card: computed(() => hand.value), dishes: computed(() => book.value), take, keepDish }),
  }
}
const richer = (card: DishCard): DishCard => ({
  ...card,
  ingredients: card.ingredients.map(one => (one.part === 'fat' ? { ...one, perBase: one.perBase * 1.2 } : one)),
})

describe('keeping the dish in hand', () => {
  it('knows whether it differs from the book\'s', () => {
    const { hand, keeping } = kept()
    expect(keeping.changed.value).toBe(false)
    hand.value = richer(dish)
    expect(keeping.changed.value).toBe(true)
    hand.value = null
    expect(keeping.changed.value).toBe(false)
  })

  it('keeps a change as the version after the newest, and holds that one from then on', async () => {
    const { hand, book, keeping } = kept()
    hand.value = richer(dish)
    expect(await keeping.keep(keeping.nextVersion())).toBe(true)
    expect(book.value[0]!.version).toBe(dish.version + 1)
    expect(hand.value.version).toBe(dish.version + 1)
    expect(keeping.changed.value).toBe(false)
    hand.value = richer(hand.value)
    expect(keeping.nextVersion()!.version).toBe(dish.version + 2)
  })

  it('keeps it beside the dish it came from, under a name that fits', async () => {
    const { hand, book, keeping } = kept()
    hand.value = { ...richer(dish), name: 'x'.repeat(60) }
    await keeping.keepAsOwn()
    expect(book.value).toHaveLength(2)
    const own = book.value[1]!
    expect(own).toMatchObject({ version: 1, note: `from ${'x'.repeat(60)}` })
    expect(own.id).not.toBe(dish.id)
    expect(DishCardSchema.safeParse(own).success).toBe(true)
    expect(book.value[0]).toEqual(dish)
    expect(keeping.changed.value).toBe(false)
  })

  it('says so where the hearth is away, and loses nothing', async () => {
    const { hand, book, keeping } = kept(false)
    const changed = richer(dish)
    hand.value = changed
    expect(await keeping.keep(keeping.nextVersion())).toBe(false)
    expect(keeping.trouble.value).toContain('kept on this device')
    expect(hand.value).toEqual(changed)
    expect(book.value).toEqual([dish])
  })

  it('keeps nothing where nothing is in hand', async () => {
    const { hand, keeping, keepDish } = kept()
    hand.value = null
    expect(await keeping.keep(keeping.nextVersion())).toBe(false)
    expect(await keeping.keepAsOwn()).toBe(false)
    expect(keepDish).not.toHaveBeenCalled()
  })
})
