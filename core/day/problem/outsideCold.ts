import { activityOf } from './parts'
import type { Activity, DayDish, Durations, Hold, Lag, Stands } from './day'

/** Kind of the waits that keep what perishes within its hours. */
export const STANDS = 'stands'
/** Into the cold, out of it: minutes (estimates). */
const CHILL: Durations = [2, 3, 4]
const TAKE_OUT: Durations = [1, 2, 3]
/**
 * It loses its steam before it goes into the cold; what does not perish goes in within two hours, minutes (estimates).
 */
const STEAMS_MIN = 20
const INTO_COLD_MIN = 120
/** Least time in which a cold sweet is cold, and the longest it stands there on a day, minutes (estimates). */
const CHILLED_MIN = 90
const COLD_MIN = 1440
/** Out of the cold and onto the flame; on the table after the last stir, minutes (estimates). */
const TO_FLAME_MIN = 10
const SERVED_MIN = 2
/** What is served cold is out of it no longer, minutes (estimate). */
const STAYS_COLD_MIN = 30
/** Share of its minutes outside the cold that lies before it; the rest is for its table. */
const BEFORE = 1 / 2

/**
 * A dish that perishes: from the fire to its meal it stands no longer than its minutes, and a slab sets in the cold,
 * some of them before it and the rest after.
 *
 * @param dish its steps as they are done
 * @param most minutes outside the cold, all of them together
 * @param offFire last step at the fire
 * @param warms minutes that would warm it through
 * @returns the same steps with what keeps it
 */
export function standingDish(dish: DayDish, most: number, offFire: string, warms: Durations): DayDish {
  const sets = dish.lags.find(lag => lag.kind === 'set')
  if (!sets) return { ...dish, stands: { from: offFire, most, warms } }
  const before = Math.round(most * BEFORE)
  const cut = activityOf(dish, sets.to)
  const isLast = dish.serve === 'cold'
  return {
    ...dish,
    activities: [...dish.activities, chill()],
    lags: [
      ...dish.lags.filter(lag => lag !== sets),
      { from: sets.from, to: 'chill', min: Math.min(STEAMS_MIN, Math.floor(before / 4)), max: before, kind: STANDS },
      ...(offFire === sets.from ? [] : [within(offFire, before)]),
      { ...sets, from: 'chill', max: COLD_MIN },
    ],
    holds: [...dish.holds, { need: 'cold', first: 'chill', last: sets.to }],
    stands: { from: sets.to, most: isLast ? STAYS_COLD_MIN : Math.max(SERVED_MIN, most - before - cut.dur[2]) },
  }
}

/**
 * The same dish in the cold until its meal: taken out as it is where it is served cold or as the room, warmed through
 * where it is eaten hot or warm. A slab that sets in the cold is there already.
 *
 * @param dish its steps, from `standingDish` where it perishes
 * @param large whether it takes a large pan to be warmed
 */
export function chilledDish(dish: DayDish, large: boolean): DayDish {
  if (dish.activities.some(one => one.id === 'chill')) return dish
  const { stands } = dish
  const warms = dish.serve === 'cold' || dish.serve === 'room' ? undefined : stands?.warms
  const before = stands ? Math.round(stands.most * BEFORE) : INTO_COLD_MIN
  const steams = Math.min(STEAMS_MIN, Math.floor(before / 4))
  const warming: Activity[] = warms ? [{ id: 'warm-through', dur: warms, hands: 1, burner: 1, hot: true }] : []
  const lags: Lag[] = [
    ...dish.lags,
    {
      from: dish.sink,
      to: 'chill',
      min: Math.min(before, dish.ready + steams),
      max: before,
      kind: stands ? STANDS : 'milk',
    },
    ...(stands && stands.from !== dish.sink ? [within(stands.from, before)] : []),
    { from: 'chill', to: 'take-out', min: CHILLED_MIN, max: COLD_MIN, kind: 'cold' },
    ...(warms ? [{ from: 'take-out', to: 'warm-through', min: 0, max: TO_FLAME_MIN, kind: 'hot' }] : []),
  ]
  const holds: Hold[] = [
    ...dish.holds,
    { need: 'cold', first: 'chill', last: 'take-out' },
    ...(warms
      ? [{ need: large ? ('heavyL' as const) : ('heavy' as const), first: 'warm-through', last: 'warm-through' }]
      : []),
  ]
  const sink = warms ? 'warm-through' : 'take-out'
  const after = stands
    ? {
        stands: {
          from: sink,
          most: dish.serve === 'cold' ? STAYS_COLD_MIN : stands.most - before - (warms ? 0 : TAKE_OUT[2]),
        } satisfies Stands,
      }
    : {}
  return {
    ...dish, ...after, lags, holds, sink, ready: SERVED_MIN,
    activities: [...dish.activities, chill(), { id: 'take-out', dur: TAKE_OUT, hands: 1, burner: 0 }, ...warming],
  }
}

/** Whether it would be of use to keep a dish in the cold until its meal: it perishes and stands outside. */
export function canChill(dish: Pick<DayDish, 'stands'>): boolean {
  return dish.stands?.warms !== undefined
}

function chill(): Activity {
  return { id: 'chill', dur: CHILL, hands: 1, burner: 0 }
}

function within(from: string, most: number): Lag {
  return { from, to: 'chill', min: 0, max: most, kind: STANDS }
}
