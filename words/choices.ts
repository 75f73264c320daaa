import type { Choices } from '../core/formulation/dish/choices'
import type { TroubleCode } from '../core/formulation/dish/troublesOf'
import type { FamilyId } from '../core/formulation/family/family'
import { entriesOf } from '../core/records'
import { wordFor } from './wordFor'

/** Families as they are offered, with the names people search by. */
export const FAMILY_WORDS: Readonly<Record<FamilyId, { readonly name: string, readonly others: readonly string[] }>> = {
  'semolina': { name: 'Semolina', others: ['sooji', 'rava', 'सूजी', 'ரவை'] },
  'broken-wheat': { name: 'Broken wheat', others: ['dalia', 'lapsi', 'दलिया', 'கோதுமை ரவை'] },
  'vermicelli': { name: 'Vermicelli', others: ['sevai', 'semiya', 'सेवई', 'சேமியா'] },
  'wheat-flour': { name: 'Wheat flour', others: ['atta', 'maida', 'आटा', 'கோதுமை மாவு'] },
  'other-flour': { name: 'Millet, rice and other flours', others: ['ragi', 'bajra', 'रागी', 'கேழ்வரகு'] },
  'gram-flour': { name: 'Gram flour', others: ['besan', 'बेसन', 'கடலை மாவு'] },
  'lentil': { name: 'Lentils', others: ['dal', 'moong', 'दाल', 'பருப்பு'] },
  'vegetable': { name: 'Grated vegetables', others: ['gajar', 'lauki', 'सब्ज़ी', 'காய்கறி'] },
  'fruit': { name: 'Fruit', others: ['phal', 'फल', 'பழம்'] },
  'coconut-nut': { name: 'Coconut and nuts', others: ['nariyal', 'kaju', 'नारियल', 'தேங்காய்'] },
}

/** The questions on which cooks disagree, and the answers, as they are chosen. */
export const CHOICE_WORDS: {
  readonly [Key in keyof Choices]: {
    readonly asks: string
    readonly answers: { readonly [Value in `${Choices[Key]}`]: string }
  }
} = {
  form: { asks: 'Made into', answers: { soft: 'soft halwa', slab: 'a set slab', balls: 'rolled balls' } },
  preparation: {
    asks: 'Got ready as',
    answers: {
      'as-bought': 'as bought',
      'raw-paste': 'soaked and ground raw',
      'fine-paste': 'soaked and ground fine with water',
      'dry-ground': 'roasted and ground dry',
      'cooked-puree': 'cooked and puréed',
      'grated': 'peeled and grated',
    },
  },
  roast: {
    asks: 'Roast',
    answers: {
      'none': 'not roasted',
      'aroma': 'to the smell, hardly coloured',
      'pale': 'to first colour',
      'golden': 'golden',
      'deep-golden': 'deep golden',
      'brown': 'brown',
    },
  },
  fat: {
    asks: 'Fat goes in',
    answers: {
      'at-start': 'all at the start',
      'half-and-half': 'half now, half late',
      'little-by-little': 'little by little to the end',
      'dry-first': 'after a dry roast',
    },
  },
  liquid: {
    asks: 'Wetted with',
    answers: {
      'none': 'nothing',
      'water': 'water',
      'milk': 'milk',
      'water-then-milk': 'water, then milk',
      'juice': 'juice',
    },
  },
  pour: {
    asks: 'Liquid and base',
    answers: {
      'at-once': 'poured on at once',
      'in-parts': 'poured on in parts, till no longer taken up',
      'slurry': 'mixed cold beforehand',
      'rained': 'grain rained into the boil',
    },
  },
  sugar: {
    asks: 'Sugar goes in',
    answers: {
      'in-liquid': 'dissolved in the hot liquid',
      'after-swelling': 'once the grain has swollen',
      'off-fire': 'powdered, off the fire',
      'syrup': 'as a boiled syrup',
      'into-reduced': 'into the reduced mass',
    },
  },
  nuts: {
    asks: 'Nuts',
    answers: { 'first': 'fried first, set aside', 'into-roast': 'raw into the pan', 'last': 'fried last, stirred in' },
  },
  cooking: {
    asks: 'Cooked',
    answers: { open: 'in the open pan', pressure: 'under pressure in its liquid, that cooked down after' },
  },
  finish: { asks: 'Finished', answers: { covered: 'covered and left', stirred: 'stirred to the end' } },
  tasting: {
    asks: 'Tasting',
    answers: { 'tasted': 'tasted and corrected', 'not-tasted': 'not tasted, first share set apart' },
  },
  lots: { asks: 'Grated', answers: { false: 'all beforehand', true: 'in lots, as it cooks' } },
}

/** Why a combination cannot work. */
export const TROUBLE_WORDS: Readonly<Record<TroubleCode, string>> = {
  'sugar-needs-liquid': 'There is no liquid for the sugar to dissolve in.',
  'powder-needs-no-liquid': 'Powdered sugar off the fire needs a dry mass: a wet one stays gritty and runs.',
  'jaggery-is-no-powder': 'Jaggery has to be melted and strained; it cannot be rubbed in dry.',
  'balls-take-powdered-sugar': 'Balls of roasted flour hold by their fat alone: liquid sugar makes them a soft halwa.',
  'slab-takes-syrup': 'A slab of grain or flour sets by its syrup: sugar that never boiled to a strength stays soft.',
  'nothing-is-reduced': 'Nothing in this dish cooks down by itself; the sugar needs the liquid or the swollen grain.',
  'liquid-is-missing': 'The liquid chosen is not among the ingredients.',
  'syrup-needs-water': 'A syrup is boiled in water, and there is none among the ingredients.',
  'nuts-need-fat-first': 'The nuts are fried in the dish\'s fat, and after a dry roast there is none in the pan yet.',
  'paste-cannot-roast-dry': 'A wet paste or slurry sticks fast in a dry pan: it needs fat from the start.',
  'slurry-is-not-roasted': 'A slurry is mixed cold and raw: it cannot have been roasted in the pan before.',
  'fine-paste-is-mixed-cold':
    'A lentil ground fine with water is too wet to roast as a paste: it is mixed cold and stirred until it thickens.',
  'grain-is-the-first-base':
    'Grain and flour are roasted before a pulp or purée comes to them: begin with the grain as the base, and put the pulp to it.',
  'only-grain-is-rained': 'Only grain runs through the fingers: flour and paste fall into boiling liquid as lumps.',
  'rained-is-sweetened-after':
    'Grain rained into sweet liquid stays hard: it swells in plain liquid, then the sugar goes in.',
  'grain-sinks-in-slurry': 'This grain is too coarse to stay up in a cold mix: it sinks and catches.',
  'sugar-hardens-slurry': 'Sugar in the cold mix keeps the grain from swelling: it stays hard.',
  'grain-foams-under-pressure': 'Grain and flour foam up and can block the valve of a pressure pan.',
  'froths-under-pressure': 'Apples froth up under pressure and can block the valve.',
  'pressure-needs-liquid':
    'A pressure pan without liquid runs dry and bursts its safety valve: water or milk has to stand under the lid.',
  'acid-splits-milk': 'Sour fruit and juice split milk: it turns to grains and whey.',
  'jaggery-splits-milk': 'Jaggery boiled with milk splits it: it goes in once the milk is taken up, off the boil.',
  'only-grated-goes-in-lots': 'Only what is grated for the open pan can go in lot by lot.',
  'preparation-is-not-for-this': 'This base is not got ready in that way.',
  'slab-is-stirred': 'A mass that is to set or to be rolled has to be stirred to its end; covered it stays soft.',
  'produce-is-not-a-roast': 'This base cooks down in its own water; there is no roast before it.',
  'no-grain-swells': 'There is no grain here that has to swell first; sugar goes into the reduced mass.',
  'wet-in-dry-balls': 'Fruit and condensed milk bring water: balls that hold by their fat fall apart and spoil.',
  'nothing-sweet': 'Nothing in this dish is sweet.',
}

/**
 * An answer to one of the questions.
 *
 * @param key the question
 * @param value the answer, which may be of another version
 * @returns such as `as a boiled syrup`
 */
export function answerText(key: keyof Choices, value: string | boolean): string {
  return wordFor<string>(CHOICE_WORDS[key].answers, String(value)) ?? String(value)
}

/**
 * An offer that takes a trouble away, in words.
 *
 * @param offer changes of choices
 * @returns such as `sugar goes in: as a boiled syrup`
 */
export function offerText(offer: Partial<Choices>): string {
  return entriesOf(offer)
    .map(([key, value]) => `${CHOICE_WORDS[key].asks.toLowerCase()} ${answerText(key, value)}`)
    .join(', ')
}
