import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { seededRandom } from '../../maths/random/seededRandom'
import { Branching } from './branching'
import { Closures } from './closures'
import { because, Domains, REASON } from './domains'
import { Lags } from './lags'
import { Nogoods } from './nogoods'
import { Objective } from './objective'

describe('domains', () => {
  it('come back to what they were, level by level, whatever was decided', () => {
    fc.assert(fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
      const uniform = seededRandom(seed)
      const domains = new Domains()
      const variables = Array.from({ length: 5 }, () => domains.variable(0, 20))
      const states: number[][] = []
      for (let level = 0; level < 6; level++) {
        states.push([...domains.bound.slice(0, domains.sides)])
        domains.push()
        for (let i = 0; i < 3; i++) {
          const variable = variables[Math.floor(5 * uniform())]!
          const value = Math.floor(21 * uniform())
          if (uniform() < 0.5) domains.set(2 * variable, value, REASON.decision)
          else domains.set(2 * variable + 1, -value, REASON.decision)
        }
      }
      const reopened = new Set<number>()
      domains.onReopened = variable => reopened.add(variable)
      for (let level = 5; level >= 0; level--) {
        domains.backTo(level)
        expect([...domains.bound.slice(0, domains.sides)]).toEqual(states[level])
        expect(domains.level).toBe(level)
      }
      for (const variable of reopened) expect(variables).toContain(variable)
      expect(domains.next()).toBe(-1)
    }), { numRuns: 60, seed: 1 })
  })

  it('know when a literal became true, and at what level', () => {
    const domains = new Domains()
    const variable = domains.variable(0, 10)
    expect(domains.entryOf(2 * variable, 0)).toBe(-1)
    domains.push()
    domains.set(2 * variable, 3, REASON.decision)
    domains.push()
    domains.set(2 * variable, 7, because(REASON.lag, 4))
    expect(domains.levelOf(domains.entryOf(2 * variable, 2))).toBe(1)
    expect(domains.levelOf(domains.entryOf(2 * variable, 4))).toBe(2)
    expect(domains.trailReason[domains.entryOf(2 * variable, 7)]).toBe(because(REASON.lag, 4))
    expect(domains.isTrue(2 * variable, 7)).toBe(true)
    expect(domains.isFalse(2 * variable + 1, -6)).toBe(true)
  })

  it('fail where nothing is left, and say what failed', () => {
    const domains = new Domains()
    const variable = domains.variable(2, 5)
    expect(domains.set(2 * variable, 6, because(REASON.note, 9))).toBe(false)
    expect([domains.failedSide, domains.failedValue, domains.failedReason]).toEqual([
      2 * variable,
      6,
      because(REASON.note, 9),
    ])
    expect(domains.bound[2 * variable]).toBe(2)
  })
})

/** Propagates lags to the end. */
function settle(domains: Domains, changed: (side: number) => boolean): boolean {
  for (let side = domains.next(); side >= 0; side = domains.next()) if (!changed(side)) return false
  return true
}

describe('lags', () => {
  it('push what follows and pull what goes before', () => {
    const domains = new Domains()
    const lags = new Lags(domains)
    const [a, b] = [domains.variable(0, 30), domains.variable(0, 30)]
    lags.add(2 * a, 2 * b, 10)
    domains.set(2 * a, 5, 0)
    domains.set(2 * b + 1, -22, 0)
    expect(settle(domains, side => lags.changed(side))).toBe(true)
    expect(domains.bound[2 * b]).toBe(15)
    expect(domains.bound[2 * a + 1]).toBe(-12)
  })

  it('under a condition wait for it, and rule it out where they cannot hold', () => {
    const domains = new Domains()
    const lags = new Lags(domains)
    const [a, b, yes] = [domains.variable(0, 30), domains.variable(0, 12), domains.variable(0, 1)]
    lags.add(2 * a, 2 * b, 10, 2 * yes, 1)
    domains.set(2 * a, 1, 0)
    expect(settle(domains, side => lags.changed(side))).toBe(true)
    expect(domains.bound[2 * b]).toBe(0)
    domains.set(2 * a, 3, 0)
    expect(settle(domains, side => lags.changed(side))).toBe(true)
    expect(domains.isFixed(yes)).toBe(true)
    expect(domains.bound[2 * yes]).toBe(0)
  })
})

describe('closures', () => {
  it('keep a value out of a span from both sides, and under a condition rule that out', () => {
    const domains = new Domains()
    const closures = new Closures(domains)
    const [a, b, yes] = [domains.variable(0, 20), domains.variable(6, 9), domains.variable(0, 1)]
    closures.add(a, 4, 9)
    closures.add(a, 30, 20)
    closures.add(b, 5, 10, 2 * yes, 1)
    domains.set(2 * a, 6, 0)
    expect(settle(domains, side => closures.changed(side))).toBe(true)
    expect(domains.bound[2 * a]).toBe(10)
    expect(closures.changed(2 * b)).toBe(true)
    expect(domains.bound[2 * yes + 1]).toBe(0)
  })
})

describe('clauses', () => {
  it('set their last literal, fail when none is left, and hold as they are learnt and forgotten', () => {
    const domains = new Domains()
    const nogoods = new Nogoods(domains)
    const [a, b, c] = [domains.variable(0, 1), domains.variable(0, 1), domains.variable(0, 1)]
    nogoods.add([2 * a, 2 * b, 2 * c], [1, 1, 1], 0)
    domains.push()
    domains.set(2 * a + 1, 0, REASON.decision)
    expect(settle(domains, side => nogoods.changed(side))).toBe(true)
    expect(domains.isFixed(b) || domains.isFixed(c)).toBe(false)
    domains.set(2 * b + 1, 0, REASON.decision)
    expect(settle(domains, side => nogoods.changed(side))).toBe(true)
    expect(domains.bound[2 * c]).toBe(1)
    domains.backTo(0)
    for (let i = 0; i < 10; i++) nogoods.add([2 * a, 2 * b], [1, 1], 2 + i)
    expect(nogoods.learnt).toBe(10)
    nogoods.forgetHalf()
    expect(nogoods.learnt).toBeLessThan(10)
    domains.push()
    domains.set(2 * a + 1, 0, REASON.decision)
    domains.set(2 * b + 1, 0, REASON.decision)
    expect(settle(domains, side => nogoods.changed(side))).toBe(false)
  })
})

describe('the objective', () => {
  it('is least at least values, holds what would cost too much, and fails beyond its limit', () => {
    const domains = new Domains()
    const [a, b] = [domains.variable(0, 4), domains.variable(0, 4)]
    const objective = new Objective(domains, [
      { variable: a, from: 0, costs: Int32Array.of(0, 1, 4, 9, 16) },
      { variable: b, from: 0, costs: Int32Array.of(2, 2, 3, 5, 8) },
    ])
    expect(objective.least()).toBe(2)
    objective.most = 7
    expect(objective.propagate()).toBe(true)
    expect([domains.bound[2 * a + 1], domains.bound[2 * b + 1]]).toEqual([-2, -3])
    domains.set(2 * a, 2, 0)
    expect(objective.propagate()).toBe(true)
    expect(domains.bound[2 * b + 1]).toBe(-2)
    objective.most = 5
    expect(objective.propagate()).toBe(false)
  })
})

describe('branching', () => {
  it('takes what was met most of late, and the smallest least value at the start', () => {
    const domains = new Domains()
    const [a, b, c] = [domains.variable(5, 9), domains.variable(2, 9), domains.variable(0, 1)]
    const isChoice: boolean[] = []
    isChoice[c] = true
    const branching = new Branching(domains, [a, b, c], isChoice, [])
    expect(branching.earliest()).toBe(b)
    branching.meet(a)
    branching.decay()
    branching.meet(c)
    expect(branching.mostActive()).toBe(c)
    domains.push()
    domains.set(2 * c, 1, REASON.decision)
    expect(branching.mostActive()).toBe(a)
    domains.set(2 * a, 9, REASON.decision)
    domains.set(2 * b, 9, REASON.decision)
    expect(branching.mostActive()).toBe(-1)
    expect(branching.earliest()).toBe(-1)
    domains.onReopened = variable => branching.reopen(variable)
    domains.backTo(0)
    expect(branching.mostActive()).toBe(c)
  })
})
