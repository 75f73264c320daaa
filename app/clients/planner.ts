import type { Ref } from 'vue'
import { PlannerAnswerSchema, type PlannerAnswer, type PlannerQuestion } from '../../contracts/planner'
import { workerClient } from './workerClient'

type Without<T> = T extends unknown ? Omit<T, 'ticket'> : never

const client = workerClient<Without<PlannerQuestion>, PlannerAnswer>(
  () => new Worker(new URL('../../workers/planner.worker.ts', import.meta.url), { type: 'module' }),
  message => PlannerAnswerSchema.safeParse(message).data ?? null,
)
/** The planner does one thing at a time. */
const STREAM = 'plan'

/** True after the planner stopped, until it answers again: the day stands as it is. */
export const plannerFailed: Readonly<Ref<boolean>> = client.failed

/**
 * Asks the planner; a newer question ends the one before it.
 *
 * @param question a day to be planned, or to be helped
 * @param tell hears every answer, those on the way among them
 * @param failed hears that the planner stopped; it starts anew with the next question
 * @returns ends the question
 */
export function askPlanner(
  question: Without<Exclude<PlannerQuestion, { type: 'stop' }>>,
  tell: (answer: PlannerAnswer) => void,
  failed: () => void = () => undefined,
): () => void {
  let over = false
  client.ask(
    STREAM,
    question,
    answer => {
      tell(answer)
      // What follows a plan is told until a newer question comes.
      return false
    },
    how => {
      over = true
      if (how === 'stopped') failed()
    },
  )
  return () => {
    if (over) return
    client.giveUp(STREAM)
    client.tell({ type: 'stop' })
  }
}
