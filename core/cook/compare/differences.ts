import { itemAt } from '../../maths/table/itemAt'
import { COLOUR_STEPS } from '../../formulation/signs/signIds'
import { mainLine } from '../../formulation/dish/mainLine'
import { mainVessel } from '../../formulation/dish/mainVessel'
import type { BatchRecord, Difference } from './difference'

/** Differences below these are none: share of a weight, s, K, g. */
const SHARE = 0.02
const TIME_S = 15
const ROOM_K = 3
const LEAST_G = 2

/**
 * How one batch differs from another, what was decided first, what came of it after.
 *
 * @param one the batch
 * @param other the one it is compared with
 * @returns differences, in the order a cook would tell them; empty where there is none
 */
export function differences(one: BatchRecord, other: BatchRecord): Difference[] {
  return [...planned(one, other), ...happened(one, other)]
}

function planned(one: BatchRecord, other: BatchRecord): Difference[] {
  const found: Difference[] = []
  const [main, theirs] = [mainVessel(one.plan.dish), mainVessel(other.plan.dish)]
  if (one.plan.dish.id === other.plan.dish.id && one.plan.dish.version !== other.plan.dish.version)
    found.push({ of: 'dish', version: one.plan.dish.version, than: other.plan.dish.version })
  const things = [
    ['pan', one.plan.vessels[main], other.plan.vessels[theirs]],
    ['fire', one.plan.fires[main], other.plan.fires[theirs]],
  ] as const
  for (const [of, is, was] of things) if (is && was && is.id !== was.id) found.push({ of, is: is.name, was: was.name })
  const byG = one.summary.baseG - other.summary.baseG
  if (Math.abs(byG) > Math.max(LEAST_G, SHARE * other.summary.baseG)) found.push({ of: 'base', byG })
  const marks = flameOf(one) - flameOf(other)
  if (one.plan.fires[main]?.id === other.plan.fires[theirs]?.id && marks !== 0 && !Number.isNaN(marks))
    found.push({ of: 'flame', marks })
  found.push(...amounts(one, other))
  if (Math.abs(one.plan.airC - other.plan.airC) >= ROOM_K)
    found.push({ of: 'room', byK: one.plan.airC - other.plan.airC })
  return found
}

/** What went in of everything but the base, by what it is, for each gram of base. */
function perBase({ plan, cook, summary }: BatchRecord): Map<string, number> {
  const shares = new Map<string, number>()
  const add = (ingredient: string, massG: number): void => {
    shares.set(ingredient, (shares.get(ingredient) ?? 0) + massG / Math.max(1e-9, summary.baseG))
  }
  const forgotten = new Set(cook.forgotten.map(one => one.what))
  for (const one of plan.amounts)
    if (one.id !== plan.dish.base && !forgotten.has(one.id)) add(one.ingredient, one.massG)
  for (const change of cook.changes) for (const one of change.what.adds) add(one.ingredient, one.massG)
  return shares
}

function amounts(one: BatchRecord, other: BatchRecord): Difference[] {
  const [mine, theirs] = [perBase(one), perBase(other)]
  return [...new Set([...mine.keys(), ...theirs.keys()])].flatMap((ingredient): Difference[] => {
    const [is, was] = [mine.get(ingredient) ?? 0, theirs.get(ingredient) ?? 0]
    const byG = (is - was) * one.summary.baseG
    const least = Math.max(0.1, SHARE * Math.max(is, was) * one.summary.baseG)
    return Math.abs(byG) > least ? [{ of: 'ingredient', ingredient, byG }] : []
  })
}

/** Place of the flame mark that the last roast stood on, or the first stage. */
function flameOf({ plan, cook }: BatchRecord): number {
  const line = mainLine(plan.dish)
  const roast = Math.max(0, line.findLastIndex(stage => stage.does === 'roast'))
  const stage = itemAt(line, roast)
  const marks = plan.fires[stage.vessel]?.marks.map(one => one.id) ?? []
  const [from, to] = [cook.stageStarts[roast] ?? 0, cook.stageStarts[roast + 1] ?? Infinity]
  const turned = cook.controls
    .filter(
      one => one.what.vessel === stage.vessel && one.what.mark !== undefined && one.timeS <= from + (to - from) / 2,
    )
    .at(-1)
  const at = marks.indexOf(turned?.what.mark ?? plan.flames[stage.id] ?? '')
  return at < 0 ? Number.NaN : at
}

function happened(one: BatchRecord, other: BatchRecord): Difference[] {
  const found: Difference[] = []
  const [is, was] = [one.summary, other.summary]
  if (is.darkestStep !== was.darkestStep && is.darkestStep !== null && was.darkestStep !== null)
    found.push({ of: 'colour', is: is.darkestStep, was: was.darkestStep })
  const apart = (of: 'turn' | 'end' | 'after-turn', mine: number | null, theirs: number | null): void => {
    if (mine !== null && theirs !== null && Math.abs(mine - theirs) >= TIME_S) found.push({ of, byS: mine - theirs })
  }
  const later = (summary: typeof is): number | null =>
    summary.endS === null || summary.keystoneS === null ? null : summary.endS - summary.keystoneS
  apart('turn', is.keystoneS, was.keystoneS)
  apart('after-turn', later(is), later(was))
  if (is.keystoneS === null || was.keystoneS === null) apart('end', is.endS, was.endS)
  const counts = [
    ['added', one.cook.changes.filter(each => each.what.repairs === null).length],
    ['repaired', one.cook.changes.filter(each => each.what.repairs !== null).length],
    ['forgotten', one.cook.forgotten.length],
    ['unstirred', one.cook.unstirred.length],
  ] as const
  for (const [of, times] of counts) if (times > 0) found.push({ of, times })
  if (is.finishedG !== null && was.finishedG !== null) {
    const byG = is.finishedG - was.finishedG * is.baseG / Math.max(1e-9, was.baseG)
    if (Math.abs(byG) > Math.max(LEAST_G, (SHARE / 2) * is.finishedG))
      found.push({ of: 'weight', byG, weighed: is.weighed && was.weighed })
  }
  return found
}

/**
 * Whether a colour step is the darker one.
 *
 * @param is a step
 * @param was another
 * @returns true where `is` is darker
 */
export function darker(is: string, was: string): boolean {
  const place = (step: string): number => COLOUR_STEPS.findIndex(one => one === step)
  return place(is) > place(was)
}
