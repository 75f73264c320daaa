import type { AsideAnswers, AsideJob, ClosingAside, SettledAside, StandingAside } from '../../contracts/aside'
import { BatchSummarySchema } from '../../contracts/batch'
import type { Cook } from '../../contracts/cook'
import { bareSummary, retellBatch } from '../../core/cook/batch/retellBatch'
import { settleCook } from '../../core/cook/batch/settleCook'
import type { BatchSummary } from '../../core/cook/batch/summary'
import { doneIndex } from '../../core/formulation/dish/doneIndex'
import { mainVessel } from '../../core/formulation/dish/mainVessel'
import { coloursOf } from '../../core/process/program/coloursOf'
import { forecastCook } from '../../core/process/forecast/forecastCook'
import { replay } from '../../core/record/replay/replay'
import { drawnBy, foundBy } from './batchRow'
import { onOwn, type OwnConnection } from './ownConnection'
import { readCook } from './readCook'
import { Refusal } from './refusal'

type Answer = AsideAnswers[keyof AsideAnswers]

/** Members of the forecasts that devices are held against, and that a cook is closed by. */
const MEMBERS = 60
/** A cook that nobody marked anything in for so long after it was likely done is closed by its forecast, ms. */
export const LEFT_OPEN_MS = 12 * 3600 * 1000

/**
 * Works one job out, reading what it needs on a connection of its own. Nothing is written here.
 *
 * @param file the database
 * @param job what is wanted
 * @returns the answer of its kind
 * @throws Refusal `not-found` where the cook is not there or cannot be read
 */
export function doJob(file: string, job: AsideJob): Promise<Answer> {
  return onOwn(file, 'read', async (own): Promise<Answer> => {
    const cook = await readCook(own, job.cook)
    if (!cook) throw new Refusal('not-found', `cooks/${job.cook}`)
    switch (job.kind) {
      case 'settle': return settled(cook, job.way, await knownSummary(own, job.cook))
      case 'standing': return standing(cook, job.nowMs, job.vessel)
      case 'closing': return closing(cook, job.nowMs)
    }
  })
}

async function knownSummary(
  own: OwnConnection,
  id: string,
): Promise<{ readonly summary: BatchSummary, readonly evidence: unknown[] } | null> {
  const [row] = await own.all<{ summary: string, evidence: string }>(
    'SELECT summary, evidence FROM batches WHERE id = ?',
    [id],
  )
  if (!row) return null
  try {
    const summary = BatchSummarySchema.safeParse(JSON.parse(row.summary))
    const evidence: unknown[] = JSON.parse(row.evidence)
    return summary.success ? { summary: summary.data, evidence } : null
  } catch {
    return null
  }
}

function settled(
  { plan, observations }: Cook,
  way: 'settle' | 'retell' | 'bare',
  known: { readonly summary: BatchSummary, readonly evidence: unknown[] } | null,
): SettledAside {
  const cook = replay(plan, observations)
  const startedAt = cook.startedMs === null ? null : Math.round(cook.startedMs)
  const finishedAt =
    cook.finishedS === null || cook.startedMs === null ? null : Math.round(cook.startedMs + cook.finishedS * 1000)
  const upTo = observations.reduce((last, one) => Math.max(last, one.place), 0)
  if (startedAt === null || finishedAt === null) return { startedAt, finishedAt, upTo, batch: null }
  const { summary, evidence } =
    way === 'bare'
      ? { summary: bareSummary(plan, cook), evidence: known?.evidence ?? [] }
      : way === 'retell' && known
        ? { summary: retellBatch(known.summary, plan, cook), evidence: known.evidence }
        : settleCook(plan, observations)
  return {
    startedAt,
    finishedAt,
    upTo,
    batch: {
      dishId: plan.dish.id,
      dish: plan.dish.name,
      summary: BatchSummarySchema.parse(summary),
      evidence: [...evidence],
      columns: { ...foundBy(plan, startedAt), ...drawnBy(plan, cook, summary) } as Record<
        string,
        string | number | null
      >,
    },
  }
}

function standing({ plan, observations }: Cook, nowMs: number, vessel: string | null): StandingAside {
  const cook = replay(plan, observations)
  const running = cook.startedMs !== null && cook.finishedS === null
  const main = mainVessel(plan.dish)
  const base = { running, mainVessel: main, stepLightness: { ...coloursOf(plan).stepLightness } }
  if (!running || vessel === null) return { ...base, expected: null }
  const forecast = forecastCook(plan, observations, Math.max(0, (nowMs - cook.startedMs) / 1000), MEMBERS)
  const side = forecast.sides.find(one => one.vessel === vessel)?.now
  const now =
    vessel === main
      ? forecast.panNow
      : side
        ? { contentG: { early: side.contentG, late: side.contentG }, tempC: { early: side.tempC, late: side.tempC } }
        : undefined
  const ends = ({ early, late }: { readonly early: number, readonly late: number }) => ({ early, late })
  return {
    ...base,
    expected: now
      ? { tareG: plan.vessels[vessel]?.vessel.massG ?? 0, contentG: ends(now.contentG), tempC: ends(now.tempC) }
      : null,
  }
}

/** When it was likeliest done: by what was forecast at its last mark, for nobody has seen anything since. */
function closing({ plan, observations }: Cook, nowMs: number): ClosingAside {
  const cook = replay(plan, observations)
  if (cook.startedMs === null || cook.finishedS !== null) return { doneAt: null, stillLikely: false }
  const lastS = cook.moments.filter(one => !one.outside).reduce((last, one) => Math.max(last, one.timeS), 0)
  const forecast = forecastCook(plan, observations, lastS, MEMBERS)
  const done = forecast.stages[doneIndex(plan.dish)] ?? forecast.stages.at(-1)!
  const likely = (value: number): number => Math.max(lastS, Number.isFinite(value) ? value : lastS)
  const [middleS, lateS] = [likely(done.middle), likely(done.late)]
  return { doneAt: Math.round(cook.startedMs + middleS * 1000), stillLikely: nowMs < cook.startedMs + lateS * 1000 }
}
