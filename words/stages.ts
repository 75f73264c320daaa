import type { Stage } from '../core/formulation/dish/dish'
import type { ExpectCode, WatchCode } from '../core/formulation/dish/stageCodes'
import { isStage, roleOfStage, type HeatedRole, type StageRole } from '../core/formulation/dish/stageRole'
import { allergensText } from './after'
import { wordFor } from './wordFor'

/** Stages by id: a short name, the one thing to do in a glance, and what is said when it begins. */
const STAGES: Readonly<
  Record<Exclude<StageRole, HeatedRole>, { readonly name: string, readonly cue: string, readonly begin: string }>
> = {
  'nuts': { name: 'fry nuts', cue: 'Fry the nuts, keep turning', begin: 'Nuts are in' },
  'roast-dry': { name: 'roast dry', cue: 'Dry roast, keep it moving', begin: 'Base in, dry' },
  'roast': { name: 'roast', cue: 'Keep it moving, low flame', begin: 'Base is in' },
  'paste': { name: 'fry the paste', cue: 'Press the lumps, keep turning', begin: 'Paste is in' },
  'rain': { name: 'rain in', cue: 'By the handful, stir all the while', begin: 'Grain goes in' },
  'pour': { name: 'pour', cue: 'A ladle at a time, at the side', begin: 'I am pouring' },
  'take-up': { name: 'take up', cue: 'Middle flame, keep stirring', begin: 'Poured, flame back' },
  'swell': { name: 'swell', cue: 'Lid on, low: it swells', begin: 'All in, lid on' },
  'milk': { name: 'milk', cue: 'Milk is in: scrape the base', begin: 'Milk is in' },
  'liquid': { name: 'liquid', cue: 'Cook it down, scrape the base', begin: 'Liquid is in' },
  'sweeten': { name: 'sweeten', cue: 'Sugar in: it runs, stir on', begin: 'Sugar is in' },
  'rub-in': { name: 'rub sugar in', cue: 'Rub the sugar in', begin: 'Sugar is in' },
  'enrich': { name: 'enrich', cue: 'Stir till it comes together', begin: 'Additions are in' },
  'enrich-2': { name: 'more fat', cue: 'More fat, stir it in', begin: 'More fat is in' },
  'enrich-3': { name: 'last fat', cue: 'Last fat, stir to the end', begin: 'Last fat is in' },
  'finish': { name: 'finish', cue: 'Stir till it comes together', begin: 'Nearly there' },
  'fat-in': { name: 'fat in', cue: 'Turn it in the fat', begin: 'Fat is in' },
  'rest': { name: 'rest', cue: 'Let it rest', begin: 'Off the fire' },
  'cool': { name: 'cool', cue: 'Off the fire: stir, let it cool', begin: 'Off the fire' },
  'thicken': { name: 'thicken', cue: 'Stir without a break', begin: 'Mix is in' },
  'syrup': { name: 'syrup', cue: 'Boil the syrup, test it', begin: 'Syrup is on' },
  'soften': { name: 'cook down', cue: 'Cook it down, scrape the base', begin: 'It is in the pan' },
  'soften-2': { name: 'second lot', cue: 'Second lot: cook it down', begin: 'Second lot is in' },
  'press': { name: 'pressure', cue: 'Count the releases', begin: 'Lid is locked' },
  'wait': { name: 'let it open', cue: 'Wait: it opens by itself', begin: 'Flame is off' },
  'soak': { name: 'soak', cue: 'Soak', begin: 'Soaking' },
  'drain': { name: 'drain', cue: 'Drain well', begin: 'Draining' },
  'grind': { name: 'grind', cue: 'Grind', begin: 'Grinding' },
  'wash-dry': { name: 'wash and dry', cue: 'Wash, spread out to dry', begin: 'Drying' },
  'roast-whole': { name: 'roast whole', cue: 'Roast dry, keep it moving', begin: 'Lentils are in' },
  'cool-whole': { name: 'cool', cue: 'Let it cool before grinding', begin: 'Cooling' },
  'boil-soft': { name: 'boil soft', cue: 'Boil soft under the lid', begin: 'It is on' },
  'puree': { name: 'purée', cue: 'Cool, then purée', begin: 'Puréed' },
  'grate': { name: 'peel and grate', cue: 'Peel and grate', begin: 'Grating' },
  'break': { name: 'break', cue: 'Break to hand length', begin: 'Broken' },
  'melt': { name: 'melt, strain', cue: 'Melt the jaggery, strain it', begin: 'Jaggery is melting' },
  'steep': { name: 'steep saffron', cue: 'Steep the saffron, warm', begin: 'Steeping' },
  'mix': { name: 'mix cold', cue: 'Mix cold, let it stand, strain', begin: 'Mixed' },
  'spread': { name: 'into the tray', cue: 'Spread in a greased tray', begin: 'In the tray' },
  'set': { name: 'set', cue: 'Let it set', begin: 'Setting' },
  'roll': { name: 'roll', cue: 'Roll while hand-warm', begin: 'Rolling' },
  'free-share': { name: 'share apart', cue: 'Take the free share out', begin: 'Share is out' },
  'nuts-in': { name: 'nuts in', cue: 'Stir the fried nuts in', begin: 'Nuts are in' },
  'set-apart': { name: 'set apart', cue: 'Set the first share apart', begin: 'Set apart' },
  'nuts-last': { name: 'fry nuts', cue: 'Fry the nuts beside it', begin: 'Nuts are on' },
}

/** The words of a stage: those of a second base's are the first's. */
const wordsOf = (stage: Pick<Stage, 'id'>): (typeof STAGES)['roast'] | undefined =>
  wordFor(STAGES, roleOfStage(stage) ?? '')

/** What stands in the other vessel, by the id of its stage. */
export const BESIDE_WORDS: Readonly<Record<HeatedRole | 'syrup' | 'nuts-last', string>> = {
  'sweet-water': 'sweet water',
  'hot-water': 'water',
  'sweet-milk': 'sweet milk',
  'hot-milk': 'milk',
  'sweet-juice': 'sweet juice',
  'hot-juice': 'juice',
  'syrup': 'syrup',
  'nuts-last': 'nuts',
}

/**
 * What stands in the other vessel.
 *
 * @param stage id of its stage
 * @returns such as `sweet water`; undefined for one of another version
 */
export function besideText(stage: string): string | undefined {
  return wordFor(BESIDE_WORDS, stage)
}

/** Vessels by their id in a dish. */
export const DISH_VESSEL_WORDS: Readonly<Record<string, string>> = {
  'pan': 'pan',
  'pot': 'pot',
  'second-pot': 'second pot',
  'small-pan': 'small pan',
  'roasting-pan': 'roasting pan',
  'pressure-pan': 'pressure pan',
  'table': 'table',
}

/** Short name of a stage. */
export function stageName(stage: Pick<Stage, 'id' | 'does' | 'freeOf'>): string {
  if (stage.freeOf) return `share without ${allergensText(stage.freeOf)}`
  return wordsOf(stage)?.name ?? besideText(stage.id) ?? stage.does
}

/** The one thing to do in a stage, short enough for a glance. */
export function stageCueText(stage: Pick<Stage, 'id' | 'does' | 'freeOf'>): string {
  if (stage.freeOf) return `Take the share without ${allergensText(stage.freeOf)} out`
  return wordsOf(stage)?.cue ?? 'Keep stirring'
}

/** What the button says that begins a stage. */
export function stageBeginText(stage: Pick<Stage, 'id' | 'does' | 'freeOf'> & Partial<Pick<Stage, 'adds'>>): string {
  if (isStage(stage, 'roast') && stage.adds?.length === 0) return 'Dry now, roast on'
  return wordsOf(stage)?.begin ?? `Begin: ${stageName(stage)}`
}

/** What was done when a stage began, for asking after it. */
const BEGUN: Readonly<Partial<Record<StageRole, string>>> = {
  'roast-dry': 'Base in',
  'roast': 'Base in',
  'paste': 'Paste in',
  'pour': 'Poured',
  'rain': 'Grain in',
  'take-up': 'All poured',
  'swell': 'Lid on',
  'milk': 'Milk in',
  'liquid': 'Liquid in',
  'sweeten': 'Sugar in',
  'rub-in': 'Sugar rubbed in',
  'enrich': 'Additions in',
  'enrich-2': 'More fat in',
  'enrich-3': 'Last fat in',
  'finish': 'Nearly done',
  'fat-in': 'Fat in',
  'rest': 'Off the fire',
  'cool': 'Off the fire',
  'thicken': 'Mix in',
  'syrup': 'Syrup on',
  'soften': 'In the pan',
  'soften-2': 'Second lot in',
  'press': 'Lid locked',
  'wait': 'Flame off',
}

/**
 * What was done when a stage began, short, for asking after it.
 *
 * @param stage one of the main line
 * @returns such as `Poured`
 */
export function stageBegunText(stage: Pick<Stage, 'id' | 'does'>): string {
  return BEGUN[roleOfStage(stage) ?? 'nuts'] ?? `Began ${stageName(stage)}`
}

/** What to watch for in a stage, by code. */
export const WATCH_WORDS: Readonly<Record<WatchCode, string>> = {
  'turn-nuts': 'Turn them all the time; take them out a shade early: they darken on.',
  'strain': 'Strain it: there is grit in jaggery.',
  'steep-warm': 'In a spoon of the dish\'s own warm liquid.',
  'drain-well': 'Water left in splashes in the fat.',
  'ground-silky':
    'With a little of its water, until nothing is felt between two fingers: what is grainy sinks in the mix.',
  'no-water-no-whole': 'No water; no whole pieces left.',
  'stir-always': 'Stir without a break.',
  'aroma-first': 'Trust the smell before the colour.',
  'dry-burns-fast': 'Dry, it burns fast: low flame.',
  'grainy-not-dust': 'Grainy, not dust.',
  'surplus-to-store': 'What is over goes into the store with today\'s date.',
  'skim': 'Skim the foam.',
  'grate-coarse': 'Coarse side: too fine turns pasty.',
  'hand-length': 'Hand length, not crumbs.',
  'break-lumps': 'Press and break every lump against the pan.',
  'strength': 'Test a drop between cool spoons, not fingers.',
  'no-grains-on-the-wall': 'Wash sugar grains from the wall, then do not stir.',
  'milk-catches': 'Milk catches sooner than water: scrape the base.',
  'by-handfuls':
    'Cool enough for the hand; then a handful at a time from low over the edge, the other hand stirring: all at once it is lumps, and hot fat erupts.',
  'under-the-lid': 'Low, under the lid for two or three minutes: it swells by itself. Stir once between.',
  'in-parts': 'In parts: stop when it is no longer taken up quickly.',
  'face-back': 'Long ladle at the side, face back.',
  'fork-loosen': 'Loosen with a fork, do not mash.',
  'flame-back': 'Flame back to middle once the spitting stops: a low one gives porridge.',
  'no-hard-centre': 'Cool a grain on a spoon, then bite: no hard centre before sugar goes in.',
  'soft-within': 'Cool a grain on a spoon, then bite: soft to its middle.',
  'jaggery-off-boil': 'Milk taken up and off the boil first: jaggery splits milk that boils.',
  'milk-when-dry': 'Milk only when the fruit has cooked dry: its acid splits it.',
  'no-lumps': 'No lumps: strain it.',
  'stand-and-strain': 'Let it stand, then strain.',
  'scrape-base': 'Scrape the base as you stir.',
  'stir-as-it-cools': 'Stir as it cools: the pan goes on roasting it.',
  'rub-in': 'Rub the sugar in with the palms.',
  'count-releases': 'Count releases of the valve, or minutes at pressure.',
  'tip-the-pan-over': 'Tip it over with its juice.',
  'next-lot': 'Grate the next lot while this one cooks.',
  'set-in-cold': 'It perishes: once it no longer steams it sets in the cold.',
  'soak-cool': 'Over eight hours, or in a hot kitchen: soak it in the cold.',
  'half-full': 'The liquid goes in before the lid; look at its fill line.',
  'opens-itself': 'Flame off: wait until the pressure has fallen by itself. Never force the lid.',
  'free-first': 'With a spoon and into a bowl that touched none of it, before it goes in.',
  'greased-tray': 'Grease the tray first.',
  'score-warm': 'Score while warm, cut when set.',
  'greased-hands': 'Grease the palms; keep the bowl covered.',
  'share-first': 'Not tasted: the first share is set apart before anyone eats.',
}

/** What will look wrong and is not, by code. */
export const EXPECT_WORDS: Readonly<Record<ExpectCode, string>> = {
  'runs-again': 'It runs again when the sugar goes in, then tightens.',
  'wet-sand': 'It looks like wet sand.',
  'custard-then-crumbs': 'First a paste, then a loose custard, then crumbs.',
  'stiff-then-flows': 'Stiff at first; it loosens and flows when it is done.',
  'lumps-at-first': 'It clumps at first; it breaks up as it dries.',
  'darkens-on': 'It goes on darkening off the flame.',
  'foams': 'It foams up and falls again.',
  'looks-too-thin': 'It looks far too thin. It is not.',
  'thickens-at-once': 'Nothing for minutes, then it thickens all at once.',
  'looks-dry': 'It looks too dry to roll; rubbing brings the fat out.',
  'sticks-then-leaves': 'It sticks before it leaves.',
  'volume-falls-first': 'The volume halves long before the weight does.',
  'milk-grains': 'Milk turns grainy as it thickens.',
  'fat-drawn-in': 'The fat vanishes into it, then shows again.',
  'soft-middle': 'Soft in the middle under a set top is right for some.',
  'firms-as-it-cools': 'Soft now; it firms as it cools.',
}

/**
 * What to watch for, by a code that may be of another version.
 *
 * @param code of a stage
 * @returns a sentence; nothing for a code that is not known
 */
export function watchText(code: string): string {
  return wordFor(WATCH_WORDS, code) ?? ''
}

/**
 * What will look wrong and is not, by a code that may be of another version.
 *
 * @param code of a stage
 * @returns a sentence; nothing for a code that is not known
 */
export function expectText(code: string): string {
  return wordFor(EXPECT_WORDS, code) ?? ''
}

/** How stiff a mass is, from one that runs to one that stands. */
const STIFFNESS = [
  [0.12, 'runs like water'],
  [0.3, 'pours'],
  [0.5, 'falls in lumps from the spoon'],
  [0.75, 'heaps'],
  [2, 'stands by itself'],
] as const

/**
 * How stiff a mass is, in words.
 *
 * @param stiffness 0 runs like water, 1 stands by itself
 * @returns such as `heaps`
 */
export function stiffnessText(stiffness: number): string {
  return (STIFFNESS.find(([most]) => stiffness < most) ?? STIFFNESS[STIFFNESS.length - 1]!)[1]
}
