import type { SetsBy } from '../core/cooling/settingOf'
import type { KeepingReason, Place } from '../core/keeping/keepingOf'
import type { GivenTo, LikedFor, Liking } from '../core/live/afterFire'
import type { ServedAs } from '../core/after/bringBack'
import type { TrayFill } from '../core/tray/trayFill'

/** Where a sweet stands. */
export const PLACE_WORDS: Readonly<Record<Place, string>> = { room: 'in the room', cold: 'in the cold' }

/** Why it keeps as long as it does. */
export const KEEPING_WORDS: Readonly<Record<KeepingReason, string>> = {
  'wet': 'Most of its water is free for whatever wants to grow.',
  'moist': 'Sugar binds some of its water, not enough.',
  'sugar-holds': 'Sugar binds most of its water.',
  'dry': 'There is hardly any free water in it.',
  'milk': 'Milk is in it.',
  'produce': 'Vegetables or fruit are in it.',
  'coconut': 'Coconut is in it, and turns.',
  'hands': 'Hands have rolled it.',
  'warm-room': 'The room is warm.',
}

/** What stands under every range. */
export const KEEPING_RULE = 'A cautious estimate. Local food rules decide; when in doubt, throw it out.'

/** How a mass lies in a tray. */
export const FILL_WORDS: Readonly<Record<TrayFill['verdict'], string>> = { thin: 'thinner than wanted', right: 'as wanted', thick: 'thicker than wanted', over: 'runs over' }

/** What makes a slab hold. */
export const SETS_WORDS: Readonly<Record<SetsBy, string>> = {
  hard: 'its syrup, which sets hard', firm: 'its syrup, which sets firm', soft: 'its syrup, which sets soft', thread: 'its thin syrup, slowly', fat: 'its fat and grain as they cool',
}

/** How it is eaten. */
export const SERVED_WORDS: Readonly<Record<ServedAs, string>> = { hot: 'hot', warm: 'warm', room: 'as the room', cold: 'cold' }

/** Where some of it went. */
export const GIVEN_WORDS: Readonly<Record<GivenTo, string>> = { 'eaten': 'eaten', 'given': 'given away', 'set-apart': 'set apart, first offered', 'nut-free': 'set apart without nuts', 'thrown': 'thrown out' }

/** What is asked of those who ate it, and their answers. */
export const LIKED_WORDS: Readonly<Record<LikedFor, { readonly asks: string, readonly less: string, readonly more: string }>> = {
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

/** Allergens as a label names them. */
export const ALLERGEN_WORDS: Readonly<Record<string, string>> = {
  milk: 'milk', wheat: 'wheat (gluten)', barley: 'barley (gluten)', oats: 'oats (gluten)', cashew: 'cashew nuts', almond: 'almonds', pistachio: 'pistachio nuts', walnut: 'walnuts',
  peanut: 'peanuts', sesame: 'sesame', soya: 'soya', coconut: 'coconut', sulphites: 'sulphites',
}
