import { isOneOf, keysOf } from '../core/records'
import type { Doing, Stage } from '../core/formulation/dish/dish'
import type { Late, LateLevel } from '../core/cook/guidance/lateOf'
import { clockText } from './clockText'
import { besideText, stageName } from './stages'

/** What is done in a stage that can be late. */
type LateDoing = Exclude<Doing, 'prepare' | 'set' | 'shape' | 'rest'> | 'rain'

/** What to do, by what is done in the stage and how late it is: short enough for one glance. */
const LATE_CUES: Readonly<Record<LateDoing, Readonly<Record<LateLevel, string>>>> = {
  'fry': { 1: 'Nuts out now', 2: 'Lift the nuts out at once', 3: 'Nuts out: burnt ones stay out' },
  'roast': { 1: 'Past its window: look now', 2: 'Flame off: dark enough?', 3: 'Off the fire, into a cold pan' },
  'pour': { 1: 'All in? Then flame on', 2: 'Pour the rest, flame back on', 3: 'Pour the rest, flame back on' },
  'rain': { 1: 'All in? Then lid on, low', 2: 'The rest in, lid on, flame low', 3: 'Lid on, flame low: it catches' },
  'cook-down': { 1: 'Past its window: look now', 2: 'Look now: is it there?', 3: 'Off the flame: look at its base' },
  'sweeten': { 1: 'Past its window: look now', 2: 'Flame low: is it tight?', 3: 'Off the fire before it sets hard' },
  'enrich': { 1: 'Past its window: look now', 2: 'Off the fire: is it one mass?', 3: 'Off the fire: it dries on' },
  'heat': { 1: 'Does it boil?', 2: 'It should boil: flame low, lid on', 3: 'Low flame: it boils away' },
  'melt': { 1: 'Has it melted?', 2: 'Flame off, strain it', 3: 'Flame off: it burns' },
  'boil-syrup': { 1: 'Test a drop now', 2: 'Off the flame, test a drop', 3: 'Too far: a spoon of hot water' },
  'press': { 1: 'Flame off under the lid', 2: 'Flame off under the lid now', 3: 'Flame off: it runs dry' },
  'wait': { 1: 'Open by itself yet?', 2: 'Open by itself yet?', 3: 'Open by itself yet?' },
  'cool': { 1: 'Cool enough for a hand?', 2: 'Cool enough? Go on', 3: 'Warm it before it sets' },
}

/** What can still be done, in a sentence or two. */
const LATE_WAYS: Readonly<Record<LateDoing, string>> = {
  'fry': 'Nuts go on browning off the fire. Lift out what is right; what is dark brown tastes bitter and stays out.',
  'roast':
    'Tip it into a cold pan or on a plate: pan and fat roast on. Pale brown is saved by pouring at once; black flecks or an acrid smell are not.',
  'pour': 'Off the flame nothing is lost by stopping; what is in takes up as it stands. Then flame back to middle.',
  'rain':
    'What is in swells already: stir out the lumps against the side, rain the rest in, then the lid and a low flame.',
  'cook-down':
    'Look for the sign under the spoon. Still wet: lid off, a mark higher. Where it catches, tip the top into a clean pan and leave the base; where it is dry, a spoon of hot liquid.',
  'sweeten': 'Sugar tightens as it goes on. If it stiffens, off the flame and a spoon of hot water.',
  'enrich':
    'Off the fire it firms as it cools. Where it is stiff already, a spoon of hot milk or water and a little fat.',
  'heat': 'Lid on, flame low: it stays ready. What has boiled away is made up with hot water.',
  'melt': 'Flame off, strain it. Dark jaggery tastes burnt: weigh some out anew.',
  'boil-syrup': 'A spoon of hot water takes it back a step; cool a drop between spoons before you go on.',
  'press': 'Flame off and leave it shut until it opens by itself; then look at the base before anything goes in.',
  'wait': 'Leave it until the lid lifts without force.',
  'cool': 'Set hard it is warmed in the pan on the lowest flame until it can be worked.',
}

const doingOf = ({ id, does }: Stage): LateDoing =>
  id === 'rain' ? id : isOneOf(keysOf(LATE_CUES), does) ? does : 'cook-down'

/**
 * What to do about a stage that is late.
 *
 * @param late how late it is
 * @param stage the stage
 * @returns short enough for one glance
 */
export function lateCueText({ level }: Pick<Late, 'level'>, stage: Stage): string {
  const text = LATE_CUES[doingOf(stage)][level]
  return stage.meets
    ? `${upper(besideText(stage.id) ?? stageName(stage))}: ${text.charAt(0).toLowerCase()}${text.slice(1)}`
    : text
}

/**
 * How late it is.
 *
 * @param late with the window that has passed
 * @returns such as `0:40 past its window, 6:20–9:10`
 */
export function lateText({ byS, window }: Pick<Late, 'byS' | 'window'>): string {
  const by = clockText(Math.max(10, Math.round(byS / 10) * 10))
  return window
    ? `${by} past its window, ${clockText(Math.round(window.early / 10) * 10)}–${clockText(Math.round(window.late / 10) * 10)}`
    : `${by} over its time`
}

/**
 * What can still be done of a stage that is late.
 *
 * @param stage the stage
 * @param unlit true where it stands beside the pan and is not on its fire
 */
export function lateWayText(stage: Stage, unlit = false): string {
  return unlit
    ? 'On the fire now, lid on, as high as it goes. The pan waits for it: a mark lower, or off the flame.'
    : LATE_WAYS[doingOf(stage)]
}

const upper = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
