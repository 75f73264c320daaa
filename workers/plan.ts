import type { PlannerAnswer, PlannerQuestion } from '../contracts/planner'
import { checkDay } from '../core/day/problem/checkDay'
import { helpDay, planDay } from '../core/day/planning/planDay'

/**
 * Answers one question of the planner in steps of a few hundredths of a second.
 *
 * @param question a day to be planned or to be helped
 * @param seconds clock, s
 * @returns yields answers with the question's ticket, and null where messages may be let in
 */
export function* planSteps(
  question: Exclude<PlannerQuestion, { type: 'stop' }>,
  seconds: () => number,
): Generator<PlannerAnswer | null, void> {
  const { ticket, day } = question
  const troubles = checkDay(day)
  if (troubles.length > 0) yield { type: 'refused', ticket, troubles }
  else if (question.type === 'offers')
    for (const told of helpDay(day, seconds, question.plan)) yield told && { type: 'offers', ticket, ...told }
  else for (const told of planDay(day, question.seconds, seconds)) yield told && { ...told, ticket }
}
