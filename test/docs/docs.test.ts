import { execFileSync } from 'node:child_process'
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { ForecastRequestSchema } from '../../contracts/cook'
import { FORMATS } from '../../contracts/formats'
import { ForecastSchema } from '../../contracts/forecast'
import { PROBLEM_CODES } from '../../contracts/problem'
import { forecastCook } from '../../core/forecast/forecastCook'

const read = (path: string): string => readFileSync(path, 'utf8')
const hearth = (...args: string[]): string => execFileSync('node', ['scripts/run.mjs', 'cli/hearth.ts', ...args], { encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'] })

describe('the formats', () => {
  it.each(Object.entries(FORMATS))('have an example of %s that the contract takes', (name, schema) => {
    const parsed = schema.safeParse(JSON.parse(read(`docs/examples/${name}.json`)))
    expect(parsed.error?.issues ?? []).toEqual([])
  })

  it('are written down as the contracts have them today', () => {
    const folder = mkdtempSync(join(tmpdir(), 'yon-hearth-schemas-'))
    execFileSync('node', ['scripts/run.mjs', 'scripts/schemas.ts', folder])
    for (const kind of ['schemas', 'examples']) {
      for (const file of readdirSync(join(folder, kind))) expect(read(join(folder, kind, file)), `${file}: run npm run schemas`).toBe(read(join('docs', kind, file)))
    }
    rmSync(folder, { recursive: true })
  })
})

describe('the command line', () => {
  it('gives the same forecast as the core, in the form the contract has', () => {
    const printed = ForecastSchema.parse(JSON.parse(hearth('forecast', 'docs/examples/forecast.json')))
    const request = ForecastRequestSchema.parse(JSON.parse(read('docs/examples/forecast.json')))
    const computed = forecastCook(request.plan, request.observations, request.nowS, request.members)
    expect(printed.signs.pale!.middle).toBeCloseTo(computed.signs.pale!.middle, 6)
    expect(printed.stages).toHaveLength(computed.stages.length)
  })

  it.each([[['forecast', 'package.json'], /form it should/], [['forecast', 'README.md'], /not JSON/], [['forecast', 'no-such-file'], /Nothing was changed/], [['forecast'], /not understood/]])(
    'refuses %j with a sentence', (args, sentence) => {
      expect(() => hearth(...args)).toThrow(sentence)
    })
})

describe('the documents', () => {
  it('name every problem code', () => {
    const errors = read('docs/errors.md')
    for (const code of PROBLEM_CODES) expect(errors).toContain(`\`${code}\``)
  })

  it('link only to files that are there', () => {
    for (const file of ['README.md', ...readdirSync('docs').filter(name => name.endsWith('.md')).map(name => `docs/${name}`)]) {
      for (const [, target] of read(file).matchAll(/\]\((?!https?:|#)([^)#]+)/g)) {
        expect(existsSync(join(file, '..', target!)), `${file} links to ${target}`).toBe(true)
      }
    }
  })
})
