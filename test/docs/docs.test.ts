import { execFileSync } from 'node:child_process'
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { ForecastRequestSchema } from '../../contracts/cook'
import { BoilCheckSchema } from '../../contracts/heart'
import { FORMATS } from '../../contracts/formats'
import { ForecastSchema } from '../../contracts/forecast'
import { PROBLEM_CODES } from '../../contracts/problem'
import { readBoilCheck } from '../../core/process/boil/readBoilCheck'
import { forecastCook } from '../../core/process/forecast/forecastCook'

const read = (path: string): string => readFileSync(path, 'utf8')
const hearth = (...args: string[]): string =>
  execFileSync('node', ['scripts/run.mjs', 'cli/hearth.ts', ...args], {
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'pipe'],
  })

describe('the formats', () => {
  it.each(Object.entries(FORMATS))('have an example of %s that the contract takes', (name, schema) => {
    const parsed = schema.safeParse(JSON.parse(read(`docs/examples/${name}.json`)))
    expect(parsed.error?.issues ?? []).toEqual([])
  })

  it('are written down as the contracts have them today', () => {
    const folder = mkdtempSync(join(tmpdir(), 'yon-hearth-schemas-'))
    execFileSync('node', ['scripts/run.mjs', 'scripts/schemas.ts', folder])
    for (const kind of ['schemas', 'examples']) {
      for (const file of readdirSync(join(folder, kind)))
        expect(read(join(folder, kind, file)), `${file}: run npm run schemas`).toBe(read(join('docs', kind, file)))
    }
    expect(read(join(folder, 'constants.md')), 'run npm run schemas').toBe(read('docs/constants.md'))
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

  it('measures a dish out', () => {
    const { amounts, liquid, comes, troubles } = JSON.parse(hearth('amounts', 'docs/examples/amounts.json')) as {
      amounts: { id: string, massG: number }[]
      liquid: { toPourG: number, plainG: number }
      comes: { cost: { total: number } }
      troubles: unknown[]
    }
    expect(amounts.find(one => one.id === 'ghee')!.massG).toBeCloseTo(0.45 * 240)
    expect(liquid.toPourG).toBeLessThan(liquid.plainG)
    expect(comes.cost.total).toBeCloseTo(9.5 * 0.108, 6)
    expect(troubles).toEqual([])
  })

  it('scales a dish to what is on hand, and to own marks', () => {
    const { baseG, fit } = JSON.parse(hearth('scale', 'docs/examples/scale.json')) as {
      baseG: number
      fit: { fit: { verdict: string } }
    }
    expect(baseG).toBe(930)
    expect(fit.fit.verdict).toMatch(/roomy|fits|tight|too-small/)
  })

  it('swaps milk in every way the book knows', () => {
    const { swaps } = JSON.parse(hearth('swap', 'docs/examples/swap.json')) as {
      swaps: { swap: string, dish: { ingredients: { ingredient: string }[] } }[]
    }
    expect(swaps.length).toBeGreaterThan(5)
    for (const one of swaps) expect(one.dish.ingredients.some(known => known.ingredient === 'milk')).toBe(false)
  })

  it('reads a boil check as the core does', () => {
    const printed = JSON.parse(hearth('boilcheck', 'docs/examples/boilcheck.json')) as {
      powerW: { middle: number }
      evidence: { name: string }[]
    }
    const computed = readBoilCheck(BoilCheckSchema.parse(JSON.parse(read('docs/examples/boilcheck.json'))))
    expect(printed.powerW.middle).toBeCloseTo(computed.powerW.middle, 6)
    expect(printed.evidence.some(one => one.name.startsWith('fire.'))).toBe(true)
  })

  it('says what a finished cook teaches', () => {
    const { evidence, belief } = JSON.parse(hearth('learn', 'docs/examples/learn.json')) as {
      evidence: { name: string, variance: number }[]
      belief: { name: string, restsOn: string[] }[]
    }
    expect(
      evidence.some(one => one.name.startsWith('fire.')) || evidence.some(one => one.name.startsWith('kept.')),
    ).toBe(true)
    expect(evidence.every(one => one.variance > 0)).toBe(true)
    expect(belief.some(one => one.restsOn.includes('example-cook'))).toBe(true)
  })

  it('tells a syrup by its temperature, and refuses one beyond its range with a sentence', () => {
    const found = JSON.parse(hearth('syrup', 'docs/examples/syrup.json')) as {
      share: number
      boilsAtC: number
      setsTo: string
    }
    expect(found.boilsAtC).toBeCloseTo(108, 6)
    expect(found.share).toBeGreaterThan(0.7)
    expect(found.setsTo).toBe('thread')
    const folder = mkdtempSync(join(tmpdir(), 'yon-hearth-syrup-'))
    writeFileSync(
      join(folder, 'hot.json'),
      JSON.stringify({ invertShare: 0, altitudeM: 0, strength: { by: 'temperature', tempC: 170 } }),
    )
    expect(() => hearth('syrup', join(folder, 'hot.json'))).toThrow(/syrupAtTemp\.tempC/)
    rmSync(folder, { recursive: true })
  })

  it('plans the flames of a roast', () => {
    const { advised, met } = JSON.parse(hearth('flameplan', 'docs/examples/flameplan.json')) as {
      advised: { turns: { cue: string }[], burns: number }
      met: boolean
    }
    expect(advised.turns[0]!.cue).toBe('start')
    expect(met).toBe(true)
    expect(advised.burns).toBeLessThanOrEqual(0.02)
  })

  it('gives the stages of changed choices', () => {
    const { works, stages } = JSON.parse(hearth('stages', 'docs/examples/stages.json')) as {
      works: boolean
      stages: { id: string, usualMinutes: number }[]
    }
    expect(works).toBe(true)
    expect(stages.map(stage => stage.id)).toContain('sweeten')
  })

  it.each([
    [['forecast', 'package.json'], /form it should/],
    [['forecast', 'README.md'], /not JSON/],
    [['forecast', 'no-such-file'], /Nothing was changed/],
    [['forecast'], /not understood/],
  ])('refuses %j with a sentence', (args, sentence) => {
    expect(() => hearth(...args)).toThrow(sentence)
  })
})

describe('the documents', () => {
  it('name every problem code', () => {
    const errors = read('docs/errors.md')
    for (const code of PROBLEM_CODES) expect(errors).toContain(`\`${code}\``)
  })

  it('link only to files that are there', () => {
    for (const file of [
      'README.md',
      ...readdirSync('docs')
        .filter(name => name.endsWith('.md'))
        .map(name => `docs/${name}`),
    ]) {
      for (const [, target] of read(file).matchAll(/\]\((?!https?:|#)([^)#]+)/g)) {
        expect(existsSync(join(file, '..', target!)), `${file} links to ${target}`).toBe(true)
      }
    }
  })
})
