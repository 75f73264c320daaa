import type { Surprise } from '../core/record/plan/doubt'
import type { CookPlan } from '../core/record/plan/plan'
import { SIGN_WORDS, STEP_WORDS } from './cook'
import { planMarkText } from './flames'
import { wordFor } from './wordFor'

/**
 * A plain sentence for something seen that can hardly be true under the plan.
 *
 * @param plan whose marks are named
 * @param surprise what was seen
 * @returns one or two short sentences
 */
export function surpriseText(plan: Pick<CookPlan, 'dish' | 'fires'>, surprise: Surprise): string {
  const what = wordFor(STEP_WORDS, surprise.sign) ?? SIGN_WORDS[surprise.sign].waited
  const flame =
    surprise.thought === null || surprise.thought === 'off'
      ? 'this flame'
      : `flame ${planMarkText(plan, surprise.thought)}`
  const times = surprise.times >= 2 ? ` (${Math.round(surprise.times)} times)` : ''
  const head = `${what.charAt(0).toUpperCase()}${what.slice(1)} came much ${surprise.faster ? 'sooner' : 'later'}${times} than ${flame} can${surprise.faster ? '' : ' explain'}.`
  if (surprise.flame !== null) return `${head} Is it on ${planMarkText(plan, surprise.flame)}?`
  return surprise.faster
    ? `${head} No mark of this fire is so quick: another fire, or a slip of the finger?`
    : `${head} Was the flame off for a while, or the sign there before?`
}
