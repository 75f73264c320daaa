import { describe, expect, it } from 'vitest'
import { marked, starterPlan } from '../../../test/support/plans'
import { lateCueText, lateText, lateWayText } from '../../../words/late'
import { mainLine } from '../../formulation/dish/mainLine'
import { forecastCook } from '../../process/forecast/forecastCook'
import { cueOf } from './cue'
import { lateOf } from './lateOf'
import type { Observation } from '../../record/marks/observation'
import { replay } from '../../record/replay/replay'

const ONE_OF_EACH = [
  'first-offering-semolina',
  'window-pane-wheat',
  'marble-gram-balls',
  'one-thread-gram',
  'ember-sweet-potato',
  'diamond-cashew',
]
const MEMBERS = 12
/** How far it is looked from one look to the next, as a factor. */
const FURTHER = 1.7

/** A cook that goes on from stage to stage at the middle of its windows, to the start of one of them. */
function storyTo(
  id: string,
  stage: number,
): { readonly plan: ReturnType<typeof starterPlan>, readonly story: Observation[], readonly began: number } {
  const plan = starterPlan(id)
  const line = mainLine(plan.dish)
  const first = forecastCook(plan, [], 0, MEMBERS)
  const starts = first.stages.map(window => Math.round(window.middle))
  const story = line
    .slice(0, stage + 1)
    .map((one, k) =>
      k === 0 ? marked(1, 0, 'cook.started') : marked(k + 1, starts[k]!, 'stage.began', { stage: one.id }),
    )
  return { plan, story, began: stage === 0 ? 0 : starts[stage]! }
}

describe.each(ONE_OF_EACH)('a cook of %s', (id) => {
  const line = mainLine(starterPlan(id).dish)
  it.each(line.map((stage, k) => [stage.id, k] as const).filter(([name]) => name !== 'rest'))(
    'is told at once that %s is late, more urgently with time, and what can still be done',
    (_, k) => {
      const { plan, story, began } = storyTo(id, k)
      const at = (nowS: number) => {
        const forecast = forecastCook(plan, story, nowS, MEMBERS)
        const cook = replay(plan, story)
        return {
          late: lateOf(plan, cook, forecast, nowS).find(one => one.stage === line[k]!.id) ?? null,
          cue: cueOf(plan, cook, forecast, nowS),
          forecast,
        }
      }
      const first = at(began + 1)
      expect(first.late).toBeNull()
      const stage = line[k]!
      let levels: number[] = []
      for (
        let nowS = began + 30, step = 30;
        nowS < began + 6 * 3600 && levels.at(-1) !== 3;
        nowS += step, step *= FURTHER
      ) {
        const { late, cue } = at(nowS)
        if (!late) {
          expect(levels, `${nowS}`).toEqual([])
          continue
        }
        // It is past its window as that now stands, and not before.
        if (late.window) expect(nowS).toBeGreaterThan(late.window.late)
        levels = [...levels, late.level]
        expect(cue.code === 'late' || cue.code === 'asked' || late.level === 1, `${cue.code} at ${nowS}`).toBe(true)
        expect(lateCueText(late, stage).length).toBeLessThan(34)
        expect(lateText(late)).toMatch(/past its window|over its time/)
        expect(lateWayText(stage).length).toBeGreaterThan(20)
      }
      expect(levels.at(-1), `${levels}`).toBe(3)
      expect(levels).toEqual([...levels].sort((p, q) => p - q))
    },
    180_000,
  )
})

describe('what is late', () => {
  const { plan, story } = storyTo('sweet-water-semolina', 1)
  const cueAt = (nowS: number, more: Observation[] = []) => {
    const all = [...story, ...more]
    return cueOf(plan, replay(plan, all), forecastCook(plan, all, nowS, 60), nowS)
  }

  it('comes before the pot that was never put on: a roast that burns does not wait for it', () => {
    expect(cueAt(1300)).toMatchObject({ code: 'late', late: { stage: 'roast' } })
  })

  it('is the pot itself while the roast has time', () => {
    const pot = plan.dish.stages.find(stage => stage.meets)!
    const { sides } = forecastCook(plan, story, 300, 60)
    expect(cueAt(sides[0]!.lightS! + 60)).toMatchObject({
      code: 'light-other',
      vessel: pot.vessel,
      late: { stage: pot.id },
    })
  })

  it('is a colour that was seen and not acted upon', () => {
    const seen = marked(9, 500, 'looks.like', { step: 'pale' })
    const lit = marked(8, 300, 'vessel.lit', { vessel: 'pot' })
    expect(cueAt(505, [lit, seen]).code).toBe('pour-now')
    expect(cueAt(640, [lit, seen])).toMatchObject({ code: 'late', late: { stage: 'roast', window: null } })
  })

  it('is nothing before the start and after the end', () => {
    expect(lateOf(plan, replay(plan, []), forecastCook(plan, [], 0, MEMBERS), 5000)).toEqual([])
    const over = [...story, marked(20, 900, 'cook.finished')]
    expect(lateOf(plan, replay(plan, over), forecastCook(plan, over, 900, MEMBERS), 5000)).toEqual([])
  })
})
