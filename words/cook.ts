import type { CautionCode, CueCode } from '../core/live/cue'

/** The one thing to do now, by code: short enough for one glance. */
export const CUES: Readonly<Record<CueCode, string>> = {
  'not-lit': 'Ready when you are',
  'fry': 'Fry the nuts, keep turning',
  'take-out': 'Nuts out, semolina in',
  'roast': 'Keep it moving, low flame',
  'turn-down': 'Turn the flame down a mark',
  'light-other': 'Put the sweet water on',
  'pour-soon': 'Watch the colour',
  'pour-now': 'Flame off, then pour',
  'pouring': 'A ladle at a time, at the side',
  'cook-down': 'Middle flame, keep stirring',
  'enrich-soon': 'Ghee and nuts in',
  'enrich': 'Stir till it leaves the sides',
  'off-now': 'Off the fire, lid on',
  'rest': 'Let it rest under the lid',
  'rested': 'Rested: it is ready',
  'finished': 'Done',
}

/** Cautions: short, firm, at the step where a hand could be burned. */
export const CAUTIONS: Readonly<Record<CautionCode, { readonly title: string, readonly text: string }>> = {
  'hot-fat': { title: 'Hot fat', text: 'Never leave it alone. A lid smothers a flame; no water on burning fat.' },
  'pour': { title: 'When you pour', text: 'Flame off. Long ladle, little by little at the side, face back, children away: it erupts.' },
  'spitting': { title: 'It spits', text: 'Long spoon. Lower the flame if it jumps.' },
  'hot-sweet': { title: 'It clings and burns', text: 'Hot sweet burns deeper than water. No fingers before it has cooled.' },
}

/** Signs as a cook says them: what is waited for, and what is marked. */
export const SIGN_WORDS: Readonly<Record<string, { readonly waited: string, readonly marked: string, readonly short: string }>> = {
  'nuts-golden': { waited: 'nuts golden', marked: 'Nuts are golden', short: 'nuts' },
  'aroma': { waited: 'nutty smell', marked: 'I smell it', short: 'smell' },
  'pale': { waited: 'first colour', marked: 'First colour', short: 'colour' },
  'golden': { waited: 'golden', marked: 'Golden', short: 'golden' },
  'deep-golden': { waited: 'deep golden', marked: 'Deep golden', short: 'deep' },
  'brown': { waited: 'brown', marked: 'Brown', short: 'brown' },
  'burnt': { waited: 'burnt', marked: 'Burnt', short: 'burnt' },
  'boil': { waited: 'the boil', marked: 'It boils', short: 'boil' },
  'taken-up': { waited: 'liquid taken up', marked: 'It is taken up', short: 'taken up' },
  'leaves-sides': { waited: 'leaves the sides', marked: 'It leaves the sides', short: 'end' },
}

/** Colour steps to choose from. */
export const STEP_WORDS: Readonly<Record<string, string>> = {
  'pale': 'pale', 'golden': 'golden', 'deep-golden': 'deep golden', 'brown': 'brown', 'burnt': 'burnt',
}

/** Big actions by code. */
export const ACTION_WORDS: Readonly<Record<string, string>> = {
  'start': 'Light the fire',
  'looks': 'It looks like this',
  'begin.roast': 'Nuts out, grain in',
  'begin.pour': 'I am pouring',
  'begin.cook-down': 'Poured, flame back',
  'begin.enrich': 'Ghee and nuts are in',
  'begin.rest': 'Off the fire',
  'finish': 'Finish',
  'light.pot': 'Sweet water is on',
  'sign.nuts-golden': 'Nuts are golden',
  'sign.aroma': 'I smell it',
  'sign.taken-up': 'It is taken up',
  'sign.leaves-sides': 'It leaves the sides',
}

/** Names of the other vessel's content by vessel id. */
export const VESSEL_WORDS: Readonly<Record<string, string>> = { pan: 'the pan', pot: 'sweet water' }

/** What is being done, by stage. */
export const DOING_WORDS: Readonly<Record<string, string>> = {
  'fry': 'fry nuts', 'roast': 'roast', 'heat': 'heat', 'pour': 'pour', 'cook-down': 'take up', 'enrich': 'enrich', 'rest': 'rest',
}

/** Faults to choose from at the end. */
export const FAULT_WORDS: Readonly<Record<string, string>> = {
  'burnt': 'burnt note', 'raw-taste': 'raw taste', 'gluey': 'gluey', 'hard-grain': 'hard grain', 'lumpy': 'lumpy',
  'runny': 'runny', 'dry': 'dry', 'greasy': 'greasy', 'too-sweet': 'too sweet', 'not-sweet': 'not sweet enough',
}

/** Kinds of moments in the ledger and in taking back. */
export const KIND_WORDS: Readonly<Record<string, string>> = {
  'cook.started': 'fire lit', 'stage.began': 'began', 'sign.seen': 'marked', 'looks.like': 'looked', 'flame.changed': 'flame',
  'lid.changed': 'lid', 'vessel.lit': 'put on', 'off.fire': 'off the fire', 'weighed': 'weighed', 'temperature': 'temperature',
  'note': 'note', 'cook.finished': 'finished', 'outcome': 'how it turned out',
}
