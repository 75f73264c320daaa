import { describe, expect, it } from 'vitest'
import { FIRST_KITCHEN } from '../../book/firstKitchen'
import type { Evidence } from '../../core/materials/belief/reading'
import { learnedMarks, learnedNumbers } from './learnedNumbers'

const NOW = 1_795_000_000_000
const reading = (name: string, of: string, value: number, variance = 0.01, ladder?: number): Evidence => ({
  name,
  of,
  value,
  variance,
  batch: `b-${name}-${value}`,
  when: NOW - 86_400_000,
  ...(ladder === undefined ? {} : { ladder }),
})
const front = FIRST_KITCHEN.fires[0]!
const width = (window: { early: number, late: number }): number => window.late / window.early

describe('what was learned of a fire', () => {
  it('is the first belief where nothing was read', () => {
    for (const mark of learnedMarks(front, [], NOW)) expect(mark.now).toEqual(mark.before)
  })

  it('moves and narrows at every mark, most at the one that was read', () => {
    const marks = learnedMarks(
      front,
      [reading(`fire.${front.id}`, 'mainFire', Math.log(0.8), 0.003, Math.log(front.marks[2]!.watts / 700))],
      NOW,
    )
    for (const mark of marks) {
      expect(mark.now.middle).toBeLessThan(mark.before.middle)
      expect(width(mark.now)).toBeLessThan(width(mark.before))
    }
    expect(width(marks[2]!.now)).toBeLessThan(width(marks.at(-1)!.now))
  })

  it('rises with the marks', () => {
    const middles = learnedMarks(front, [], NOW).map(mark => mark.now.middle)
    expect(middles).toEqual([...middles].sort((p, q) => p - q))
  })
})

describe('what was learned beside', () => {
  it('has a line for each number with readings, most readings first, factors beside any kitchen\'s', () => {
    const numbers = learnedNumbers(
      [
        reading('browning.semolina', 'browningRate', Math.log(0.0007)),
        reading('kept.a', 'kept', 0.9, 0.0001),
        reading('kept.a', 'kept', 0.91, 0.0001),
        reading('fire.front', 'mainFire', 0),
        reading('blend.physics', 'blend', 0.2),
        reading('unheard.of', 'unheard', 1),
      ],
      NOW,
    )
    expect(numbers.map(one => one.name)).toEqual(['kept.a', 'browning.semolina'])
    expect(numbers[1]!.before.middle).toBeCloseTo(1, 9)
    expect(numbers[1]!.now.middle).toBeGreaterThan(1.05)
    expect(numbers[0]!.now.middle).toBeLessThan(numbers[0]!.before.middle)
    expect(numbers[0]!.unit).toContain('share')
  })
})
