// node scripts/run.mjs scripts/seedLedger.ts FOLDER COUNT [DISTINCT]: a house with COUNT batches, for measuring.
// DISTINCT of them
// (default 12) are cooked, on the imaginary pan, planned and settled as the hearth does it; the others are the same
// cooks on
// other days, in other pans, with other faults, whole as they are: plan, forecast, log, what was done with them.
import { QueryTypes } from 'sequelize'
import { STARTER_DISHES } from '../book/dishes'
import { settleCook } from '../core/cook/batch/settleCook'
import type { BatchSummary } from '../core/cook/batch/summary'
import { stageDish } from '../core/formulation/stages/stageDish'
import { faultsAtEnd } from '../core/cook/faults/faultsOf'
import { thinPlan } from '../core/cook/batch/thinPlan'
import type { LiveCook } from '../core/record/marks/liveCook'
import { replay } from '../core/record/replay/replay'
import { seededRandom } from '../core/maths/random/seededRandom'
import { cookBatch, type CookedBatch } from '../demo/cookBatch'
import { DEMO_BATCHES, DEMO_KITCHEN } from '../demo/house'
import { cookOtherBatch, OTHER_BATCHES } from '../demo/otherBatch'
import { seasonOf } from '../core/maths/time/moments'
import { drawnBy } from '../server/services/batchRow'
import { openHearth } from '../server/services/hearth'
import { stock } from '../server/services/stock'

const YEARS = 12
const DAY_MS = 86_400_000
const AT_ONCE = 500
const START = 1_780_000_000_000

/** A batch that was cooked, as it is put into a house again and again. */
interface Template extends Pick<CookedBatch, 'plan' | 'observations'> {
  readonly summary: BatchSummary
  readonly evidence: readonly unknown[]
  readonly faults: ReturnType<typeof faultsAtEnd>
  readonly cook: LiveCook
}

/**
 * Cooks batches of many dishes, each by itself: planned, followed on the imaginary pan and settled as the hearth does
 * it.
 *
 * @param distinct how many
 */
export function cookedTemplates(distinct: number): Template[] {
  const dish = stageDish(STARTER_DISHES[0]!)
  const others = OTHER_BATCHES.map(one => ({
    one,
    dish: stageDish(STARTER_DISHES.find(card => card.id === one.dish)!),
  }))
  const uniform = seededRandom(4711)
  return Array.from({ length: distinct }, (_, i) => {
    const size = 0.6 + uniform()
    const demo = DEMO_BATCHES[i % DEMO_BATCHES.length]!
    const other = others[i % others.length]!
    const told: CookedBatch =
      i % 2 === 0
        ? cookBatch(dish, { ...demo, baseG: Math.round(demo.baseG * size) }, [], START, 4001 + i)
        : cookOtherBatch(other.dish, { ...other.one, baseG: Math.round(other.one.baseG * size) }, [], START, 7001 + i)
    const plan = thinPlan(told.plan)
    const settled = settleCook(told.plan, told.observations)
    return {
      plan,
      observations: told.observations,
      summary: settled.summary,
      evidence: settled.evidence,
      faults: faultsAtEnd(plan.dish),
      cook: replay(plan, told.observations),
    }
  })
}

/**
 * Makes a house of many batches.
 *
 * @param folder where its database lies
 * @param count batches
 * @param templates what was cooked; each batch is one of them, on another day
 */
export async function seedLedger(
  folder: string,
  count: number,
  templates: readonly Template[] = cookedTemplates(12),
): Promise<void> {
  const hearth = await openHearth(folder, { now: () => START, rate: 1 })
  await stock(hearth)
  const uniform = seededRandom(4712)
  const pick = <T,>(list: readonly T[]): T => list[Math.floor(uniform() * list.length)]!
  const { sequelize, models } = hearth.database
  for (let from = 0; from < count; from += AT_ONCE) {
    const transaction = await sequelize.transaction()
    const rows = Array.from({ length: Math.min(AT_ONCE, count - from) }, (_, k) => {
      const one = from + k < templates.length ? templates[from + k]! : pick(templates)
      const id = `seed-${from + k}`
      const startedAt = Math.round(START - uniform() * YEARS * 365 * DAY_MS)
      const faults = uniform() < 0.25 ? [pick(one.faults)] : []
      return {
        one,
        id,
        startedAt,
        shift: startedAt - START,
        faults,
        pan: pick(DEMO_KITCHEN.pans.filter(pan => pan.kind === 'pan')),
        fire: pick(DEMO_KITCHEN.fires),
      }
    })
    await models.Cook.bulkCreate(
      rows.map(({ one, id, startedAt }) => ({
        id,
        dish: one.plan.dish.name,
        plan: JSON.stringify({ ...one.plan, id }),
        plannedAt: startedAt,
        createdAt: startedAt,
        startedAt,
        finishedAt: startedAt + 3_600_000,
        settledPlace: 0,
      })),
      { transaction },
    )
    await models.Observation.bulkCreate(
      rows.flatMap(({ one, id, shift }) =>
        one.observations.map(each => ({
          stream: id,
          id: each.id,
          device: each.device,
          number: each.number,
          deviceTime: each.deviceTime + shift,
          sentAt: each.deviceTime + shift,
          receivedAt: each.deviceTime + shift,
          kind: each.kind,
          payload: JSON.stringify(each.payload),
        })),
      ),
      { transaction },
    )
    await models.Batch.bulkCreate(
      rows.map(({ one, id, startedAt, faults, pan, fire }) => {
        const summary = { ...one.summary, faults }
        return {
          id,
          dishId: one.plan.dish.id,
          dish: one.plan.dish.name,
          startedAt,
          summary: JSON.stringify(summary),
          evidence: JSON.stringify(one.evidence),
          note: '',
          removedAt: null,
          ...drawnBy(one.plan, one.cook, summary),
          inHouse: 0,
          family: one.plan.dish.family,
          version: 1,
          pan: pan.id,
          panName: pan.name,
          fire: fire.id,
          fireName: fire.name,
          season: seasonOf(startedAt),
        }
      }),
      { transaction },
    )
    await models.BatchFault.bulkCreate(
      rows.flatMap(({ id, startedAt, faults }) => faults.map(fault => ({ fault, startedAt, batchId: id }))),
      { transaction },
    )
    await transaction.commit()
  }
  await sequelize.query(
    'UPDATE cooks SET settled_place = (SELECT max(place) FROM observations o WHERE o.stream = cooks.id)',
  )
  await sequelize.query('PRAGMA wal_checkpoint(TRUNCATE)', { type: QueryTypes.SELECT })
  await sequelize.query('ANALYZE')
  await hearth.close()
}

const [, script, folder, count, distinct] = process.argv
if (script?.endsWith('seedLedger.ts') && folder !== undefined)
  await seedLedger(folder, Number(count), distinct === undefined ? undefined : cookedTemplates(Number(distinct)))
