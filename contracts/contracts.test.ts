import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { FIRST_KITCHEN } from '../book/firstKitchen'
import { INGREDIENTS } from '../book/ingredients'
import { STARTER_DISHES } from '../book/dishes'
import { stageDish } from '../core/formulation/stages/stageDish'
import { forecastCook } from '../core/process/forecast/forecastCook'
import { settleCook } from '../core/cook/batch/settleCook'
import { examplePlan, marked } from '../test/support/plans'
import { answers } from '../workers/answer'
import { BatchPictureSchema, BatchSummarySchema } from './batch'
import { BatchQuerySchema } from './batchQuery'
import { CookPlanSchema, ForecastRequestSchema } from './cook'
import { DishCardSchema } from './dish'
import { ForecastSchema } from './forecast'
import { Id, Millis, Name } from './ids'
import { IngredientSchema } from './ingredient'
import { FireSchema, KitchenSchema, MeasureSchema, PanSchema } from './kitchen'
import { AppendRequestSchema, MOST_PAYLOAD } from './observation'
import { SheetSchema } from './sheet'
import { WorkerAnswerSchema, WorkerQuestionSchema, type WorkerQuestion } from './worker'

const takes = (schema: { safeParse(value: unknown): { success: boolean } }, value: unknown): boolean =>
  schema.safeParse(value).success

describe('names and ids', () => {
  it.each(['a', 'sweet-water-semolina', '0a1b', 'A.b_c-d'])('take %s', id => expect(takes(Id, id)).toBe(true))
  it.each(['', '-a', '../x', 'a b', 'a/b', 'x'.repeat(65), 7, null])('refuse %j as an id', id =>
    expect(takes(Id, id)).toBe(false),
  )
  it('refuse empty names and control characters, and take any script', () => {
    expect(takes(Name, '  ')).toBe(false)
    expect(takes(Name, 'a\u0000b')).toBe(false)
    expect(takes(Name, 'சர்க்கரை')).toBe(true)
    expect(takes(Millis, -1)).toBe(false)
  })
})

describe('the book', () => {
  it('holds what its contracts say', () => {
    for (const row of INGREDIENTS) expect(IngredientSchema.safeParse(row).error?.issues ?? []).toEqual([])
    for (const dish of STARTER_DISHES) expect(DishCardSchema.safeParse(dish).error?.issues ?? []).toEqual([])
    expect(KitchenSchema.safeParse(FIRST_KITCHEN).error?.issues ?? []).toEqual([])
  })

  it('names no ingredient twice, and every one a dish uses', () => {
    expect(new Set(INGREDIENTS.map(row => row.id)).size).toBe(INGREDIENTS.length)
    for (const dish of STARTER_DISHES) {
      for (const one of dish.ingredients) expect(INGREDIENTS.map(row => row.id)).toContain(one.ingredient)
      for (const stage of stageDish(dish).stages)
        for (const add of stage.adds) expect(dish.ingredients.map(one => one.id)).toContain(add.ingredient)
    }
  })

  it('puts every ingredient in wholly, except nuts that come back', () => {
    for (const dish of STARTER_DISHES.map(stageDish)) {
      const out = new Set(dish.stages.flatMap(stage => stage.takesOut))
      for (const { id } of dish.ingredients) {
        const put = dish.stages
          .flatMap(stage => stage.adds)
          .filter(add => add.ingredient === id)
          .reduce((sum, add) => sum + add.share, 0)
        expect(put, id).toBeCloseTo(out.has(id) ? 2 : 1)
      }
    }
  })

  it('refuses shares that do not add to one', () => {
    expect(
      takes(IngredientSchema, {
        ...INGREDIENTS[0],
        composition: { water: 0.5, solids: 0.1, fat: 0, sugar: 0, nuts: 0 },
      }),
    ).toBe(false)
  })
})

describe('the kitchen', () => {
  const [cup] = FIRST_KITCHEN.measures
  const [pan] = FIRST_KITCHEN.pans
  const [fire] = FIRST_KITCHEN.fires

  it.each([
    [{ volumeMl: 0 }],
    [{ volumeMl: Number.NaN }],
    [{ volumeMl: '180' }],
    [{ name: '' }],
    [{ kind: 'bucket' }],
    [{ origin: 'hearsay' }],
    [{ extra: 1 }],
  ])('refuses a cup with %j', change => expect(takes(MeasureSchema, { ...cup, ...change })).toBe(false))
  it.each([
    [{ innerDiameterMm: 3 }],
    [{ depthMm: 9000 }],
    [{ massG: -1 }],
    [{ material: 'glass' }],
    [{ coated: 'yes' }],
  ])('refuses a pan with %j', change => expect(takes(PanSchema, { ...pan, ...change })).toBe(false))
  it('refuses marks that do not rise, and none at all', () => {
    expect(takes(FireSchema, { ...fire, marks: [] })).toBe(false)
    expect(takes(FireSchema, { ...fire, marks: [...fire!.marks].reverse() })).toBe(false)
    expect(takes(FireSchema, fire)).toBe(true)
  })
})

describe('what a device sends', () => {
  const observation = { id: 'a', device: 'd', number: 1, deviceTime: 5, kind: 'sign.seen', payload: { sign: 'aroma' } }
  const request = (change: Record<string, unknown>): unknown => ({
    sentAt: 6,
    observations: [{ ...observation, ...change }],
  })

  it('may be of any kind and carry any payload up to its size', () => {
    expect(takes(AppendRequestSchema, request({}))).toBe(true)
    expect(
      takes(AppendRequestSchema, request({ kind: 'newer.thing-2', payload: { deep: { list: [1, null, 'x'] } } })),
    ).toBe(true)
    expect(takes(AppendRequestSchema, request({ payload: { text: 'x'.repeat(MOST_PAYLOAD) } }))).toBe(false)
  })

  it.each([
    [{ kind: '' }],
    [{ kind: 'Sign Seen' }],
    [{ number: -1 }],
    [{ number: 1.5 }],
    [{ deviceTime: 'now' }],
    [{ id: '' }],
    [{ payload: [] }],
    [{ payload: null }],
    [{ place: 3 }],
  ])('is refused with %j', change => expect(takes(AppendRequestSchema, request(change))).toBe(false))

  it('is refused empty and by the thousand', () => {
    expect(takes(AppendRequestSchema, { sentAt: 6, observations: [] })).toBe(false)
    expect(
      takes(AppendRequestSchema, { sentAt: 6, observations: Array.from({ length: 201 }, () => observation) }),
    ).toBe(false)
  })

  it('never makes the parser throw', () => {
    fc.assert(
      fc.property(fc.jsonValue(), value => typeof takes(AppendRequestSchema, value) === 'boolean'),
      { numRuns: 500 },
    )
  })
})

describe('a plan and its forecast', () => {
  const plan = examplePlan()
  const forecast = forecastCook(plan, [], 0, 40)

  it('are taken as the core makes them, through JSON and back', () => {
    const sent = JSON.parse(JSON.stringify({ ...plan, forecast })) as unknown
    expect(CookPlanSchema.parse(sent)).toEqual({ ...plan, forecast })
    expect(ForecastSchema.parse(JSON.parse(JSON.stringify(forecast)))).toEqual(forecast)
  })

  it.each([
    [{ seed: -1 }],
    [{ airC: 400 }],
    [{ altitudeM: 1e6 }],
    [{ people: 0 }],
    [{ dish: {} }],
    [{ amounts: [] }],
    [{ unknownField: 1 }],
  ])('are refused with %j', change => expect(takes(CookPlanSchema, { ...plan, ...change })).toBe(false))

  it('give summaries that the ledger takes, and pictures out of them', () => {
    const { summary } = settleCook({ ...plan, forecast }, [
      marked(1, 0, 'cook.started'),
      marked(2, 300, 'stage.began', { stage: 'roast' }),
      marked(3, 900, 'cook.finished'),
    ])
    expect(BatchSummarySchema.safeParse(JSON.parse(JSON.stringify(summary))).error?.issues ?? []).toEqual([])
    const { stones, keystoneS, endS, baseG, finishedG, weighed, darkestStep, faults, line } = summary
    expect(
      takes(BatchPictureSchema, { stones, keystoneS, endS, baseG, finishedG, weighed, darkestStep, faults, line }),
    ).toBe(true)
  })

  it('are asked for and answered in the worker\'s own messages, refusals too', () => {
    const answer = (asked: WorkerQuestion) => [...answers(asked, new Map())].at(-1)
    const question = {
      type: 'forecast' as const,
      ticket: 7,
      stream: 's',
      request: { plan, observations: [], nowS: 0, members: 20 },
    }
    expect(takes(WorkerQuestionSchema, JSON.parse(JSON.stringify(question)))).toBe(true)
    const told = answer(question)
    expect(WorkerAnswerSchema.parse(JSON.parse(JSON.stringify(told)))).toMatchObject({ type: 'forecast', ticket: 7 })
    const refused = answer({ ...question, request: { ...question.request, plan: { ...plan, flames: {} } } })
    expect(WorkerAnswerSchema.parse(refused)).toEqual({
      type: 'refused',
      ticket: 7,
      code: 'unknown-name',
      path: 'compileProgram.flame',
    })
    const broken = answer({ ...question, request: { ...question.request, plan: null as never } })
    expect(broken).toMatchObject({ type: 'refused', code: 'cannot-work' })
  })

  it('ask for no more than a machine can bear', () => {
    const request = { plan, observations: [], nowS: 0, members: 300 }
    expect(takes(ForecastRequestSchema, request)).toBe(true)
    expect(takes(ForecastRequestSchema, { ...request, members: 1_000_000 })).toBe(false)
    expect(takes(ForecastRequestSchema, { ...request, nowS: -5 })).toBe(false)
  })
})

describe('small things', () => {
  it('are held to their limits', () => {
    expect(BatchQuerySchema.parse({})).toEqual({ limit: 60 })
    expect(takes(BatchQuerySchema, { limit: '0' })).toBe(false)
    const sheet = {
      dish: STARTER_DISHES[0],
      baseG: 250,
      cup: 'c',
      pan: 'p',
      pot: 'q',
      fire: 'f',
      otherFire: 'g',
      marks: { roast: 'm3' },
    }
    expect(takes(SheetSchema, sheet)).toBe(true)
    expect(takes(SheetSchema, { ...sheet, baseG: 0 })).toBe(false)
    expect(takes(SheetSchema, { ...sheet, dish: { ...STARTER_DISHES[0], base: 'nothing' } })).toBe(false)
  })
})
