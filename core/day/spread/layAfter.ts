import type { Dish } from '../../formulation/dish/dish'
import { formOf } from '../../formulation/dish/forms'
import { isStage } from '../../formulation/dish/stageRole'
import { fieldAt, known, lastOf } from '../../maths/table/itemAt'
import type { Activity, Durations } from '../problem/day'
import { follow, WAITS, type Laying } from './laying'

const CUT: Durations = [4, 6, 9]

/**
 * What comes after the fire: spread, set and cut, rolled, set apart; what follows without a wait is one step.
 *
 * @param laying the dish's steps so far, changed in place
 * @param dish with its stages
 * @param spans minutes of every stage
 * @returns minutes of a last rest before it is on the table
 */
export function layAfter(laying: Laying, dish: Dish, spans: Readonly<Record<string, Durations>>): number {
  const rest = dish.stages.find(stage => stage.does === 'rest' && (stage.phase ?? 'fire') === 'fire')
  let min = rest ? fieldAt(spans, rest.id)[1] : 0
  let max = min + WAITS.rest
  let kind = 'rest'
  const after = dish.stages.filter(stage => stage.phase === 'after')
  let open = false
  for (const stage of after) {
    const dur = fieldAt(spans, stage.id)
    if (stage.does === 'set') {
      const spreadOut = known(laying.last, stage.id)
      follow(laying, { id: 'cut', dur: CUT, hands: 1, burner: 0 }, dur[0], WAITS.set, 'set')
      laying.holds.push({ need: 'tray', first: spreadOut, last: 'cut' })
      open = false
      continue
    }
    if (open) {
      const { dur: [shortest, likely, longest] } = lastOf(laying.activities)
      laying.activities.push({
        ...known(laying.activities.pop(), stage.id),
        dur: [shortest + dur[0], likely + dur[1], longest + dur[2]],
      })
      continue
    }
    open = true
    const step: Activity = { id: stage.id, dur, hands: 1, burner: 0, ...(isStage(stage, 'spread') ? { hot: true } : {}) }
    follow(laying, step, min, formOf(dish).shapedBy === 'hands' ? min + WAITS.warm : max, kind)
    min = max = 0
    kind = 'warm'
  }
  return after.length === 0 && rest ? fieldAt(spans, rest.id)[1] : 0
}
