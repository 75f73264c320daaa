import { describe, expect, it } from 'vitest'
import { examplePlan, marked } from '../../../test/support/plans'
import { compileProgram } from '../../process/program/compileProgram'
import { forecastCook } from '../../process/forecast/forecastCook'
import { actionsOf } from './actions'
import { cueOf } from './cue'
import { dueTurn } from './dueTurn'
import { replay } from '../../record/replay/replay'

const bare = examplePlan({ flames: { roast: 'm4' } })
const plan = { ...bare, turns: [{ cue: 'aroma' as const, mark: 'm1' }, { cue: 'pale' as const, mark: 'off' }] }
const begun = [marked(0, 0, 'cook.started'), marked(1, 120, 'stage.began', { stage: 'roast' })]
const smelled = [...begun, marked(2, 300, 'sign.seen', { sign: 'aroma' })]

describe('the turns of a planned flame', () => {
  it('slow the roast in the forecast, and leave a roast without them as it is', () => {
    expect(forecastCook(plan, [], 0, 100).stages[2]!.middle).toBeGreaterThan(
      1.1 * forecastCook(bare, [], 0, 100).stages[2]!.middle,
    )
    expect(forecastCook({ ...plan, turns: [] }, [], 0, 100)).toEqual(forecastCook(bare, [], 0, 100))
  })

  it('are waited for until their cue is marked; then the mark speaks', () => {
    expect(compileProgram(plan, replay(plan, begun), 200).turns).toHaveLength(1)
    expect(compileProgram(plan, replay(plan, smelled), 310).turns).toHaveLength(0)
  })

  it('are called when their cue has come, and not before or once taken', () => {
    expect(dueTurn(plan, replay(plan, begun))).toBeNull()
    expect(dueTurn(plan, replay(plan, smelled))).toEqual({ cue: 'aroma', mark: 'm1' })
    expect(cueOf(plan, replay(plan, smelled), null, 305)).toMatchObject({ code: 'turn-down', mark: 'm1' })
    expect(actionsOf(plan, replay(plan, smelled), null, 305)[0]).toMatchObject({
      code: 'turn.m1',
      marks: { kind: 'flame.changed', payload: { vessel: 'pan', mark: 'm1' } },
    })
    const taken = [...smelled, marked(3, 306, 'flame.changed', { vessel: 'pan', mark: 'm1' })]
    expect(dueTurn(plan, replay(plan, taken))).toBeNull()
  })

  it('are called by the last of those whose cue has come: none that it overtakes is asked for', () => {
    const three = { ...bare, turns: [{ cue: 'aroma' as const, mark: 'm3' }, { cue: 'pale' as const, mark: 'm1' }] }
    const darker = [...smelled, marked(3, 500, 'looks.like', { step: 'pale' })]
    expect(dueTurn(three, replay(three, smelled))).toEqual({ cue: 'aroma', mark: 'm3' })
    expect(dueTurn(three, replay(three, darker))).toEqual({ cue: 'pale', mark: 'm1' })
  })

  it('count as taken where the flame was turned down by hand before', () => {
    const early = [
      ...begun,
      marked(4, 200, 'flame.changed', { vessel: 'pan', mark: 'm1' }),
      marked(5, 330, 'sign.seen', { sign: 'aroma' }),
    ]
    expect(dueTurn(plan, replay(plan, early))).toBeNull()
  })
})
