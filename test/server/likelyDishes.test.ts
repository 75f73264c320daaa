import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { NextDishesSchema } from '../../contracts/nextDish'
import { dateOfDay, dayNumber, wallMs } from '../../core/maths/time/houseDay'
import { openHearth, type Hearth } from '../../server/services/hearth'
import { stock } from '../../server/services/stock'

const NOW = 1_780_000_000_000
const TODAY = dayNumber(NOW, 'utc')
let folder: string
let hearth: Hearth

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'yon-hearth-next-test-'))
  hearth = await openHearth(folder, { now: () => NOW, rate: 1 })
  await stock(hearth)
})
afterEach(async () => {
  await hearth.close()
  rmSync(folder, { recursive: true, force: true })
})
const put = (ingredient: string, useBy: number | null = null) =>
  hearth.kitchens.put('store', { id: ingredient, ingredient, massG: 500, gotOn: TODAY - 1, openedOn: null, useBy })

describe('dishes that may be next', () => {
  it('are first ones in a fresh house, each with all it lacks', async () => {
    const { dishes } = NextDishesSchema.parse(await hearth.likelyDishes.next())
    expect(dishes).toHaveLength(3)
    expect(dishes.every(one => one.why === 'first' && one.missing.length > 1 && one.last === null)).toBe(true)
  })

  it('use up what perishes, and are never those put aside', async () => {
    await put('carrot-red', TODAY + 2)
    const [first] = (await hearth.likelyDishes.next()).dishes
    expect(first).toMatchObject({ why: 'perishes', uses: { lastDay: TODAY + 2 } })
    expect(first!.missing).not.toContain(first!.uses!.name)
    await hearth.dishes.putAside(first!.id, true)
    expect((await hearth.likelyDishes.next()).dishes.map(one => one.id)).not.toContain(first!.id)
  })

  it('are hurried by nothing past its day', async () => {
    expect(wallMs(dateOfDay(TODAY), 0, 'utc')).toBeLessThanOrEqual(NOW)
    await put('carrot-red', TODAY - 1)
    expect((await hearth.likelyDishes.next()).dishes.map(one => one.why)).not.toContain('perishes')
  })
})
