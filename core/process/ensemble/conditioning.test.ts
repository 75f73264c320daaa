import { describe, expect, it } from 'vitest'
import { examplePlan, marked } from '../../../test/support/plans'
import { firstBelief } from '../belief/firstBelief'
import { beliefColumns, MEMBER_NAMES, memberValues } from '../belief/memberValues'
import type { Observation } from '../../record/marks/observation'
import { replay } from '../../record/replay/replay'
import { fillNormal } from '../../maths/random/fillNormal'
import { seededRandom } from '../../maths/random/seededRandom'
import { compileProgram } from '../program/compileProgram'
import { conditionEnsemble } from './conditionEnsemble'
import { logLikelihoods, residualsOf } from './logLikelihoods'
import { normalisedWeights } from './normalisedWeights'
import { proposeMembers } from './proposeMembers'
import { runEnsemble } from './runEnsemble'

const weighed = {
  id: 'p',
  name: 'Pan',
  material: 'steel' as const,
  innerDiameterMm: 260,
  depthMm: 75,
  massG: 1500,
  massOrigin: 'weighed',
  coated: false,
}
const plan = examplePlan({ pans: { pan: weighed, pot: weighed } })
const columns = beliefColumns(firstBelief())
const size = MEMBER_NAMES.length
const FIRE = MEMBER_NAMES.indexOf('mainFire')
/** Three members that differ in their fire alone: weak, as marked, strong. */
const three = new Float64Array(3 * size)
three[FIRE] = -1.5
three[2 * size + FIRE] = 1.5

function likelihoods(observations: readonly Observation[], nowS: number): number[] {
  const cook = replay(plan, observations)
  const program = compileProgram(plan, cook, nowS)
  return Array.from(logLikelihoods(plan, cook, program, runEnsemble(program, columns, three)))
}
/** How much one more mark speaks for the strong fire over the weak one. */
function forStrong(mark: Observation, nowS: number): number {
  const without = likelihoods(roasting, nowS)
  const told = likelihoods([...roasting, mark], nowS)
  return (told[2]! - without[2]!) - (told[0]! - without[0]!)
}
const started = marked(1, 0, 'cook.started')
const roasting = [started, marked(2, 250, 'stage.began', { stage: 'roast' })]
const [weak, , strong] = [0, 1, 2].map(i => memberValues(columns, three, i).mainFire)

describe('what is marked', () => {
  it('speaks for the fire that would have shown it then', () => {
    expect(weak!).toBeLessThan(strong!)
    expect(forStrong(marked(3, 360, 'sign.seen', { sign: 'aroma' }), 360)).toBeGreaterThan(0)
    expect(forStrong(marked(3, 900, 'sign.seen', { sign: 'aroma' }), 900)).toBeLessThan(0)
  })

  it('as a look lies between one step and the next', () => {
    const pale = likelihoods([...roasting, marked(3, 480, 'looks.like', { step: 'pale' })], 480)
    const brown = likelihoods([...roasting, marked(3, 480, 'looks.like', { step: 'brown' })], 480)
    expect(brown[2]! - brown[0]!).toBeGreaterThan(pale[2]! - pale[0]!)
  })

  it('as waiting speaks for the slower fire, more the longer it lasts', () => {
    const soon = likelihoods(roasting, 300)
    const long = likelihoods(roasting, 1100)
    expect(long[0]! - long[2]!).toBeGreaterThan(soon[0]! - soon[2]!)
  })

  it('as a thermometer speaks for the fire that is as hot', () => {
    expect(forStrong(marked(3, 420, 'temperature', { vessel: 'pan', tempC: 160 }), 420)).toBeGreaterThan(0)
    expect(forStrong(marked(3, 420, 'temperature', { vessel: 'pan', tempC: 112 }), 420)).toBeLessThan(0)
  })

  it('as one mark that cannot be true does not rule out everything', () => {
    const all = likelihoods([...roasting, marked(3, 255, 'sign.seen', { sign: 'burnt' })], 256)
    expect(all.every(Number.isFinite)).toBe(true)
    expect(Math.max(...all) - Math.min(...all)).toBeLessThan(20)
  })
})

describe('a better ensemble', () => {
  const normals = fillNormal(new Float64Array(400 * size), seededRandom(4))
  const even = new Float64Array(400).fill(1 / 400)
  /** A reading of one number alone: z itself, read as 2 with a noise of one half. */
  const reading = (members: Float64Array): Float64Array =>
    Float64Array.from({ length: members.length / size }, (_, i) => (2 - members[i * size + FIRE]!) / 0.5)

  it('gives the answer of a linear reading of a normal belief exactly, with most members counting', () => {
    const proposal = proposeMembers(normals, even, { terms: [reading(normals)] }, 4000, 9)
    const residual = reading(proposal.normals)
    const weights = normalisedWeights(proposal.logCorrection.map((log, i) => log - 0.5 * residual[i]! ** 2))
    const mean = weights.reduce((sum, weight, i) => sum + weight * proposal.normals[i * size + FIRE]!, 0)
    const square = weights.reduce((sum, weight, i) => sum + weight * proposal.normals[i * size + FIRE]! ** 2, 0)
    // Normal belief N(0, 1) and reading 2 ± 0.5: mean 2·4/5, variance 1/5.
    expect(mean).toBeCloseTo(1.6, 1)
    expect(square - mean * mean).toBeCloseTo(0.2, 1)
    const effective = 1 / weights.reduce((sum, weight) => sum + weight * weight, 0)
    expect(effective).toBeGreaterThan(1600)
  })

  it('leaves what nobody spoke of as it was believed', () => {
    const proposal = proposeMembers(normals, even, { terms: [reading(normals)] }, 4000, 9)
    const other = (FIRE + 7) % size
    const residual = reading(proposal.normals)
    const weights = normalisedWeights(proposal.logCorrection.map((log, i) => log - 0.5 * residual[i]! ** 2))
    const mean = weights.reduce((sum, weight, i) => sum + weight * proposal.normals[i * size + other]!, 0)
    expect(Math.abs(mean)).toBeLessThan(0.15)
  })

  it('is the belief itself where nothing was marked', () => {
    const proposal = proposeMembers(normals, even, { terms: [] }, 2000, 9)
    const spread = Math.max(...proposal.logCorrection) - Math.min(...proposal.logCorrection)
    expect(Number.isFinite(spread)).toBe(true)
    expect(
      Math.abs(
        normalisedWeights(proposal.logCorrection).reduce(
          (sum, weight, i) => sum + weight * proposal.normals[i * size]!,
          0,
        ),
      ),
    ).toBeLessThan(0.15)
  })

  it('has one residual for every mark, taps and looks alike', () => {
    const observations = [
      ...roasting,
      marked(3, 480, 'sign.seen', { sign: 'aroma' }),
      marked(4, 600, 'looks.like', { step: 'pale' }),
    ]
    const cook = replay(plan, observations)
    const program = compileProgram(plan, cook, 600)
    const { terms } = residualsOf(plan, cook, program, runEnsemble(program, columns, three))
    // The nuts' stage ended, one tap, one look.
    expect(terms).toHaveLength(3)
    for (const term of terms) expect(term).toHaveLength(3)
  })
})

describe('a conditioned ensemble', () => {
  it('keeps enough members counting after two marks, with weights that add to one', () => {
    const observations = [
      ...roasting,
      marked(3, 420, 'sign.seen', { sign: 'aroma' }),
      marked(4, 520, 'looks.like', { step: 'pale' }),
    ]
    const cook = replay(plan, observations)
    const ensemble = conditionEnsemble(plan, cook, compileProgram(plan, cook, 520), 200)
    expect(ensemble.effective).toBeGreaterThan(40)
    expect(ensemble.weights.reduce((sum, weight) => sum + weight, 0)).toBeCloseTo(1, 9)
  })
})
