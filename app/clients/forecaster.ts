import type { Ref } from 'vue'
import { WorkerAnswerSchema, type WorkerAnswer, type WorkerQuestion } from '../../contracts/worker'
import type { FlamePlan, FlameWish } from '../../core/process/flame/flamePlan'
import type { RoastAhead } from '../../core/process/flame/roastAhead'
import type { Forecast, Reweighed } from '../../core/record/plan/forecast'
import type { Observation } from '../../core/record/marks/observation'
import type { CookPlan } from '../../core/record/plan/plan'
import { workerClient } from './workerClient'

type Final = Exclude<WorkerAnswer, { type: 'refused' }>
type Without<T> = T extends unknown ? Omit<T, 'ticket'> : never

const client = workerClient<Without<WorkerQuestion>, WorkerAnswer>(
  () => new Worker(new URL('../../workers/forecast.worker.ts', import.meta.url), { type: 'module' }),
  message => WorkerAnswerSchema.safeParse(message).data ?? null,
)

/**
 * True after the worker that forecasts stopped, until it answers again: what is marked is safe, windows stand still.
 */
export const forecastFailed: Readonly<Ref<boolean>> = client.failed

const isFinal = (answer: Final): boolean =>
  answer.type !== 'reweighed' && !(answer.type === 'flame-plan' && answer.done < 1)

/** A newer question of a stream makes the older one stale: it resolves with null. */
function ask(
  question: Without<WorkerQuestion>,
  soon: (answer: Final) => void = () => undefined,
): Promise<Final | null> {
  return new Promise((resolve, reject) => {
    client.ask(
      question.stream,
      question,
      answer => {
        if (answer.type === 'refused') reject(new Error(`${answer.code} at ${answer.path}`))
        else if (isFinal(answer)) resolve(answer)
        else soon(answer)
        return answer.type === 'refused' || isFinal(answer)
      },
      how => (how === 'stopped' ? reject(new Error('The forecast worker stopped.')) : resolve(null)),
    )
  })
}

const bare = (plan: CookPlan): CookPlan => ({ ...plan, forecast: null })

/**
 * Asks the worker for a forecast. A newer question of the same stream makes this one stale.
 *
 * @param stream whose forecast it is
 * @param plan the plan
 * @param observations everything marked
 * @param nowS how far the cook is, s
 * @param members size of the ensemble
 * @param soon hears what moves at once, from stored runs, where there are any, before the forecast of new ones
 * @returns the forecast, or null where a newer question has overtaken this one
 */
export async function askForecast(
  stream: string,
  plan: CookPlan,
  observations: readonly Observation[],
  nowS: number,
  members: number,
  soon: (reweighed: Reweighed) => void = () => undefined,
): Promise<Forecast | null> {
  const answer = await ask(
    { type: 'forecast', stream, request: { plan: bare(plan), observations, nowS, members } },
    early => {
      if (early.type === 'reweighed') soon(early.reweighed)
    },
  )
  return answer?.type === 'forecast' ? answer.forecast : null
}

/**
 * Asks the worker to plan the flames of a roast.
 *
 * @param stream whose question it is; a newer one, or `giveUp`, ends this one
 * @param plan the plan
 * @param wish roast, patience, risk
 * @param soon hears the best plan so far and the share of the search that is done
 * @returns the plan, or null where it was given up
 */
export async function askFlamePlan(
  stream: string,
  plan: CookPlan,
  wish: FlameWish,
  soon: (best: FlamePlan, done: number) => void,
): Promise<FlamePlan | null> {
  const answer = await ask({ type: 'flame-plan', stream, request: { plan: bare(plan), wish } }, early => {
    if (early.type === 'flame-plan') soon(early.flamePlan, early.done)
  })
  return answer?.type === 'flame-plan' ? answer.flamePlan : null
}

/**
 * Asks the worker what is ahead of a running roast.
 *
 * @param stream whose question it is
 * @param plan the plan
 * @param observations everything marked
 * @param nowS how far the cook is, s
 * @param wish the wanted roast
 * @param members size of the ensemble
 * @returns what is ahead, or null where a newer question has overtaken this one
 */
export async function askRoastAhead(
  stream: string,
  plan: CookPlan,
  observations: readonly Observation[],
  nowS: number,
  wish: FlameWish,
  members: number,
): Promise<RoastAhead | null> {
  const answer = await ask({
    type: 'roast-ahead',
    stream,
    request: { plan: bare(plan), observations, nowS, members },
    wish,
  })
  return answer?.type === 'roast-ahead' ? answer.ahead : null
}

/**
 * Gives up what is asked in a stream.
 *
 * @param stream whose question is no longer wanted
 */
export function giveUp(stream: string): void {
  if (client.giveUp(stream)) client.tell({ type: 'give-up', stream })
}
