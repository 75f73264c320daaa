import { readonly, ref, type Ref } from 'vue'
import { WorkerAnswerSchema, type WorkerAnswer, type WorkerQuestion } from '../../contracts/worker'
import type { FlamePlan, FlameWish } from '../../core/process/flame/flamePlan'
import type { RoastAhead } from '../../core/process/flame/roastAhead'
import type { Forecast, Moved } from '../../core/record/plan/forecast'
import type { Observation } from '../../core/record/marks/observation'
import type { CookPlan } from '../../core/record/plan/plan'

type Final = Exclude<WorkerAnswer, { type: 'refused' }>
interface Pending {
  readonly stream: string
  readonly soon: (answer: Final) => void
  readonly resolve: (answer: Final | null) => void
  readonly reject: (error: Error) => void
}

const failed = ref(false)
/** True after the worker that forecasts stopped, until it answers again: what is marked is safe, windows stand still. */
export const forecastFailed: Readonly<Ref<boolean>> = readonly(failed)

let worker: Worker | null = null
let ticket = 0
const pending = new Map<number, Pending>()

function theWorker(): Worker {
  if (worker) return worker
  worker = new Worker(new URL('../../workers/forecast.worker.ts', import.meta.url), { type: 'module' })
  worker.onmessage = (event: MessageEvent<unknown>) => {
    const answer = WorkerAnswerSchema.safeParse(event.data)
    if (!answer.success) return stopped()
    failed.value = false
    hear(answer.data)
  }
  worker.onerror = worker.onmessageerror = stopped
  return worker
}

/** The next question starts another one. */
function stopped(): void {
  failed.value = true
  for (const waits of pending.values()) waits.reject(new Error('The forecast worker stopped.'))
  pending.clear()
  worker?.terminate()
  worker = null
}

function hear(answer: WorkerAnswer): void {
  const waits = pending.get(answer.ticket)
  if (!waits) return
  if (answer.type !== 'refused' && !isFinal(answer)) return waits.soon(answer)
  pending.delete(answer.ticket)
  if (answer.type === 'refused') waits.reject(new Error(`${answer.code} at ${answer.path}`))
  else waits.resolve(answer)
}

function isFinal(answer: Final): boolean {
  return answer.type !== 'moved' && !(answer.type === 'flame-plan' && answer.done < 1)
}

type Without<T> = T extends unknown ? Omit<T, 'ticket'> : never

/** A newer question of a stream makes the older one stale: it resolves with null. */
function ask(question: Without<WorkerQuestion>, soon: (answer: Final) => void = () => undefined): Promise<Final | null> {
  for (const [old, waits] of pending) {
    if (waits.stream !== question.stream) continue
    waits.resolve(null)
    pending.delete(old)
  }
  const mine = ++ticket
  return new Promise((resolve, reject) => {
    if (question.type === 'give-up') resolve(null)
    else pending.set(mine, { stream: question.stream, soon, resolve, reject })
    try {
      theWorker().postMessage(JSON.parse(JSON.stringify({ ...question, ticket: mine })))
    }
    catch {
      stopped()
    }
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
  soon: (moved: Moved) => void = () => undefined,
): Promise<Forecast | null> {
  const answer = await ask({ type: 'forecast', stream, request: { plan: bare(plan), observations, nowS, members } }, (early) => {
    if (early.type === 'moved') soon(early.moved)
  })
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
export async function askFlamePlan(stream: string, plan: CookPlan, wish: FlameWish, soon: (best: FlamePlan, done: number) => void): Promise<FlamePlan | null> {
  const answer = await ask({ type: 'flame-plan', stream, request: { plan: bare(plan), wish } }, (early) => {
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
export async function askRoastAhead(stream: string, plan: CookPlan, observations: readonly Observation[], nowS: number, wish: FlameWish, members: number): Promise<RoastAhead | null> {
  const answer = await ask({ type: 'roast-ahead', stream, request: { plan: bare(plan), observations, nowS, members }, wish })
  return answer?.type === 'roast-ahead' ? answer.ahead : null
}

/**
 * Gives up what is asked in a stream.
 *
 * @param stream whose question is no longer wanted
 */
export function giveUp(stream: string): void {
  if ([...pending.values()].some(waits => waits.stream === stream)) void ask({ type: 'give-up', stream })
}
