import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { INGREDIENTS } from '../../../../book/ingredients'
import { PLAIN_NAMES } from '../../../../book/plainNames'
import { PASTED_TEXTS } from '../../../../test/support/pasted/texts'
import { rowOf } from '../../../../test/support/plans'
import { weightOf } from '../../measures/weightOf'
import { foodNames } from './foodNames'
import { readLines, type ReadLine } from './readLines'

const CUP = { id: 'c', name: 'cup', volumeMl: 240 }
const FOODS = foodNames(INGREDIENTS, PLAIN_NAMES)
const read = (text: string) => readLines(text, CUP, FOODS)
/** Two spoons that are read as level are near enough; a wrong unit or food is far off. */
const NEAR = 0.02

interface Verdict {
  readonly line: string
  readonly meant: string
  readonly verdict: 'right' | 'asked' | 'asked needlessly' | 'silently wrong'
  readonly got: string
}

function gramsOf(said: string, id: string): number {
  const [, value, unit] = /^([\d.]+)(g|ml|pc|S|L)$/.exec(said)!
  const number = Number(value)
  const size = unit === 'S' ? 'small' : unit === 'L' ? 'large' : 'medium'
  return unit === 'g'
    ? number
    : weightOf(unit === 'ml' ? { kind: 'volume', volumeMl: number } : { kind: 'count', count: number, size }, rowOf(id))
}

function judge(line: string, meant: string, got: readonly ReadLine[]): Verdict {
  const say = got
    .map(one =>
      one.passed
        ? `(${one.passed})`
        : `${one.ingredient ?? 'nothing'} ${one.massG?.toFixed(1) ?? '?'} ${one.doubts.join(',')}`,
    )
    .join(' + ')
  const asked = got.some(one => one.doubts.length > 0)
  const passed = got.every(one => one.passed !== null)
  const make = (verdict: Verdict['verdict']): Verdict => ({ line, meant, verdict, got: say })
  if (meant === '-') return make(passed ? 'right' : asked ? 'asked needlessly' : 'silently wrong')
  if (passed) return make('silently wrong')
  if (meant === '?') return make(asked ? 'asked' : 'silently wrong')
  if (asked) return make('asked needlessly')
  const wanted = meant.split(' + ').map(one => one.split(' ') as [string, string])
  const same =
    wanted.length === got.length
    && wanted.every(
      ([id, grams], i) => got[i]!.ingredient === id && Math.abs(got[i]!.massG! / gramsOf(grams, id) - 1) < NEAR,
    )
  return make(same ? 'right' : 'silently wrong')
}

/** Every text read as a whole, each of its lines judged. */
function judgeAll(): Verdict[] {
  return PASTED_TEXTS.trim().split(/\n\s*\n/).flatMap((text) => {
    const pairs = text.split('\n').map(line => line.split(' => ') as [string, string])
    const { lines } = read(pairs.map(([line]) => line).join('\n'))
    const byLine = pairs.map((_, i) => lines.filter(one => one.at === i))
    expect(new Set(lines.map(one => one.at)).size, text).toBe(pairs.length)
    return pairs.map(([line, meant], i) => judge(line, meant, byLine[i]!))
  })
}

describe('pasted texts', () => {
  const verdicts = judgeAll()
  const of = (verdict: Verdict['verdict']) => verdicts.filter(one => one.verdict === verdict)

  it('are read without one line silently wrong', () => {
    if (process.env.READ_LINES)
      console.log(
        verdicts
          .filter(one => one.verdict !== 'right' && one.verdict !== 'asked')
          .map(one => `${one.verdict}: ${one.line}\n    meant ${one.meant}\n    got   ${one.got}`)
          .join('\n'),
        `\n${verdicts.length} lines: ${(['right', 'asked', 'asked needlessly', 'silently wrong'] as const).map(name => `${of(name).length} ${name}`).join(', ')}`,
      )
    expect(verdicts.length).toBeGreaterThanOrEqual(250)
    expect(of('silently wrong')).toEqual([])
  })

  it('ask needlessly about one line in five at most', () => {
    expect(of('asked needlessly').length / verdicts.length).toBeLessThanOrEqual(0.2)
  })
})

describe('a pasted line', () => {
  it.each([
    ['3/4 cup ghee', 'ghee', 0.75 * 240 * 0.89],
    ['1½ cups sugar', 'sugar', 1.5 * 240 * 0.83],
    ['200g gur', 'jaggery', 200],
    ['9 large jackfruit pods', 'jackfruit', 9 * 45 * 0.68],
    ['2 pears', 'pear', 2 * 165 * 0.84],
    ['1 katori atta', 'wheat-flour-whole', 240 * 0.52],
    ['1/2 tsp cardamom powder', 'cardamom-ground', 1],
    ['5 green cardamom pods', 'cardamom-ground', 5 * 0.2 * 0.7],
    ['500 ml milk', 'milk', 515],
    ['- 2 tbsp milk powder', 'milk-powder', 30 * 0.48],
    ['1 cup besan', 'gram-flour-fine', 240 * 0.43],
    ['1 lb carrots, grated', 'carrot-orange', 453.592],
  ])('%s', (text, ingredient, massG) => {
    const [line] = read(text).lines
    expect([line!.ingredient, ...line!.others]).toContain(ingredient)
    expect(line!.massG!).toBeCloseTo(massG, 0)
  })

  it('says what is doubtful, and why', () => {
    const doubts = (text: string) => read(text).lines[0]!.doubts
    expect(doubts('1 cup sooji')).toEqual([])
    expect(doubts('1 cup wheat flour')).toEqual(['which'])
    expect(doubts('salt to taste')).toEqual(['no-amount'])
    expect(doubts('dragon scales, 3')).toContain('unknown')
    expect(doubts('2-3 tbsp ghee')).toEqual(['range'])
    expect(doubts('1 tin condensed milk')).toEqual(['measure'])
    expect(doubts('3/4 cup ghee')).toEqual([])
  })

  it.each([
    '2 handfuls of raisins, chopped',
    '1 handful cashews',
    '3 packets of almonds',
    'a knob of butter',
    '2 sprigs of saffron',
  ])('does not count the pieces of "%s"', text => {
    const [line] = read(text).lines
    expect(line!.doubts.some(doubt => doubt === 'measure' || doubt === 'no-amount')).toBe(true)
  })

  it.each([
    ['9 large pods of jackfruit', 9 * 45 * 0.68],
    ['12 raisins', 12 * 0.5],
    ['2 pods of cardamom', 2 * 0.2 * 0.7],
  ])('counts those of "%s"', (text, massG) => {
    expect(read(text).lines[0]!.massG!).toBeCloseTo(massG, 1)
  })

  it.each([
    ['sweet semolina', ['semolina-fine', 'semolina-medium', 'semolina-coarse']],
    ['milk semolina', ['semolina-fine', 'semolina-medium', 'semolina-coarse', 'milk', 'milk-rich']],
    ['milk fine', ['milk', 'milk-rich']],
  ])('asks of "%s" about foods whose name is all there, before those of which a word is', (text, ids) => {
    const { row, others, sure } = FOODS.find(text)
    expect([row!.id, ...others.map(one => one.id)]).toEqual(ids)
    expect(sure).toBe(false)
  })

  it('knows a heading from an ingredient', () => {
    expect(read('For the halwa:').lines[0]).toMatchObject({ passed: 'heading', ingredient: null })
  })

  it('is never silently dropped: every word comes back in some line', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.string({ minLength: 1, maxLength: 60 }).filter(line => !/[\r\n]/.test(line) && /[a-z]/i.test(line)),
          { maxLength: 20 },
        ),
        lines => {
          const found = read(lines.join('\n')).lines
          const all = found.map(line => line.text).join(' ')
          for (const word of lines
            .join(' ')
            .replace(/<[^>]*>|&#?\w+;/g, ' ')
            .match(/[a-z]{2,}/gi) ?? [])
            expect(all).toContain(word)
          for (const line of found) expect(line.massG === null || line.massG >= 0).toBe(true)
        },
      ),
      { numRuns: 200 },
    )
  })
})
