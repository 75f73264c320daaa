import type { SetsBy } from '../core/process/cooling/settingOf'
import type { KeepingReason } from '../core/process/keeping/keepingOf'
import type { Place } from '../core/record/marks/place'
import type { GivenTo, LikedFor, Liking } from '../core/record/marks/afterFire'
import type { ServedAs } from '../core/cook/after/bringBack'
import type { TrayFill } from '../core/formulation/tray/trayFill'
import type { Allergen } from '../core/materials/composition/ingredient'
import { wordFor } from './wordFor'

/** Where a sweet stands. */
export const PLACE_WORDS: Readonly<Record<Place, string>> = { room: 'in the room', cold: 'in the cold' }

/** Why it keeps as long as it does. */
export const KEEPING_WORDS: Readonly<Record<KeepingReason, string>> = {
  'wet': 'Most of its water is free for whatever wants to grow.',
  'moist': 'Sugar binds some of its water, not enough.',
  'sugar-holds': 'Sugar binds most of its water.',
  'dry': 'There is hardly any free water in it: in a closed tin, for damp air wets it again.',
  'milk': 'Milk is in it.',
  'produce': 'Vegetables or fruit are in it.',
  'coconut': 'Coconut is in it, and turns.',
  'hands': 'Hands have rolled it.',
  'warm-room': 'The room is warm.',
}

/**
 * Until when it is good, in the same words on shelf, tray and label.
 *
 * @param eatBy eat it by the first, throw out what is left after the second
 * @param date writes a date
 */
export function eatByText([best, last]: readonly [number, number], date: (at: number) => string): string {
  const [first, second] = [date(best), date(last)]
  return first === second ? `eat it by ${first}` : `best by ${first}, not after ${second}`
}

/**
 * By when it has to be in the cold, and until when it is good there.
 *
 * @param coldBy ms since 1970
 * @param inCold as `eatBy`, for one that is in the cold in time
 * @param moment writes a clock time
 * @param date writes a date
 */
export function coldByText(
  coldBy: number,
  inCold: readonly [number, number],
  moment: (at: number) => string,
  date: (at: number) => string,
): string {
  return `into the cold by ${moment(coldBy)}; there ${eatByText(inCold, date)}`
}

/** Where it stood out of the cold for longer than it may. */
export const STOOD_OUT = 'it stood out of the cold for too long: throw it out'

/** What stands under every range. */
export const KEEPING_RULE = 'A cautious estimate. Local food rules decide; when in doubt, throw it out.'

/** How a mass lies in a tray. */
export const FILL_WORDS: Readonly<Record<TrayFill['verdict'], string>> = {
  thin: 'thinner than wanted',
  right: 'as wanted',
  thick: 'thicker than wanted',
  over: 'runs over',
}

/** What makes a slab hold. */
export const SETS_BY_WORDS: Readonly<Record<SetsBy, string>> = {
  hard: 'its syrup, which sets hard',
  firm: 'its syrup, which sets firm',
  soft: 'its syrup, which sets soft',
  thread: 'its thin syrup, slowly',
  fat: 'its fat and grain as they cool',
}

/** How it is eaten. */
export const SERVED_WORDS: Readonly<Record<ServedAs, string>> = {
  hot: 'hot',
  warm: 'warm',
  room: 'as the room',
  cold: 'cold',
}

/** Where some of it went. */
export const GIVEN_WORDS: Readonly<Record<GivenTo, string>> = {
  'eaten': 'eaten',
  'given': 'given away',
  'set-apart': 'set apart, first offered',
  'nut-free': 'set apart, free of what goes in last',
  'thrown': 'thrown out',
}

/** What is asked of those who ate it, and their answers. */
export const LIKED_WORDS: Readonly<
  Record<LikedFor, { readonly asks: string, readonly less: string, readonly more: string }>
> = {
  sweetness: { asks: 'Sweetness', less: 'too sweet', more: 'not sweet enough' },
  softness: { asks: 'Softness', less: 'too soft', more: 'too firm' },
  richness: { asks: 'Richness', less: 'too rich', more: 'too lean' },
}

/**
 * An answer of those who ate it.
 *
 * @param of what was asked
 * @param liking they would have it less so, it was right, or more so
 * @returns a few words
 */
export function likingText(of: LikedFor, liking: Liking): string {
  return liking === 'right' ? 'right' : LIKED_WORDS[of][liking]
}

/**
 * A span of days.
 *
 * @param days least and most
 * @returns such as `2–3 days`; `two hours` where it is none
 */
export function daysText([least, most]: readonly [number, number]): string {
  if (most === 0) return 'two hours at most'
  if (least === most) return most === 1 ? 'a day' : `${most} days`
  return least === 0 ? (most === 1 ? 'hours, a day at most' : `hours, ${most} days at most`) : `${least}–${most} days`
}

/**
 * Allergens in a row.
 *
 * @param allergens by name
 * @returns such as `pistachio nuts and sesame`
 */
export function allergensText(allergens: readonly string[]): string {
  const names = allergens.map(one => wordFor(ALLERGEN_WORDS, one) ?? one)
  return names.length > 1 ? `${names.slice(0, -1).join(', ')} and ${names.at(-1)}` : names.join('')
}

/** Allergens as a label names them. */
export const ALLERGEN_WORDS: Readonly<Record<Allergen, string>> = {
  milk: 'milk',
  wheat: 'wheat (gluten)',
  barley: 'barley (gluten)',
  oats: 'oats (gluten)',
  cashew: 'cashew nuts',
  almond: 'almonds',
  pistachio: 'pistachio nuts',
  walnut: 'walnuts',
  peanut: 'peanuts',
  sesame: 'sesame',
  soya: 'soya',
  coconut: 'coconut',
  sulphites: 'sulphites',
}
