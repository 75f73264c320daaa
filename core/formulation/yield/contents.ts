import { keysOf } from '../../records'
import { itemAt } from '../../maths/table/itemAt'
import type { Dish, Stage } from '../dish/dish'
import { mainLine } from '../dish/mainLine'
import { familyOf } from '../family/families'
import { DENSITY } from '../../materials/composition/partDensity'
import type { Composition } from '../../materials/composition/composition'

/** What is in the pan at one moment, g. */
export type Content = Record<Exclude<keyof Composition, 'invert'>, number>

/** A dish with its ingredients weighed out. */
export interface WeighedDish {
  readonly dish: Dish
  readonly amounts: readonly { readonly id: string, readonly massG: number, readonly composition: Composition }[]
}

/** What one stage begins and ends with in the pan. */
export interface StageContent { readonly from: Content, readonly to: Content }

/** Stages in which water leaves, and how much of it for each second, relative to one another (estimates). */
const DRIES: Readonly<Partial<Record<Stage['does'], number>>> = {
  'cook-down': 1,
  'sweeten': 0.7,
  'enrich': 0.5,
  'roast': 0.6,
  'boil-syrup': 1,
  'pour': 0.2,
}

const EMPTY: Content = { water: 0, solids: 0, fat: 0, sugar: 0, nuts: 0 }

/**
 * What is in the pan stage by stage: what goes in at its start, and the water that leaves spread over the stages that
 * dry it, so that at the end the dish's own share of it is kept.
 *
 * @param plan amounts, and the dish with its stages
 * @param secondsOf length of each main-line stage, s
 * @returns one content a stage; what sits in another vessel comes over at the pour
 */
export function stageContents(plan: WeighedDish, secondsOf: readonly number[]): StageContent[] {
  const line = mainLine(plan.dish)
  const brings = line.map(stage => broughtBy(plan, stage))
  const leaving = lossShares(plan, line, brings, secondsOf)
  const now: Content = { ...EMPTY }
  return line.map((stage, k) => {
    for (const part of keysOf(EMPTY)) now[part] += itemAt(brings, k)[part]
    const from = { ...now }
    now.water = Math.max(0, now.water - itemAt(leaving, k))
    const to = { ...now }
    if (stage.takesOut.length > 0) now.nuts = 0
    return { from, to }
  })
}

/**
 * Water that each stage drives off, g: all of what does not stay, in proportion to time and to what is there to leave.
 */
function lossShares(
  plan: Pick<WeighedDish, 'dish'>,
  line: readonly Stage[],
  brings: readonly Content[],
  secondsOf: readonly number[],
): number[] {
  const water = brings.reduce((sum, one) => sum + one.water, 0)
  const { fresh } = familyOf(plan.dish.family)
  const lost = water * (1 - plan.dish.kept.share)
  let there = 0
  const weights = line.map((stage, k) => {
    there += itemAt(brings, k).water
    const roastsWet = stage.does === 'roast' && there < water * 0.2 && !fresh ? 0.3 : 1
    return there > 0 ? (DRIES[stage.does] ?? 0) * itemAt(secondsOf, k) * roastsWet * there : 0
  })
  const all = weights.reduce((sum, weight) => sum + weight, 0)
  return weights.map(weight => (all > 0 ? (lost * weight) / all : 0))
}

function broughtBy(plan: WeighedDish, stage: Stage): Content {
  const beside =
    stage.from === undefined
      ? []
      : plan.dish.stages.filter(one => one.meets?.stage === stage.id && one.vessel === stage.from)
  const sum: Content = { ...EMPTY }
  for (const { ingredient, share } of [stage, ...beside].flatMap(one => one.adds)) {
    const amount = plan.amounts.find(one => one.id === ingredient)
    if (!amount) continue
    for (const part of keysOf(EMPTY))
      sum[part] += amount.massG * share * amount.composition[part]
  }
  return sum
}

/**
 * The weight of a content.
 *
 * @param content g
 * @returns g
 */
export function contentMass(content: Content): number {
  return content.water + content.solids + content.fat + content.sugar + content.nuts
}

/**
 * Share of air between grated pieces before and after they soften (estimates: bulk porosity falls as they collapse).
 */
const AIR = { raw: 0.5, soft: 0.12 } as const

/**
 * The volume of a content: its parts side by side, and for fresh pieces the air between them.
 *
 * @param content g
 * @param fresh true for vegetables, fruit and coconut
 * @param soft 0 raw to 1 softened
 * @returns ml
 */
export function contentVolume(content: Content, fresh: boolean, soft: number): number {
  const plain = (keysOf(DENSITY)).reduce(
    (sum, part) => sum + content[part] / DENSITY[part],
    0,
  )
  return fresh ? plain / (1 - (AIR.raw + (AIR.soft - AIR.raw) * soft)) : plain
}
