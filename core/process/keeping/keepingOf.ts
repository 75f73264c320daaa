import { lastOf } from '../../maths/table/itemAt'
import { requireRange } from '../../requireRange'
import type { Place } from '../../record/marks/place'
import type { ActivityRange } from './activityRange'

/** Why a range is what it is: codes of `words/`. */
export type KeepingReason =
  'wet' | 'moist' | 'sugar-holds' | 'dry' | 'milk' | 'produce' | 'coconut' | 'hands' | 'warm-room'

/** What is known of a sweet's keeping. */
export interface KeepingFacts {
  readonly activity: ActivityRange
  /** Milk, milk solids or condensed milk in it. */
  readonly milk: boolean
  /** Vegetables or fruit. */
  readonly produce: boolean
  readonly coconut: boolean
  /** Rolled or pressed by hand. */
  readonly hands: boolean
  /** The room, °C. */
  readonly roomC: number
}

/** A cautious range, with its reasons. Zero days in the room means: into the cold within its hours. */
export interface Keeping {
  /** Days, least and most, by place. */
  readonly days: Readonly<Record<Place, readonly [least: number, most: number]>>
  /** Most hours that it stands outside the cold, all of them together; null where it does not perish so soon. */
  readonly standsH: number | null
  readonly reasons: readonly KeepingReason[]
}

/**
 * Days by water activity, upper bound first. The bounds are those of food science: below 0.60 nothing grows (Scott
 * 1957), below 0.85 no bacterium that poisons makes its toxin (21 CFR 114, both recalled, unchecked), above 0.91 most
 * bacteria grow. The days are estimates on the careful side of household practice, not of any trial.
 */
const BANDS: readonly {
  readonly to: number
  readonly room: readonly [number, number]
  readonly cold: readonly [number, number]
  readonly reason: KeepingReason
}[] = [
  { to: 0.6, room: [7, 14], cold: [14, 28], reason: 'dry' },
  { to: 0.75, room: [4, 8], cold: [10, 21], reason: 'sugar-holds' },
  { to: 0.85, room: [1, 3], cold: [5, 10], reason: 'sugar-holds' },
  { to: 0.91, room: [0, 1], cold: [4, 7], reason: 'moist' },
  { to: 1.01, room: [0, 0], cold: [3, 5], reason: 'wet' },
]
/** Milk, produce and coconut are let stand in the room only below this water activity. */
const DRY_ENOUGH = 0.75
/** What each of these leaves of the days; the worst of them counts (estimates). */
const LEAVES: Readonly<Partial<Record<KeepingReason, number>>> = {
  'milk': 0.7,
  'produce': 0.75,
  'coconut': 0.7,
  'hands': 0.8,
  'warm-room': 0.5,
}
const WARM_ROOM_C = 28
/**
 * Hours that what perishes stands between 5 and 60 °C, and in a hot room (two-hour rule of food safety advice;
 * recalled, unchecked).
 */
const STANDS_H = 2
const STANDS_IN_HEAT_H = 1
const HEAT_C = 32

/**
 * Most hours that what perishes stands between 5 and 60 °C, all of them together.
 *
 * @param roomC the room, °C
 * @returns 2, or 1 where the room is warmer than 32 °C
 */
export function mostStandingH(roomC: number): number {
  return roomC > HEAT_C ? STANDS_IN_HEAT_H : STANDS_H
}

/**
 * How long a sweet keeps, on the side of caution: the higher water activity decides, then what is in it and how it was
 * handled. Local food rules decide; when in doubt it is thrown out.
 *
 * @param facts what is known of it; the room −20 to 55 °C
 * @returns days by place, with reasons
 * @throws CoreError `out-of-range`
 */
export function keepingOf(facts: KeepingFacts): Keeping {
  requireRange('keepingOf.roomC', facts.roomC, -20, 55)
  const activity = requireRange('keepingOf.activity', facts.activity.high, 0, 1)
  const band = BANDS.find(one => activity < one.to) ?? lastOf(BANDS)
  const also: KeepingReason[] = [
    ...(facts.milk ? ['milk' as const] : []),
    ...(facts.produce ? ['produce' as const] : []),
    ...(facts.coconut ? ['coconut' as const] : []),
    ...(facts.hands ? ['hands' as const] : []),
  ]
  const perishes = (facts.milk || facts.produce || facts.coconut) && activity >= DRY_ENOUGH
  const warm = facts.roomC > WARM_ROOM_C && band.room[1] > 0 && !perishes
  const left = (reasons: readonly KeepingReason[]): number => Math.min(1, ...reasons.map(reason => LEAVES[reason] ?? 1))
  const cold = scaled(band.cold, left(also))
  const room: readonly [number, number] = perishes
    ? [0, 0]
    : scaled(band.room, left(warm ? [...also, 'warm-room'] : also))
  return {
    days: { room, cold: [Math.max(1, cold[0]), Math.max(1, cold[1])] },
    standsH: room[1] === 0 ? mostStandingH(facts.roomC) : null,
    reasons: [band.reason, ...also, ...(warm ? ['warm-room' as const] : [])],
  }
}

function scaled([least, most]: readonly [number, number], share: number): readonly [number, number] {
  return [Math.floor(least * share + 1e-9), Math.floor(most * share + 1e-9)]
}
