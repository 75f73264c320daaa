import type { Activity, Day, DayDish, Durations, Hold, HotPour, Lag, ServedHow, VesselKind } from '../../core/day/problem/day'
import { DAY_WEIGHTS } from '../../core/day/problem/dayWeights'
import { seededRandom, type Uniform } from '../../core/maths/random/seededRandom'


type Rows = readonly (readonly [id: string, dur: Durations, hands: 0 | 0.5 | 1, burner: 0 | 1, more?: Partial<Activity>])[]
type Lags = readonly (readonly [from: string, to: string, min: number, max: number | null, kind: string])[]

/** A kind of dish of the invented days: steps, lags, vessels held and how it may be served. */
interface Template {
  readonly id: string
  readonly rows: Rows
  readonly lags: Lags
  readonly holds: readonly (readonly [need: VesselKind, first: string, last: string])[]
  readonly serve: readonly ServedHow[]
  readonly ready: number
  readonly hotPour?: HotPour
  /** Added where it is served cold. */
  readonly chill?: { readonly rows: Rows, readonly lags: Lags, readonly ready: number }
}

const CHILL = { rows: [['chill', [2, 3, 4], 1, 0]], lags: [['finish', 'chill', 20, 120, 'milk']], ready: 90 } as const
const hot = (heat: string, pour: string, max: number, maxWait: number): HotPour => ({ heat, pour, max, reheat: { dur: [3, 4, 6], maxWait } })

/** Minutes are estimates for four to six portions, the spread of each about that of the forecasts of its stage. */
const TEMPLATES: readonly Template[] = [
  { id: 'carrot', serve: ['warm', 'cold'], ready: 3, chill: CHILL,
    rows: [['grate', [15, 20, 28], 1, 0], ['nuts', [3, 4, 6], 1, 1], ['cook', [25, 32, 40], 0.5, 1], ['finish', [10, 13, 18], 1, 1]],
    lags: [['grate', 'cook', 0, 60, 'grated'], ['cook', 'finish', 0, 5, 'hot'], ['nuts', 'finish', 0, null, 'nuts']],
    holds: [['heavyL', 'cook', 'finish'], ['heavy', 'nuts', 'nuts']] },
  { id: 'gramBalls', serve: ['room'], ready: 0,
    rows: [['roast', [16, 20, 26], 1, 1], ['mix', [4, 5, 7], 1, 0], ['roll', [12, 18, 26], 1, 0]],
    lags: [['roast', 'mix', 25, 60, 'cool'], ['mix', 'roll', 0, 15, 'warm']],
    holds: [['heavy', 'roast', 'mix']] },
  { id: 'semolina', serve: ['hot', 'warm'], ready: 5,
    rows: [['nuts', [3, 4, 6], 1, 1], ['heat', [7, 9, 12], 0, 1], ['roast', [12, 15, 20], 1, 1], ['pour', [6, 8, 11], 1, 1]],
    lags: [['nuts', 'pour', 0, null, 'nuts'], ['roast', 'pour', 0, 8, 'hotbase']],
    holds: [['heavy', 'roast', 'pour'], ['heavy', 'nuts', 'nuts'], ['pot', 'heat', 'pour']], hotPour: hot('heat', 'pour', 10, 120) },
  { id: 'gramSlab', serve: ['room'], ready: 0,
    rows: [['tray', [4, 5, 7], 1, 0], ['roast', [18, 22, 28], 1, 1], ['syrup', [10, 13, 17], 0.5, 1], ['mix', [5, 6, 9], 1, 1], ['cut', [4, 5, 8], 1, 0]],
    lags: [['tray', 'mix', 0, null, 'prep'], ['roast', 'mix', 0, 8, 'hotbase'], ['mix', 'cut', 60, 720, 'set']],
    holds: [['heavy', 'roast', 'mix'], ['pot', 'syrup', 'mix']], hotPour: hot('syrup', 'mix', 5, 40) },
  { id: 'chickpeaSlab', serve: ['room'], ready: 0,
    rows: [['wash', [4, 5, 7], 1, 0, { night: true }], ['pressure', [14, 16, 20], 0, 1], ['open', [2, 3, 4], 1, 0], ['puree', [6, 8, 11], 1, 0, { grinder: 1 }],
      ['cookdown', [25, 32, 42], 1, 1], ['cut', [5, 6, 9], 1, 0]],
    lags: [['wash', 'pressure', 300, 900, 'soak'], ['pressure', 'open', 10, 20, 'cool'], ['open', 'puree', 20, 180, 'cool'], ['puree', 'cookdown', 0, 120, 'paste'],
      ['cookdown', 'cut', 60, 720, 'set']],
    holds: [['ppan', 'pressure', 'open'], ['heavy', 'cookdown', 'cookdown']] },
  { id: 'wheat', serve: ['hot', 'warm'], ready: 3,
    rows: [['heat', [6, 8, 11], 0, 1], ['roast', [22, 27, 34], 1, 1], ['pour', [4, 5, 7], 1, 1], ['sweeten', [6, 8, 11], 1, 1]],
    lags: [['roast', 'pour', 0, 5, 'hotbase'], ['pour', 'sweeten', 0, 3, 'hot']],
    holds: [['heavy', 'roast', 'sweeten'], ['pot', 'heat', 'pour']], hotPour: hot('heat', 'pour', 10, 120) },
  { id: 'mungPaste', serve: ['hot', 'warm'], ready: 5,
    rows: [['wash', [4, 5, 7], 1, 0, { night: true }], ['grind', [8, 10, 14], 1, 0, { grinder: 1 }], ['roast', [25, 32, 42], 1, 1], ['heat', [8, 10, 13], 0, 1],
      ['pour', [12, 15, 20], 1, 1]],
    lags: [['wash', 'grind', 120, 840, 'soak'], ['grind', 'roast', 0, 60, 'paste'], ['roast', 'pour', 0, 5, 'hotbase']],
    holds: [['heavy', 'roast', 'pour'], ['pot', 'heat', 'pour']], hotPour: hot('heat', 'pour', 10, 120) },
  { id: 'beetPressure', serve: ['warm', 'cold'], ready: 3, chill: CHILL,
    rows: [['peel', [12, 15, 20], 1, 0], ['pressure', [10, 12, 15], 0, 1], ['open', [2, 3, 4], 1, 0], ['dry', [8, 11, 15], 1, 1], ['finish', [10, 12, 16], 1, 1]],
    lags: [['peel', 'pressure', 0, 60, 'grated'], ['pressure', 'open', 10, 20, 'cool'], ['open', 'dry', 0, 15, 'hot'], ['dry', 'finish', 0, 5, 'hot']],
    holds: [['ppan', 'pressure', 'open'], ['heavy', 'dry', 'finish']] },
  { id: 'vermicelli', serve: ['hot', 'warm'], ready: 4,
    rows: [['break', [3, 4, 6], 1, 0], ['nuts', [3, 4, 6], 1, 1], ['roast', [6, 8, 10], 1, 1], ['heat', [9, 12, 15], 0.5, 1], ['pour', [8, 10, 13], 1, 1]],
    lags: [['break', 'roast', 0, 600, 'prep'], ['nuts', 'pour', 0, null, 'nuts'], ['roast', 'pour', 0, 15, 'hotbase']],
    holds: [['heavy', 'roast', 'pour'], ['heavy', 'nuts', 'nuts'], ['pot', 'heat', 'pour']], hotPour: hot('heat', 'pour', 10, 60) },
]

/** One of a list, by chance. */
function pick<T>(uniform: Uniform, list: readonly T[]): T { return list[Math.floor(uniform() * list.length)]! }

/** One dish of a kind, larger batches taking a fifth longer and a large pan. */
function inventDish(template: Template, id: string, meal: string, uniform: Uniform): DayDish {
  const factor = uniform() < 0.5 ? 1 : 1.2
  const serve = pick(uniform, template.serve)
  const chill = serve === 'cold' ? template.chill : undefined
  const activities = [...template.rows, ...(chill?.rows ?? [])].map(([step, dur, hands, burner, more]): Activity =>
    ({ id: step, dur: [Math.round(dur[0] * factor), Math.round(dur[1] * factor), Math.round(dur[2] * factor)], hands, burner, ...more }))
  return {
    id, template: template.id, meal, serve, sink: activities.at(-1)!.id, ready: chill?.ready ?? template.ready, activities,
    lags: [...template.lags, ...(chill?.lags ?? [])].map(([from, to, min, max, kind]): Lag => ({ from, to, min, max, kind })),
    holds: template.holds.map(([need, first, last]): Hold => ({ need: need === 'heavy' && first !== 'nuts' && factor > 1 ? 'heavyL' : need, first, last })),
    ...(template.hotPour ? { hotPour: template.hotPour } : {}),
  }
}

/**
 * An invented day of the kind of `test/days/`, the same for the same seed.
 *
 * @param seed any whole number
 * @param dishes how many, 1 to 60
 * @param days calendar days after the eve with meals, 1 to 5
 * @example inventDay(12, 5)
 */
export function inventDay(seed: number, dishes: number, days = 1): Day {
  const uniform = seededRandom(seed)
  const cooks = uniform() < 0.4 + dishes / 40 ? 2 : 1
  const noon = dishes > 3 && uniform() < 0.5
  const meals = Array.from({ length: days }, (_, day) => [...(noon || dishes > 8 ? [13 * 60] : []), 19.5 * 60].map(at => (day + 1) * 1440 + at)).flat()
    .map((at, index) => ({ id: `m${index + 1}`, at }))
  const kinds: VesselKind[] = ['heavyL', 'pot', 'ppan', 'grinder', ...(uniform() < 0.8 ? ['heavy' as const] : []), ...(uniform() < 0.5 ? ['pot' as const] : []), ...(dishes > 8 ? ['heavyL' as const] : [])]
  return {
    id: `seed${seed}x${dishes}`, now: 1020, horizon: meals.at(-1)!.at + 90, cooks, burners: 2 + Math.floor(uniform() * 3) - (dishes < 6 && uniform() < 0.2 ? 1 : 0),
    away: [...Array.from({ length: days }, (_, day) => ({ cook: 'all' as const, from: day * 1440 + 1350, to: day * 1440 + 1830, why: 'sleep' })),
      ...(uniform() < 0.3 ? [{ cook: 0, from: 1920, to: 1980, why: 'away' }] : [])],
    vessels: kinds.map((kind, index) => ({ id: `${kind}${index + 1}`, kind })), meals, weights: DAY_WEIGHTS,
    dishes: Array.from({ length: dishes }, (_, index) => inventDish(pick(uniform, TEMPLATES), `d${index + 1}`, pick(uniform, meals).id, uniform)),
  }
}
