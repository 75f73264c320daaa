import type { Activity, Day, DayDish, Starts } from '../../core/day/problem/day'
import { DAY_WEIGHTS } from '../../core/day/problem/dayWeights'

/** A step that takes a minute less or two more than is likely. */
export const step = (id: string, likely: number, hands: Activity['hands'], burner: 0 | 1, more: Partial<Activity> = {}) =>
  ({ id, dur: [likely - 1, likely, likely + 2], hands, burner, ...more }) satisfies Activity

/** Nuts, roast, hot liquid beside, pour, stir: at the table at 98 for a meal at 100. */
export const SUJI: DayDish = {
  id: 'suji', template: 'suji', meal: 'lunch', serve: 'hot', sink: 'stir', ready: 2,
  activities: [
    step('nuts', 5, 1, 1),
    step('roast', 20, 1, 1),
    step('liquid', 10, 0, 1),
    step('pour', 4, 1, 1),
    step('stir', 6, 0.5, 1),
  ],
  lags: [
    { from: 'nuts', to: 'roast', min: 1, max: null, kind: 'order' },
    { from: 'roast', to: 'pour', min: 0, max: 3, kind: 'hotbase' },
    { from: 'pour', to: 'stir', min: 0, max: 0, kind: 'order' },
  ],
  holds: [
    { need: 'heavy', first: 'nuts', last: 'stir' },
    { need: 'pot', first: 'liquid', last: 'pour' },
  ],
  hotPour: { heat: 'liquid', pour: 'pour', max: 5, reheat: { dur: [2, 3, 4], maxWait: 30 } },
  stands: { from: 'pour', most: 11 },
}
/** Ground, then cooked by nobody in particular; cold, for a meal at 300. */
export const LENTIL: DayDish = {
  id: 'lentil', template: 'lentil', meal: 'tea', serve: 'cold', sink: 'cook', ready: 0,
  activities: [step('grind', 15, 1, 0, { grinder: 1 }), step('cook', 30, 0.5, 1)],
  lags: [{ from: 'grind', to: 'cook', min: 5, max: 60, kind: 'rest' }],
  holds: [{ need: 'heavy', first: 'cook', last: 'cook' }],
}
/** Two cooks, two fires, two pans, a pot and a grinder. */
export const DAY: Day = {
  id: 'day', now: 10, horizon: 400, cooks: 2, burners: 2, away: [], weights: DAY_WEIGHTS,
  vessels: [
    { id: 'pan', kind: 'heavy' }, { id: 'large', kind: 'heavyL' }, { id: 'pot', kind: 'pot' },
    { id: 'grinder', kind: 'grinder' },
  ],
  meals: [{ id: 'lunch', at: 100 }, { id: 'tea', at: 300 }],
  dishes: [SUJI, LENTIL],
}
/** A plan of it that can be done. */
export const STARTS: Starts = {
  'suji.nuts': 58, 'suji.roast': 64, 'suji.liquid': 73, 'suji.pour': 86, 'suji.stir': 90,
  'lentil.grind': 110, 'lentil.cook': 140,
}
