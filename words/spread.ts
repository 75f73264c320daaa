import { wordFor } from './wordFor'
import { stageOfBase } from '../core/formulation/dish/stageOfBase'
import type { OfferKind } from '../contracts/planner'
import type { DayTroubleCode } from '../core/day/problem/checkDay'
import type { Clash, ClashKind } from '../core/day/planning/clashOf'
import type { ServedHow, VesselKind } from '../core/day/problem/day'
import type { Shareable } from '../core/day/spread/shareable'
import { besideText, stageName } from './stages'

/** Steps of the day that are no stages of a dish. */
const STEPS: Readonly<Record<string, string>> = {
  'wash': 'wash, soak',
  'open': 'open',
  'cut': 'cut',
  'chill': 'into the cold',
  'take-out': 'out of the cold',
  'warm-through': 'warm through, 75 °C',
  'khoya': 'thicken milk',
  'reheat': 'heat again',
  'grate-2': 'grate second lot',
  'nuts': 'nuts',
}

/** Short name of a step. */
export function stepName(id: string): string {
  return STEPS[id] ?? STEPS[stageOfBase(id)] ?? besideText(id) ?? stageName({ id, does: 'cook-down' })
}

/** How a dish is served. */
export const SERVING_WORDS: Readonly<Record<ServedHow, string>> = {
  hot: 'hot',
  warm: 'warm',
  room: 'at room warmth',
  cold: 'cold',
}

/** Kinds of vessels. */
export const VESSEL_WORDS: Readonly<Record<VesselKind, string>> = {
  heavy: 'heavy pan',
  heavyL: 'large heavy pan',
  pot: 'pot',
  ppan: 'pressure pan',
  grinder: 'grinder',
  tray: 'tray',
  cold: 'shelf in the cold',
}

/** What a wait is for. */
export const WAIT_WORDS: Readonly<Record<string, string>> = {
  'soak': 'soaks',
  'drain': 'soaks, drains',
  'wash-dry': 'dries',
  'cool-whole': 'cools',
  'cool': 'cools',
  'set': 'sets',
  'milk': 'cools',
  'rest': 'rests',
  'cold': 'stands cold',
  'stands': 'cools, two hours at most',
}

/** Why a day cannot be planned: what happened, what is safe, what to do. */
export const DAY_TROUBLE_WORDS: Readonly<Record<DayTroubleCode, (about: string) => string>> = {
  'meal-in-past': about => `The time of ${about} has passed already. The day is kept; give it a later time.`,
  'no-hands': () => 'Nobody is there to cook. The day is kept; add somebody under Hands.',
  'no-fire': () => 'There is no fire. The day is kept; add one under Kitchen of the day.',
  'no-vessel': about =>
    `A dish needs a ${wordFor(VESSEL_WORDS, about) ?? about}, and there is none. The day is kept; add or borrow one under Kitchen of the day, or take the dish off.`,
  'step-length': about =>
    `The step ${about} lasts no minute or more than a day and a half. The day is kept; change the amount of its dish.`,
  'circular-waits': () => 'Some steps wait for one another in a circle. The day is kept; take the last change back.',
  'unknown-step': about => `The step ${about} is not there any more. The day is kept; take what was wished for it off.`,
  'unknown-meal': about => `${about} belongs to no meal. The day is kept; give it one.`,
  'nobody-may': about => `Nobody may do ${about}. The day is kept; let somebody stand at the fire under Hands.`,
  'too-many': about =>
    `${about} dishes are more than one day bears; sixty are planned at most. The day is kept; take some off.`,
  'twice': about => `${about} stands on this day twice under one name. The day is kept; give one of them another name.`,
  'reserved-step': about =>
    `${about} has a name that plans use themselves. The day is kept; call that step something else.`,
  'nothing-to-cook': () => 'Nothing is on this day yet. Put a dish on it.',
}

/** What of a day stands against the rest of it, as one of a list. */
const CLASH_WORDS: Readonly<Record<ClashKind, (about: string, named: (id: string) => string) => string>> = {
  time: () => 'the end of the day',
  freshness: () => 'how long dishes may stand ready before their meal',
  keeping: (about, named) => `how long ${named(about)} may stand out of the cold: it perishes`,
  washing: () => 'the minutes in which vessels are washed',
  waits: (about, named) => `how long ${named(about)} bears to wait between its steps`,
  shared: (about, named) =>
    `what is made once for two: ${about
      .split(' ')
      .map(step => clashStep(step, named))
      .join(' and ')}`,
  vessel: about => `how many of these there are: ${wordFor(VESSEL_WORDS, about) ?? about}`,
  fires: () => 'how many fires there are',
  hands: () => 'how many pairs of hands there are',
  who: (about, named) => `who may stand at the fire for ${named(about)}`,
  away: about =>
    about === 'sleep'
      ? 'the hours of sleep'
      : about === 'away'
        ? 'the hours in which somebody is away'
        : `the hours in which somebody is away (${about})`,
  wish: (about, named) => `the time that was wished for ${clashStep(about, named)}`,
}

function clashStep(step: string, named: (id: string) => string): string {
  const at = step.lastIndexOf('.')
  return `${stepName(step.slice(at + 1))} of ${named(step.slice(0, at))}`
}

/**
 * What cannot be had together, and what to do. Where more than this stands in the way, that is said once one of it is
 * given up.
 *
 * @param clash what stands against what
 * @param named names of dishes by their ids
 */
export function clashText(clash: readonly Clash[], named: (id: string) => string): string {
  const all = clash.map(one => CLASH_WORDS[one.kind](one.about, named))
  if (all.length === 0) return 'The steps by themselves cannot be done. The day is kept; take the last change back.'
  if (all.length === 1) return `What stands against this day: ${all[0]}. The day is kept; change that.`
  return `These cannot be had together: ${all.join('; ')}. The day is kept; give one of them up.`
}

/** What lets a wish go that stands in the way. */
export function letGoText(step: string, named: (id: string) => string): string {
  return `Let go of the time for ${clashStep(step, named)}`
}

/** What keeps a dish that perishes until its meal. */
export function chillText(name: string): string {
  return `Make ${name} sooner, into the cold, warm it through before the meal`
}

/** What can be made once for two dishes. */
export const SHARE_WORDS: Readonly<Record<Shareable['kind'], (a: string, b: string) => string>> = {
  nuts: (a, b) => `Nuts are fried once for ${a} and ${b}`,
  jaggery: (a, b) => `Jaggery is melted once for ${a} and ${b}`,
  thickened: (a, b) => `Milk is thickened once for ${a} and ${b}`,
  ground: (a, b) => `Lentils are washed and ground once for ${a} and ${b}`,
}

/** What one more of something does for the day. */
export const OFFER_WORDS: Readonly<Record<OfferKind, string>> = {
  fire: 'One more fire',
  hands: 'One more pair of hands',
  heavy: 'A second large heavy pan, borrowed',
  pot: 'One more pot',
  ppan: 'One more pressure pan',
  grinder: 'One more grinder',
  tray: 'One more tray',
  cold: 'One more shelf in the cold',
  chilled: 'What perishes made sooner, kept in the cold and warmed through once before the meal',
  sooner: 'Beginning ten hours sooner, such as soaking tonight',
}

/** What a repair could not save. */
export const BROKEN_WORDS: Readonly<
  Record<'late' | 'waits-long' | 'stands-long' | 'cold-pour' | 'lacking', (about: string, minutes: string) => string>
> = {
  'late': (about, minutes) =>
    `${about} will be ${minutes} late as things stand. Nothing else was moved more than it must be.`,
  'waits-long': (about, minutes) =>
    `${about} waits ${minutes} longer than it bears between two steps: take it off the flame meanwhile.`,
  'stands-long': (about, minutes) =>
    `${about} would stand out of the cold ${minutes} longer than it may: into the cold with it, warmed through once before the meal, or served sooner.`,
  'cold-pour': (about, minutes) => `The liquid for ${about} stands ${minutes} too long: heat it again before the pour.`,
  'lacking': about => `${about} finds no free fire, pan or hands for a step. Borrow one, or let another dish wait.`,
}

/** Minutes as hours and minutes, such as `1 h 05`. */
export function spanText(minutes: number): string {
  const whole = Math.round(minutes)
  if (whole < 60) return `${whole} min`
  return whole % 60 === 0 ? `${whole / 60} h` : `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`
}
