import type { FaultCause } from '../core/cook/faults/causes'
import type { DishEdit } from '../core/cook/faults/dishEdit'
import type { Clue } from '../core/cook/faults/findCauses'
import type { ChangeResult } from '../core/cook/faults/changeWorked'
import { answerText, CHOICE_WORDS } from './choices'
import { faultName } from './faults'

/** What a fault comes from, and what the hand does about it next time. */
export const CAUSE_WORDS: Readonly<Record<FaultCause, { readonly name: string, readonly next: string }>> = {
  'flame-high': {
    name: 'the flame stood too high',
    next: 'One mark lower, and stir on; for a roast, ask for a flame plan.',
  },
  'roast-short': {
    name: 'the roast was ended too soon',
    next: 'Wait for the smell and the colour, whatever the clock says.',
  },
  'roast-long': { name: 'the roast went on too long', next: 'Liquid hot beside it, and pour at the colour.' },
  'too-wet': {
    name: 'more liquid than it wants',
    next: 'Weigh the liquid, and pour the last part only as it is taken up.',
  },
  'too-dry': { name: 'too little liquid', next: 'Weigh the liquid; keep a ladle of it hot.' },
  'off-early': { name: 'taken off too soon', next: 'Wait until it leaves the sides; weigh the pan.' },
  'off-late': { name: 'left on too long', next: 'Off at the first sign that it leaves the sides; weigh the pan.' },
  'low-after-turn': {
    name: 'the flame stayed low after the turn',
    next: 'Back to a middle flame once the spitting stops.',
  },
  'cold-liquid': {
    name: 'the liquid was not at the boil',
    next: 'Light it when the hearth calls; pour only when it boils.',
  },
  'poured-fast': { name: 'liquid and base met too fast', next: 'A ladle or a handful at a time, stirring each in.' },
  'sugar-early': {
    name: 'sugar went in before the grain had swollen',
    next: 'Plain liquid first, sugar once no hard centre is left.',
  },
  'more-fat': { name: 'more fat than it holds', next: 'Less fat, or the last of it only for gloss.' },
  'less-fat': { name: 'too little fat', next: 'More fat, or a spoon of it warm as it is rolled.' },
  'more-sugar': { name: 'more sugar than is liked', next: 'Less sugar; taste where it may be tasted.' },
  'less-sugar': { name: 'less sugar than is liked', next: 'More sugar; weigh it.' },
  'syrup-weak': { name: 'the syrup was too weak', next: 'Boil it to its temperature or weight.' },
  'syrup-far': {
    name: 'the syrup was taken too far',
    next: 'Off at its temperature; it goes on for a moment by itself.',
  },
  'unstirred': { name: 'left unstirred', next: 'Never alone in the roast; flame off when you turn away.' },
  'thin-pan': { name: 'a thin pan, hot in one spot', next: 'A heavy pan, or the smallest flame.' },
  'rolled-warm': { name: 'rolled too warm', next: 'Wait until it is hand-warm all through.' },
  'rolled-cool': { name: 'rolled too cool', next: 'Begin as it is hand-warm; a second pair of hands.' },
  'sour': {
    name: 'sour fruit or jaggery met hot milk',
    next: 'Milk only when the fruit is dry; jaggery off the boil.',
  },
  'kept-back': {
    name: 'liquid was kept back',
    next: 'Keep none back, or pour it hot while the grain still takes it up.',
  },
  'forgotten': { name: 'something was forgotten', next: 'Tick what goes in as it goes in.' },
  'sugar-runs': { name: 'sugar just in: it tightens again', next: 'Wait: it tightens again by itself.' },
  'fat-drawn-later': { name: 'the mass draws it in later', next: 'Wait before lifting any off.' },
  'too-early': { name: 'it is too early yet', next: 'Give it its time; scrape the base as you stir.' },
  'produce-sweet': { name: 'sweet roots or fruit', next: 'Taste the produce first; begin with less sugar.' },
  'produce-plain': { name: 'plain roots or fruit', next: 'Taste the produce first; keep sugar by.' },
  'grated-fine': { name: 'grated too fine', next: 'Grate it coarser.' },
  'mashed': { name: 'mashed by stirring', next: 'Lift and turn; do not mash.' },
}

const many = (value: number, words: readonly [string, string]): string => (value < 0 ? words[0] : words[1])
const far = (value: number): string => (Math.abs(value) >= 2 ? 'far ' : Math.abs(value) >= 1 ? '' : 'a little ')

/** What a clue says of the batch; its value is in standard deviations of the forecast unless it is a count. */
const CLUES: Readonly<Record<Clue['of'], (value: number) => string>> = {
  'roastTime': value =>
    Math.abs(value) < 0.5
      ? 'the roast took as long as forecast'
      : `the roast was ${far(value)}${many(value, ['shorter', 'longer'])} than forecast`,
  'roastColour': value =>
    Math.abs(value) < 0.6
      ? 'it was roasted to its colour'
      : `it was roasted ${many(value, ['lighter', 'darker'])} than the dish asks`,
  'aromaTime': value =>
    Math.abs(value) < 0.5
      ? 'the smell came when it was forecast'
      : `the smell came ${far(value)}${many(value, ['earlier', 'later'])} than forecast`,
  'roastFlame': value =>
    Math.abs(value) < 0.3
      ? 'the roast stood on its planned mark'
      : `the roast stood ${many(value, ['lower', 'higher'])} than planned`,
  'afterTime': value =>
    Math.abs(value) < 0.5
      ? 'after the turn it stood as long as forecast'
      : `after the turn it stood ${far(value)}${many(value, ['shorter', 'longer'])} than forecast`,
  'afterFlame': value =>
    Math.abs(value) < 0.3
      ? 'after the turn it stood on its planned mark'
      : `after the turn the flame stood ${many(value, ['lower', 'higher'])} than planned`,
  'weight': value =>
    Math.abs(value) < 0.5
      ? 'it weighed what was forecast'
      : `it weighed ${far(value)}${many(value, ['less', 'more'])} than forecast`,
  'pourTime': value =>
    Math.abs(value) < 0.5
      ? 'the pour took as long as usual'
      : `the pour was ${far(value)}${many(value, ['quicker', 'slower'])} than usual`,
  'liquidBoil': value =>
    value > 0.3 ? 'the liquid boiled before it was poured' : 'the liquid can hardly have boiled before it was poured',
  'uptake': value => many(value, ['it was taken up slowly', 'it was taken up quickly']),
  'coolTime': value =>
    Math.abs(value) < 0.5
      ? 'it cooled as long as forecast'
      : `it cooled ${far(value)}${many(value, ['shorter', 'longer'])} than forecast`,
  'syrupTime': value =>
    Math.abs(value) < 0.5
      ? 'the syrup boiled as long as forecast'
      : `the syrup boiled ${far(value)}${many(value, ['shorter', 'longer'])} than forecast`,
  'thinPan': value => (value > 0 ? 'the pan is thin' : 'the pan is heavy'),
  'unstirred': value =>
    value > 0 ? `left unstirred for about ${Math.round(value * 60)} s` : 'nobody said that it was left unstirred',
  'others': () => 'beside the batches of this house that came right',
  'slip-poured-early': () => 'you said that it was poured early',
  'slip-liquid-cold': () => 'you said that the liquid was cold',
  'slip-flame-high': () => 'you said that the flame was too high',
  'forgot-fat': () => 'fat was forgotten',
  'forgot-sugar': () => 'sugar was forgotten',
  'forgot-liquid': () => 'liquid was forgotten',
  'added-fat': () => 'fat was added on the way',
  'added-sugar': () => 'sugar was added on the way',
  'added-liquid': () => 'liquid was added on the way',
  'kept-back': () => 'liquid was kept back',
  'dish-fat': value => (value > 0.5 ? 'the dish itself is rich in fat' : 'the dish itself is lean in fat'),
  'dish-sugar': value => (value > 0.5 ? 'the dish itself is rich in sugar' : 'the dish itself is low in sugar'),
  'dish-liquid': value => (value > 0.5 ? 'the dish itself is at the wet end' : 'the dish itself is at the dry end'),
}

/**
 * What a clue says.
 *
 * @param clue of a cause
 * @param against true where it speaks against the cause: a small deviation is then too small a one
 * @returns a few words
 */
export function clueText(clue: Clue, against = false): string {
  const text = CLUES[clue.of](clue.value)
  return against ? text.replace('a little', 'only a little') : text
}

const ROLE = { liquid: 'liquid', fat: 'fat', sugar: 'sugar' } as const

/**
 * A change of a dish, as its button says it.
 *
 * @param edit the change
 * @returns such as `liquid 8 % less`
 */
export function editText(edit: DishEdit): string {
  if (edit.kind === 'choice') return `${CHOICE_WORDS[edit.key].asks.toLowerCase()}: ${answerText(edit.key, edit.value)}`
  const by = Math.round(Math.abs(edit.times - 1) * 100)
  if (edit.kind === 'minutes') return `${by} % ${edit.times < 1 ? 'fewer' : 'more'} usual minutes there`
  return `${ROLE[edit.role]} ${by} % ${edit.times < 1 ? 'less' : 'more'}`
}

/**
 * Whether a change did what it was made for.
 *
 * @param result of the change
 * @returns a sentence
 */
export function changeText({ change, since, again }: ChangeResult): string {
  const fault = faultName(change.fault)
  if (since === 0) return `Changed against “${fault}”; not cooked since.`
  const times = since === 1 ? 'Cooked once since' : `Cooked ${since} times since`
  if (again === 0) return `${times}, never ${fault} again: it worked.`
  return `${times}, ${fault} again ${again === 1 ? 'once' : `${again} times`}${again * 2 >= since ? ': it did not work' : ''}.`
}
