import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { FIRE_KINDS } from '../../core/materials/fire/fireKinds'
import { takesMilk } from '../../core/formulation/dish/splitsMilk'
import { rainsIn } from '../../core/formulation/dish/rainsIn'
import { stageOfBase } from '../../core/formulation/dish/stageOfBase'
import type { Stage } from '../../core/formulation/dish/dish'
import { CAUTION_CODES } from '../../core/formulation/dish/stageCodes'
import type { CookPlan } from '../../core/record/plan/plan'
import { CAUTIONS } from '../../words/cook'
import { watchText } from '../../words/stages'
import { EVERY_FIRE, EVERY_PAN, everySchool, planOf } from '../support/everyWay'

const page = readFileSync('docs/cautions.md', 'utf8')

/** Every hazard of a stage by what is done in it and what is in it: the caution or the word that has to answer it. */
function hazards(plan: CookPlan, stage: Stage): string[] {
  const parts = new Set(
    stage.adds.flatMap(add => plan.dish.ingredients.find(one => one.id === add.ingredient)?.part ?? []),
  )
  // A second base's own stages are as dangerous as the first's.
  const id = stage.phase === 'before' ? stageOfBase(stage.id) : stage.id
  const before = plan.dish.stages.slice(0, plan.dish.stages.indexOf(stage) + 1)
  const fat = before.some(
    one =>
      one.vessel === stage.vessel
      && one.adds.some(add => plan.dish.ingredients.find(own => own.id === add.ingredient)?.part === 'fat'),
  )
  return [
    ...(stage.does === 'fry' ? ['hot-fat'] : []),
    ...(stage.does === 'roast' && fat && stage.id !== 'fat-in' ? ['hot-fat'] : []),
    ...(stage.does === 'pour' ? (rainsIn(stage) ? ['splashes', 'by-handfuls'] : ['pour']) : []),
    ...(stage.from !== undefined && stage.does !== 'pour' ? ['pour'] : []),
    ...(stage.does === 'boil-syrup' ? ['syrup'] : []),
    ...(stage.does === 'press' || (stage.does === 'wait' && stage.vessel === 'pressure-pan') ? ['pressure'] : []),
    ...(stage.id === 'press' ? ['half-full'] : []),
    ...(stage.id === 'wait' ? ['opens-itself'] : []),
    ...(stage.does === 'heat' || id === 'boil-soft' ? ['scald'] : []),
    ...(stage.does === 'cook-down' && stage.phase === 'fire' && stage.id !== 'finish' ? ['spitting'] : []),
    ...(['sweeten', 'enrich', 'rest', 'melt'].includes(stage.does)
    && stage.id !== 'rub-in'
    && !(stage.does === 'enrich' && plan.dish.choices?.form === 'balls')
    && stage.from === undefined
      ? ['hot-sweet']
      : []),
    ...(stage.id === 'cool' || stage.id === 'spread' || stage.id === 'roll' ? ['hot-sweet'] : []),
    ...(id === 'grind' || id === 'puree' ? ['grinder'] : []),
    ...(stage.id === 'free-share' || stage.id === 'nuts-last' ? ['allergen'] : []),
    ...(id === 'soak' ? ['soak-cool'] : []),
    ...(stage.id === 'take-up' || stage.id === 'swell' ? ['no-hard-centre soft-within'] : []),
    ...(parts.has('jaggery')
    && stage.does === 'sweeten'
    && plan.dish.choices
    && takesMilk({ ...plan.dish, choices: plan.dish.choices })
      ? ['jaggery-off-boil']
      : []),
  ]
}

describe('cautions', () => {
  it('are written down: every code and every word that answers a hazard stands on the page', () => {
    for (const code of CAUTION_CODES) {
      expect(CAUTIONS[code], code).toBeDefined()
      expect(page, code).toContain(`\`${code}\``)
    }
    for (const code of [
      'half-full',
      'opens-itself',
      'no-hard-centre',
      'soft-within',
      'soak-cool',
      'set-in-cold',
      'jaggery-off-boil',
      'milk-when-dry',
      'free-first',
    ]) {
      expect(watchText(code), code).toMatch(/\S/)
      expect(page, code).toContain(`\`${code}\``)
    }
    for (const [, name] of page.matchAll(/`([a-z0-9/A-Z.-]+\.(?:vue|ts))`/g))
      expect(() => readFileSync(name!), name).not.toThrow()
  })

  it('answer every hazard of every stage, in every dish and school, pan, fire and amount', () => {
    // Every second school, all of them by EVERY_WAY=1.
    const every = everySchool()
    const cards = process.env.EVERY_WAY === undefined ? every.filter((_, i) => i % 2 === 0) : every
    const ways = EVERY_PAN.slice(0, 3).flatMap(pan =>
      EVERY_FIRE.flatMap(fire => [50, 2000].map(baseG => ({ pan, fire, baseG }))),
    )
    let found = 0
    cards.forEach((card, i) => {
      const { pan, fire, baseG } = ways[i % ways.length]!
      const plan = planOf(card, baseG, pan, fire)
      for (const stage of plan.dish.stages) {
        const told = new Set([...stage.cautions ?? [], ...stage.watch ?? []])
        for (const hazard of hazards(plan, stage)) {
          found++
          expect(
            hazard.split(' ').some(code => told.has(code)),
            `${card.id} ${stage.id}: ${hazard}, ${JSON.stringify(card.choices)}`,
          ).toBe(true)
        }
        for (const code of stage.cautions ?? [])
          expect(CAUTION_CODES as readonly string[], `${card.id} ${stage.id}`).toContain(code)
      }
    })
    expect(every.length).toBeGreaterThan(300)
    expect(found).toBeGreaterThan(1000)
    expect(Object.keys(FIRE_KINDS).length).toBeGreaterThan(1)
  }, 240_000)

  it('say of what perishes that it goes into the cold, where the fire ends and where a slab sets', () => {
    const carrot = planOf(
      everySchool().find(card => card.id === 'winter-market-carrot')!,
      900,
      EVERY_PAN[0]!,
      EVERY_FIRE[0]!,
    )
    expect(carrot.dish.stages.filter(stage => stage.cautions?.includes('two-hours')).length).toBeGreaterThan(0)
    const slab = planOf(
      everySchool().find(card => card.id === 'tide-line-coconut')!,
      300,
      EVERY_PAN[0]!,
      EVERY_FIRE[0]!,
    )
    expect(slab.dish.stages.find(stage => stage.does === 'set')!.watch).toContain('set-in-cold')
    const balls = planOf(
      everySchool().find(card => card.id === 'marble-gram-balls')!,
      300,
      EVERY_PAN[0]!,
      EVERY_FIRE[0]!,
    )
    expect(balls.dish.stages.some(stage => stage.cautions?.includes('two-hours'))).toBe(false)
  })
})
