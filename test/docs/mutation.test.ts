import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { kept } from '../../scripts/mutation/report'

/** Least share of mutants that must be noticed: in a layer, and in the rooms that hold most. */
const LEAST: Readonly<Record<string, number>> = { keeping: 0.85, checker: 0.85, faults: 0.85, repair: 0.85 }
const LEAST_IN_A_LAYER = 0.75
const LEAST_OVER_ALL = 0.8

const { groups, mutants } = kept()
const page = readFileSync('docs/mutation.md', 'utf8')
const rows = page.split('\n').filter(line => line.startsWith('| `'))

describe('the mutants of the core', () => {
  it('are noticed as often as is wanted, in every layer and over all', () => {
    for (const [name, { share }] of Object.entries(groups))
      expect(share, name).toBeGreaterThanOrEqual(LEAST[name] ?? LEAST_IN_A_LAYER)
    const layers = Object.entries(groups).filter(([name]) => LEAST[name] === undefined).map(([, one]) => one)
    const of = (what: 'killed' | 'sampled') => layers.reduce((sum, one) => sum + one[what], 0)
    expect(of('killed') / of('sampled')).toBeGreaterThanOrEqual(LEAST_OVER_ALL)
  })

  it('are told by group as they were sampled', () => {
    for (const [name, { seed, sampled, killed, share }] of Object.entries(groups)) {
      expect(page.replace(/ +/g, ' ')).toContain(
        `| ${name} | ${seed} | ${sampled} | ${killed} | ${Math.round(100 * share)} % |`,
      )
    }
  })

  it('that live have a reason each', () => {
    const said = ({ file, was, is }: typeof mutants[number]): string =>
      `| \`${file.replace('core/', '')}\` | \`${was}\` → \`${is}\` |`
    const silent = mutants
      .filter(one => one.came === 'lived')
      .map(said)
      .filter(one => !rows.some(row => row.replaceAll('\\|', '|').startsWith(one)))
    expect(silent).toEqual([])
  })
})
