import { workerScope } from './scope'
import type { PlannerAnswer, PlannerQuestion } from '../contracts/planner'
import { breath } from './breath'
import { planSteps } from './plan'

const scope = workerScope<PlannerQuestion, PlannerAnswer>()
let asked = 0

/** The newest question is worked on; an older one ends where it is. */
scope.onmessage = ({ data }) => {
  asked = data.ticket
  if (data.type !== 'stop') void work(data)
}

async function work(question: Exclude<PlannerQuestion, { type: 'stop' }>): Promise<void> {
  for (const answer of planSteps(question, () => performance.now() / 1000)) {
    if (answer) scope.postMessage(answer)
    await breath()
    if (asked !== question.ticket) return
  }
}
