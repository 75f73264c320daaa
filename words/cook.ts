import type { Form } from '../core/formulation/dish/forms'
import type { Stage } from '../core/formulation/dish/dish'
import { mainLine } from '../core/formulation/dish/mainLine'
import type { Cue, CueCode } from '../core/cook/guidance/cue'
import type { CautionCode } from '../core/formulation/dish/stageCodes'
import type { CookPlan } from '../core/record/plan/plan'
import { clockText } from './clockText'
import { planMarkText } from './flames'
import { lateCueText } from './late'
import { besideText, DISH_VESSEL_WORDS, stageBegunText, stageBeginText, stageCueText, stageName } from './stages'
import type { ColourStep, SignId } from '../core/formulation/signs/signIds'
import { wordFor } from './wordFor'
import { isStage } from '../core/formulation/dish/stageRole'
import type { PlainAction } from '../core/cook/guidance/actions'

/** The one thing to do now, by code: short enough for one glance. */
export const CUES: Readonly<Record<CueCode, string>> = {
  'not-lit': 'Ready when you are',
  'fry': 'Fry the nuts, keep turning',
  'take-out': 'Nuts out, base in',
  'roast': 'Keep it moving, low flame',
  'turn-down': 'Turn the flame down a mark',
  'light-other': 'Put the other vessel on',
  'pour-soon': 'Watch the colour',
  'pour-now': 'Flame off, then pour',
  'rain-now': 'Out of the pan, then rain it in',
  'raining': 'A handful at a time, stir on',
  'pouring': 'A ladle at a time, at the side',
  'burnt': 'Burnt: off the fire, start anew',
  'pour-on': 'It takes it up: next ladle',
  'pour-less': 'Slower now: small ladles',
  'pour-stop': 'Stop pouring, keep the rest hot',
  'flame-back': 'Flame back to middle now',
  'still-hard': 'Hard centre: lid on, low',
  'cook-down': 'Middle flame, keep stirring',
  'enrich-soon': 'Last additions in',
  'enrich': 'Stir till it leaves the sides',
  'off-now': 'Off the fire, lid on',
  'rest': 'Let it rest under the lid',
  'rested': 'Rested: it is ready',
  'watch': 'Watch the colour',
  'work': 'Keep stirring',
  'next': 'Ready: go on',
  'late': 'Past its window: look now',
  'asked': 'Did you go on?',
  'finished': 'Done',
}

/** Cautions: short, firm, at the step where a hand could be burned. */
export const CAUTIONS: Readonly<Record<CautionCode, { readonly title: string, readonly text: string }>> = {
  'hot-fat': { title: 'Hot fat', text: 'Never leave it alone. A lid smothers a flame; no water on burning fat.' },
  'pour': {
    title: 'When you pour',
    text: 'Flame off. Long ladle, little by little at the side, face back, children away: it erupts.',
  },
  'splashes': {
    title: 'Boiling liquid splashes',
    text: 'Handful low over the edge, face back, sleeves down: it bubbles up as grain goes in.',
  },
  'spitting': { title: 'It spits', text: 'Long spoon. Lower the flame if it jumps.' },
  'syrup': { title: 'Syrup burns deep', text: 'It clings. Test a drop between cool spoons, never with fingers.' },
  'scald': {
    title: 'Steam scalds',
    text: 'Lid away from you, handle turned in. Milk rises all at once: do not leave it.',
  },
  'two-hours': {
    title: 'It perishes',
    text: 'Into the cold within two hours of the fire, one in a hot room. Warmed through once, to 75 °C.',
  },
  'pressure': {
    title: 'Pressure pan, as its maker says',
    text: 'A cup of liquid at least. Two thirds full at most, half for milk and pulses. It opens by itself.',
  },
  'grinder': { title: 'Grinder', text: 'Hot food builds pressure under a lid: cool it first.' },
  'allergen': {
    title: 'Allergens',
    text: 'Free share first, own spoon and bowl: a shared ladle carries it. A shared pan is not allergen-free.',
  },
  'smoke': {
    title: 'Near its smoke point',
    text: 'A mark lower here. If the fat smokes: flame off, lid at hand, begin with fresh fat.',
  },
  'scorch': {
    title: 'Near scorching',
    text: 'A mark lower here, and keep it moving: dry flour and sugar burn at once.',
  },
  'dry-pan': {
    title: 'Pan too hot',
    text: 'Never dry or empty on the flame. A coated pan gives off fumes: air the room, flame off.',
  },
  'hot-sweet': {
    title: 'It clings and burns',
    text: 'Hot sweet burns deeper than water. No fingers before it has cooled.',
  },
}

/** Signs as a cook says them: what is waited for, and what is marked. */
export const SIGN_WORDS: Readonly<
  Record<SignId, { readonly waited: string, readonly marked: string, readonly short: string }>
> = {
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
  'crumbly': { waited: 'crumbs', marked: 'It is crumbly', short: 'crumbs' },
  'loosened': { waited: 'loosens and flows', marked: 'It flows', short: 'flows' },
  'halved': { waited: 'volume halved', marked: 'It has halved', short: 'halved' },
  'dry': { waited: 'no water left', marked: 'It is dry', short: 'dry' },
  'milk-taken-up': { waited: 'milk taken up', marked: 'Milk is taken up', short: 'milk in' },
  'tightened': { waited: 'tightened again', marked: 'It has tightened', short: 'tight' },
  'strength': { waited: 'syrup at strength', marked: 'Syrup is right', short: 'syrup' },
  'thickened': { waited: 'thickened', marked: 'It has thickened', short: 'thick' },
  'one-mass': { waited: 'moves as one mass', marked: 'It is one mass', short: 'end' },
  'rolls': { waited: 'rolls into a ball', marked: 'It rolls clean', short: 'end' },
  'opened': { waited: 'opened by itself', marked: 'It has opened', short: 'open' },
  'hand-warm': { waited: 'hand-warm', marked: 'It is hand-warm', short: 'warm' },
  'melted': { waited: 'melted', marked: 'It has melted', short: 'melted' },
  'fat-shows': { waited: 'fat shows', marked: 'The fat shows', short: 'fat' },
  'flecks': { waited: 'dark flecks show', marked: 'Dark flecks', short: 'flecks' },
}

/** Colour steps to choose from. */
export const STEP_WORDS: Readonly<Record<ColourStep, string>> = {
  'pale': 'pale', 'golden': 'golden', 'deep-golden': 'deep golden', 'brown': 'brown', 'burnt': 'burnt',
}

/** Big actions by code. */
export const ACTION_WORDS: Readonly<Record<PlainAction, string>> = {
  'start': 'Light the fire',
  'looks': 'It looks like this',
  'finish': 'Finish',
  'release': 'Release heard',
  'uptake.quickly': 'Taken up fast: more',
  'uptake.slowly': 'Taken up slowly',
  'uptake.no-more': 'No longer taken up',
  'asked-not': 'Not yet',
}

/** What is being done, by stage. */
export const DOING_WORDS: Readonly<Record<Stage['does'], string>> = {
  'prepare': 'get ready',
  'melt': 'melt',
  'boil-syrup': 'boil the syrup',
  'press': 'pressure',
  'wait': 'wait',
  'sweeten': 'sweeten',
  'cool': 'cool',
  'set': 'set',
  'shape': 'shape',
  'fry': 'fry nuts',
  'roast': 'roast',
  'heat': 'heat',
  'pour': 'pour',
  'cook-down': 'take up',
  'enrich': 'enrich',
  'rest': 'rest',
}

/**
 * What a big action says.
 *
 * @param code of the action
 * @param plan whose stages it may name
 * @returns a few words
 */
export function actionText(code: string, plan: Pick<CookPlan, 'dish' | 'fires'>): string {
  const known = wordFor(ACTION_WORDS, code)
  if (known) return known
  const [kind, id = ''] = code.split('.')
  if (kind === 'turn') return `Flame is ${id === 'off' ? 'off' : `on ${planMarkText(plan, id)}`}`
  if (kind === 'asked') return 'Yes, about then'
  if (kind === 'ready') return readyText(plan, id)
  if (kind === 'sign') return wordFor(SIGN_WORDS, id)?.marked ?? id
  const stage = plan.dish.stages.find(one => one.id === id)
  if (kind === 'light') return `${upper(besideText(id) ?? id)} ${id === 'nuts-last' ? 'are' : 'is'} on`
  return stage ? stageBeginText(stage) : code
}

/**
 * The one thing to do now.
 *
 * @param cue what the moment asks for
 * @param plan whose stages it may name
 * @param stage the running stage, or null before the start
 * @returns short enough for one glance
 */
export function cueText(cue: Cue, plan: Pick<CookPlan, 'dish' | 'fires'>, stage: Stage | null): string {
  if (cue.code === 'asked' && cue.asks) {
    const asked = plan.dish.stages.find(one => one.id === cue.asks?.stage)
    return `${asked ? stageBegunText(asked) : 'Finished'} at about ${clockText(cue.asks.atS)}?`
  }
  if (cue.code === 'late' && cue.late) {
    const late = plan.dish.stages.find(one => one.id === cue.late?.stage)
    return late ? lateCueText(cue.late, late) : CUES.late
  }
  if ((cue.code === 'work' || (cue.code === 'roast' && !(stage && isStage(stage, 'roast')))) && stage)
    return stageCueText(stage)
  if (cue.code === 'turn-down' && cue.mark) return `Turn the flame down to ${planMarkText(plan, cue.mark)}`
  if (cue.code === 'light-other') {
    const beside = plan.dish.stages.find(one => one.meets && one.vessel === cue.vessel)
    return beside ? `Put the ${besideText(beside.id) ?? 'other vessel'} on` : CUES[cue.code]
  }
  if (cue.code === 'next' && stage) {
    const line = mainLine(plan.dish)
    const next = line[line.findIndex(one => one.id === stage.id) + 1]
    return next ? `Ready. Now: ${stageName(next)}` : 'Ready: off the fire'
  }
  return CUES[cue.code]
}

/** What says that a vessel beside the pan is ready. */
function readyText(plan: Pick<CookPlan, 'dish'>, id: string): string {
  const stage = plan.dish.stages.find(one => one.id === id)
  const sign = stage && 'sign' in stage.until ? stage.until.sign : ''
  return sign === 'boil' ? `${upper(besideText(id) ?? 'it')} boils` : wordFor(SIGN_WORDS, sign)?.marked ?? 'It is ready'
}

const upper = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

/**
 * What stands in a vessel of a dish, as it is called at the fire.
 *
 * @param plan whose vessel it is
 * @param vessel id
 * @returns such as `sweet water`, `the pan`
 */
export function vesselText(plan: Pick<CookPlan, 'dish'>, vessel: string): string {
  const beside = plan.dish.stages.find(one => one.meets && one.vessel === vessel)
  return (beside ? besideText(beside.id) : undefined) ?? `the ${DISH_VESSEL_WORDS[vessel] ?? vessel}`
}

/** How the end is known, by what is made. */
export const END_WORDS: Readonly<Record<Form, string>> = {
  soft: 'No puddle. Leaves the sides. Fat at the edge. Moves as one.',
  slab: 'Leaves the base, moves as one mass; a cooled pinch rolls and does not stick.',
  balls: 'Holds when pressed in the palm, does not stick.',
}
