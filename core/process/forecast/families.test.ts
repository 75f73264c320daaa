import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { ForecastSchema } from '../../../contracts/forecast'
import { marked, starterPlan } from '../../../test/support/plans'
import { doneIndex } from '../../formulation/dish/doneIndex'
import { mainLine } from '../../formulation/dish/mainLine'
import { usualSeconds } from '../../record/plan/usualSeconds'
import { forecastCook } from './forecastCook'

const carrot = starterPlan('winter-market-carrot')

describe('a forecast of any school', () => {
  it.each(STARTER_DISHES.map(dish => dish.id))('%s has windows in order, in the form the contract has', (id) => {
    const plan = starterPlan(id)
    const forecast = forecastCook(plan, [], 0, 60)
    expect(ForecastSchema.safeParse(forecast).error?.issues ?? []).toEqual([])
    expect(forecast.stages).toHaveLength(mainLine(plan.dish).length + 1)
    const end = forecast.stages[doneIndex(plan.dish)]!
    // The minutes that the dish itself says it usually takes on its marks.
    const usualS = mainLine(plan.dish).reduce((sum, stage) => sum + usualSeconds(plan, stage), 0)
    expect(end.middle / usualS).toBeGreaterThan(0.4)
    expect(end.middle / usualS).toBeLessThan(1.6)
    expect(end.late).toBeGreaterThan(end.early)
    const given = plan.amounts.reduce((sum, one) => sum + one.massG + (one.soakedG ?? 0), 0)
    expect(forecast.finishedG.middle).toBeGreaterThan(0.25 * given)
    expect(forecast.finishedG.late).toBeLessThan(given)
    forecast.stages.forEach((window, k) => {
      if (k > 0) expect(window.middle).toBeGreaterThanOrEqual(forecast.stages[k - 1]!.middle)
    })
    for (const point of forecast.points) {
      expect(
        Number.isFinite(
          point.colour.lightness + point.volumeMl + point.contentG + point.stiffness! + point.fatOutG! + point.aroma!,
        ),
      ).toBe(true)
    }
    for (const stage of mainLine(plan.dish)) {
      if ('sign' in stage.until) expect(forecast.signs, `${id} ${stage.id}`).toHaveProperty(stage.until.sign)
    }
  })

  it('has windows that narrow as stages pass', () => {
    const width = (observations: Parameters<typeof forecastCook>[1], nowS: number): number => {
      const { stages } = forecastCook(carrot, observations, nowS, 200)
      const end = stages[doneIndex(carrot.dish)]!
      return end.late - end.early
    }
    const began = [
      marked(1, 0, 'cook.started'),
      ...['soften', 'soften-2', 'milk'].map((stage, i) => marked(i + 2, 240 + 900 * i, 'stage.began', { stage })),
    ]
    expect(width([], 0)).toBeGreaterThan(1200)
    expect(width(began, 2050)).toBeLessThan(0.8 * width([], 0))
  })

  it('never ends before now what nobody has marked', () => {
    const late = forecastCook(carrot, [marked(1, 0, 'cook.started')], 5000, 100)
    expect(late.stages[1]!.early).toBeGreaterThanOrEqual(5000)
    expect(late.stages[1]!.middle).toBeLessThan(5000 + 600)
  })

  it('goes faster for a cook who has been faster so far', () => {
    const after = (seconds: number) => {
      const { stages } = forecastCook(
        carrot,
        [
          marked(1, 0, 'cook.started'),
          marked(2, seconds * 0.2, 'stage.began', { stage: 'soften' }),
          marked(3, seconds * 0.4, 'stage.began', { stage: 'soften-2' }),
          marked(4, seconds, 'stage.began', { stage: 'milk' }),
        ],
        seconds,
        200,
      )
      return stages[4]!.middle - stages[3]!.middle
    }
    expect(after(1200)).toBeLessThan(after(3600))
  })

  it('says what the pan should weigh and be now, once it is on the fire', () => {
    expect(forecastCook(carrot, [], 0, 60).panNow).toBeUndefined()
    const { panNow } = forecastCook(
      carrot,
      [marked(1, 0, 'cook.started'), marked(2, 200, 'stage.began', { stage: 'soften' })],
      600,
      100,
    )
    const all = carrot.amounts.reduce((sum, one) => sum + one.massG, 0)
    expect(panNow!.contentG.early).toBeLessThan(panNow!.contentG.late)
    expect(panNow!.contentG.late).toBeLessThan(all)
    expect(panNow!.tempC.middle).toBeGreaterThan(60)
  })
})

describe('a pressure pan', () => {
  const plan = starterPlan('cellar-beetroot')
  const line = mainLine(plan.dish).map(stage => stage.id)
  const { stages, points } = forecastCook(plan, [], 0, 60)

  it('counts its minutes from when it has come to pressure, and opens by itself', () => {
    const lasts = (id: string): number => stages[line.indexOf(id) + 1]!.middle - stages[line.indexOf(id)]!.middle
    expect(lasts('press')).toBeGreaterThan(6 * 60 + 120)
    expect(lasts('wait')).toBeGreaterThan(240)
    const hottest = Math.max(...points.filter(point => point.stage === line.indexOf('press')).map(point => point.tempC))
    expect(hottest).toBeGreaterThan(112)
    expect(hottest).toBeLessThan(123)
  })

  it('keeps what is in it while nuts are fried in another pan, and is tipped over then', () => {
    const both = starterPlan('ember-sweet-potato')
    const ids = mainLine(both.dish).map(stage => stage.id)
    const found = forecastCook(both, [], 0, 40).points
    const most = (id: string): number =>
      Math.max(...found.filter(point => point.stage === ids.indexOf(id)).map(point => point.contentG))
    const after = found.find(point => point.stage > ids.indexOf('nuts'))!
    expect(most('nuts')).toBeLessThan(250)
    expect(after.contentG).toBeGreaterThan(500)
  })
})
