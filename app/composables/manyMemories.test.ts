import { beforeEach, describe, expect, it, vi } from 'vitest'
import { STARTER_DISHES } from '../../book/dishes'
import { FIRST_KITCHEN } from '../../book/firstKitchen'
import { INGREDIENTS } from '../../book/ingredients'
import { useManyMemories } from './manyMemories'
import { sendRemembered } from './sendRemembered'

vi.mock('./sendRemembered', () => ({ sendRemembered: vi.fn(() => Promise.resolve()) }))
const known = new Set<string>()
vi.stubGlobal('fetch', (address: string) => Promise.resolve({ ok: known.has(address.split('/').pop()!) }))
const sent = vi.mocked(sendRemembered)

const many = () => useManyMemories(() => ({ dishes: STARTER_DISHES, table: INGREDIENTS, kitchen: FIRST_KITCHEN }))
const file = (text: string): File => new File([text], 'old.csv')
beforeEach(() => {
  sent.mockClear()
  known.clear()
})

describe('many old batches', () => {
  it('are put in the ledger, each once however often the table is taken', async () => {
    const table = many()
    await table.take(
      file(
        'dish,date,base,minutes,roast,pan\nSweet-water semolina,2025-10-12,250,24,7,Karahi\nसूजी हलवा,2025-10-19,1 cup,26,,\n',
      ),
    )
    expect(
      table.read.value.map(one => [one.card?.id, one.baseG === null ? null : Math.round(one.baseG), one.instead]),
    ).toEqual([
      ['sweet-water-semolina', 250, 'Steel pan for Karahi'],
      ['sweet-water-semolina', 170, ''],
    ])
    await table.keep()
    expect(sent).toHaveBeenCalledTimes(2)
    expect(table.says.value).toBe('2 kept.')
    for (const [id] of sent.mock.calls) known.add(id)
    const again = many()
    await again.take(file('dish,date,base,minutes,roast,pan\nSweet-water semolina,2025-10-12,250,24,7,Karahi\n'))
    await again.keep()
    expect(sent).toHaveBeenCalledTimes(2)
    expect(again.says.value).toBe('0 kept, 1 stood in the ledger already.')
  })

  it('ask once which dish a name means, and keep a row that wants something out', async () => {
    const table = many()
    await table.take(
      file(
        'dish,date,base,minutes\nEvening bowl,2025-10-12,250,24\nEvening bowl,2025-10-13,300,25\nBrick-kiln wheat,,250,25\n',
      ),
    )
    expect(table.unknown.value).toEqual(['Evening bowl'])
    expect(table.ready.value).toHaveLength(0)
    table.name('Evening bowl', 'brick-kiln-wheat')
    expect(table.ready.value.map(one => one.card?.id)).toEqual(['brick-kiln-wheat', 'brick-kiln-wheat'])
    expect(table.read.value[2]!.troubles).toEqual(['day'])
    await table.keep()
    expect(sent).toHaveBeenCalledTimes(2)
  })

  it('say why a table is not read', async () => {
    const table = many()
    await table.take(file('hello'))
    expect(table.says.value).toContain('Nothing was kept.')
    await table.take({ size: 9e6, name: 'big.csv' } as File)
    expect(table.says.value).toContain('too large')
  })

  it('stop where the hearth is away, and what was kept stays kept', async () => {
    const table = many()
    await table.take(
      file('dish,date,base,minutes\nBrick-kiln wheat,2025-10-12,250,24\nBrick-kiln wheat,2025-10-13,300,25\n'),
    )
    sent.mockRejectedValueOnce(new Error('The hearth cannot be reached.'))
    await table.keep()
    expect(table.says.value).toBe('0 kept, 1 not kept.')
    await table.keep()
    expect(table.says.value).toBe('2 kept.')
  })
})
