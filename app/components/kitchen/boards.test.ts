import { describe, expect, it } from 'vitest'
import { FIRST_KITCHEN } from '../../../book/firstKitchen'
import { FireSchema, MeasureSchema, PanSchema, TraySchema } from '../../../contracts/kitchen'
import { boardsOf, newThing } from './boards'

const SCHEMAS = { measures: MeasureSchema, pans: PanSchema, fires: FireSchema, trays: TraySchema }
const fire = FIRST_KITCHEN.fires[0]!
const learned = (value: number, batch: string, variance = 0.01) => ({
  name: `fire.${fire.id}`,
  of: 'mainFire',
  value,
  variance,
  batch,
})
const noteOf = (evidence: Parameters<typeof boardsOf>[1]): string =>
  boardsOf(FIRST_KITCHEN, evidence).find(one => one.shelf === 'fires')!.things[0]!.note

describe('the boards of the kitchen', () => {
  it('show every thing of every shelf with its size and where its numbers come from', () => {
    for (const board of boardsOf(FIRST_KITCHEN, [])) {
      expect(board.things.map(one => one.id)).toEqual(FIRST_KITCHEN[board.shelf].map(one => one.id))
      for (const thing of board.things) {
        expect(thing.size).toMatch(/\d.*(ml|cm|W|round)/)
        expect(thing.note).not.toBe('')
      }
    }
  })

  it('say of a fire what batches and checks taught, the surer one more', () => {
    expect(noteOf([])).not.toContain('reading')
    expect(noteOf([learned(Math.log(0.8), 'a')])).toContain('about 80 % of that by 1 reading')
    const both = noteOf([learned(Math.log(0.8), 'a', 0.001), learned(Math.log(1.2), 'b', 1)])
    expect(both).toContain('by 2 readings')
    expect(Number(/about (\d+) %/.exec(both)![1])).toBeLessThan(84)
  })
})

describe('a new thing', () => {
  it.each(['cup', 'spoon', 'pan', 'pot', 'fire', 'tray'])(
    'is a %s that can be kept, with numbers called guesses',
    kind => {
      const made = newThing(kind, 'n1')!
      expect(SCHEMAS[made.shelf].safeParse(made.item).success).toBe(true)
      const { origin, massOrigin } = { origin: 'guess', massOrigin: 'guess', ...made.item }
      expect([origin, massOrigin]).toEqual(['guess', 'guess'])
      expect(
        boardsOf({ ...FIRST_KITCHEN, [made.shelf]: [made.item] }, []).find(one => one.shelf === made.shelf)!.things,
      ).toHaveLength(1)
    },
  )

  it('is none where there is no such kind', () => {
    expect(newThing('sofa', 'n1')).toBeNull()
  })
})
