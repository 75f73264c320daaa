import type { Lost } from '../core/cook/faults/faults'
import type { RemedyNote, Way } from '../core/cook/remedies/remedy'
import type { Slip, UptakePace } from '../core/record/marks/kindsAtFire'

/** What to do, by way: a title for one glance and the sentence under it. */
export const WAY_WORDS: Readonly<Record<Way, { readonly title: string, readonly text: string }>> = {
  'boil-off': { title: 'Drive the water off', text: 'Uncovered, on a higher flame, stirring all the time.' },
  'bind-base': { title: 'More roasted base', text: 'Roast it beside, then sprinkle it in and stir.' },
  'bind-powder': { title: 'Milk powder', text: 'Sprinkle it over, stir it smooth.' },
  'add-liquid': { title: 'Hot liquid back in', text: 'In spoons round the side, then cover on a low flame.' },
  'swell-on': {
    title: 'Hot water, covered',
    text: 'Plain hot water in spoons, lid on, low flame. Cool a grain on a spoon, bite it, go on.',
  },
  'cook-drier': { title: 'Cook it on, drier', text: 'Uncovered, stirring, until it leaves the sides.' },
  'fat-spoon': { title: 'A spoon of fat', text: 'Warm, round the edge of the pan; stir it in.' },
  'press-break': { title: 'Press and break', text: 'Press every lump flat against the pan; go on stirring.' },
  'mash-sieve': { title: 'Sieve and go on', text: 'Press it through a coarse sieve, back into the pan.' },
  'roast-on': { title: 'Roast on', text: 'Low flame, until it smells toasted, before any liquid.' },
  'dilute': { title: 'More of all but sugar', text: 'Roast base and fat beside, wet with hot water, fold in.' },
  'add-milk-solids': { title: 'Thickened milk', text: 'Crumble it in, stir until it is taken up.' },
  'add-sugar': { title: 'Sugar in', text: 'Sprinkle it in; it runs, then tightens again.' },
  'add-forgotten': { title: 'What was forgotten, in', text: 'All of it now; it runs, then tightens again.' },
  'lift-off': { title: 'Lift the fat off', text: 'Tip the pan, spoon it off at the side.' },
  'cook-on': { title: 'Cook on', text: 'Lower flame; scrape the base as you stir. It leaves the pan later.' },
  'warm-through': {
    title: 'Warm it through',
    text: 'A minute on the lowest flame, or in warm palms, then press again.',
  },
  'chill': { title: 'Chill them', text: 'Covered, in the cold, on a tray.' },
  'more-flour': { title: 'More roasted flour', text: 'Roast it dry, cool it, work it in.' },
  'boil-syrup-on': { title: 'Boil the syrup on', text: 'To this weight or this temperature, whichever you can read.' },
  'thin-syrup': {
    title: 'Hot water into the syrup',
    text: 'A spoon at a time, face back; let it come together again.',
  },
  'reheat-drive-off': {
    title: 'Warm it, drive it off',
    text: 'Back into the pan, low flame, stirring, then into the tray again.',
  },
  'work-in-water': { title: 'Hot water, worked in', text: 'Low flame, a spoon at a time, until it gives.' },
  'lower-stir': { title: 'Lower, stir on', text: 'Flame down a mark; scrape the base as you stir.' },
  'cook-through': { title: 'Cook it through', text: 'The grains stay and turn soft as it thickens.' },
  'brown-in-fat': {
    title: 'Brown it in fat to dry',
    text: 'Spread it over the pan, turn it when its underside browns.',
  },
  'lift-out-clean': {
    title: 'Lift out what is clean',
    text: 'Off the fire. Tip the top into a clean pan; leave the base unscraped. Taste from a cooled spoon.',
  },
  'start-again': { title: 'Start again', text: 'Fresh base and fat; use nothing burnt again.' },
}

/** Remarks beside a way, by code. */
export const REPAIR_NOTES: Readonly<Record<RemedyNote, string>> = {
  'uncovered-higher': 'Lid off, a mark higher.',
  'long-spoon': 'It spits: long spoon.',
  'roast-it-first': 'Raw base tastes raw: roast it first.',
  'sprinkle-stir': 'Sprinkle, do not tip.',
  'contains-milk': 'Contains milk.',
  'hot': 'Hot, not cold.',
  'side-spoons': 'At the side; steam rises.',
  'cover-low': 'Lid on, low flame, a few minutes.',
  'sugar-slows': 'Sugar is in: the grain swells slowly, if at all.',
  'warm': 'Warm, not smoking.',
  'powdered-off-fire': 'Powdered, off the fire.',
  'runs-then-tightens': 'It runs again first. That is expected.',
  'roast-beside': 'In a second pan.',
  'more-of-it': 'There will be more of it.',
  'crumble-in': 'In crumbs.',
  'tip-and-spoon': 'Hot fat: away from the flame.',
  'lower-scrape': 'A mark lower; scrape.',
  'palms-greased': 'Palms greased.',
  'keep-covered': 'Covered, or it dries.',
  'no-stirring': 'Do not stir a boiling syrup.',
  'spits-steam': 'It spits and steams: face back.',
  'low-stir-always': 'Low flame, stir without a break.',
  'scrape-back': 'Grease the tray again.',
  'hot-sieve': 'Hot sweet clings: mind the hands.',
  'do-not-scrape': 'Do not scrape.',
  'taste-after': 'From a cooled spoon: if it tastes burnt, start again.',
  'no-liquid': 'No liquid into a burnt roast.',
  'nothing-sour': 'Nothing sour in; fruit goes in dry, jaggery off the boil.',
  'lift-not-mash': 'Lift and turn, do not mash.',
  'scrape-not-if-brown': 'Where the base is brown, do not scrape.',
}

/** What the cook's own record says of a cause. */
export const RECORD_WORDS = {
  for: 'this cook says so',
  against: 'this cook says otherwise',
  open: 'not recorded',
} as const

/** What cannot be saved. */
export const LOST_WORDS: Readonly<Record<Lost, string>> = {
  'burnt-stays': 'A burnt note cannot be taken out: no liquid in, reuse nothing burnt.',
  'split-stays': 'Split milk stays grainy; the taste is sound.',
  'pasty-stays': 'Shreds that are mashed do not come back: grate it coarser next time.',
  'raw-stays': 'Once it is wet it cannot be roasted further: note it for next time.',
}

/** Slips a cook can own up to. */
export const SLIP_WORDS: Readonly<Record<Slip, string>> = {
  'poured-early': 'Poured too early',
  'liquid-cold': 'Liquid was not hot',
  'flame-too-high': 'Flame was too high',
  'spilt': 'Some was spilt',
}

/** How fast it is taken up. */
export const UPTAKE_WORDS: Readonly<Record<UptakePace, string>> = {
  'quickly': 'quickly',
  'slowly': 'slowly',
  'no-more': 'not any more',
}
