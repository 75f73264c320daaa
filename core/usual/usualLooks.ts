import type { Lab } from '../colour/lab'
import { labOnPath } from '../colour/labOnPath'
import type { Stage } from '../dish/dish'
import { mainLine } from '../dish/mainLine'
import { browningPath } from '../family/browningPath'
import { familyOf } from '../family/families'
import type { CookPlan } from '../live/plan'

/** Melted fat with nuts in it, before the base goes in (estimate, as in `appearance`). */
const FAT: Lab = { lightness: 87, a: 1, b: 30 }
/** Jaggery and reduced milk darken what they go into, L* (estimates). */
const JAGGERY = -9
const MILK = 4

/** Colour at the start and the end of each main-line stage. */
export interface StageLook { readonly from: Lab, readonly to: Lab }

/**
 * The colours a dish is expected to have stage by stage, from the base's own colour: browning along the path all roasts
 * share, then lighter or darker with what goes in. Estimates.
 *
 * @param plan the dish, and the base's colour where the plan has it
 * @returns one look a main-line stage
 */
export function stageLooks(plan: Pick<CookPlan, 'dish' | 'amounts'>): StageLook[] {
  const family = familyOf(plan.dish.family)
  const raw = plan.amounts.find(one => one.id === plan.dish.base)?.look ?? { ...labOnPath(family.path, family.rawLightness) }
  const { path, stepLightness } = browningPath(raw)
  let there = false
  let now = raw.lightness
  return mainLine(plan.dish).map((stage): StageLook => {
    there ||= stage.adds.some(one => one.ingredient === plan.dish.base)
    if (!there) return { from: FAT, to: FAT }
    const from = labOnPath(path, now)
    now = Math.max(18, after(stage, now, raw, stepLightness, family.wetLift, plan))
    return { from, to: labOnPath(path, now) }
  })
}

function after(stage: Stage, now: number, raw: Lab, steps: Readonly<Record<string, number>>, wetLift: number, plan: Pick<CookPlan, 'dish'>): number {
  const family = familyOf(plan.dish.family)
  const part = (id: string) => plan.dish.ingredients.find(one => one.id === id)?.part
  const adds = [stage, ...plan.dish.stages.filter(one => one.meets?.stage === stage.id)].flatMap(one => one.adds).map(one => part(one.ingredient))
  const brings = (adds.includes('jaggery') ? JAGGERY : 0) + (adds.includes('milk') ? MILK : 0)
  switch (stage.does) {
    case 'roast': return Math.min(now, roasted(stage, now, raw, steps))
    case 'pour': return now + wetLift + brings
    case 'cook-down': return now + brings + (family.fresh ? family.doneDarkening * 0.4 : -1)
    case 'sweeten': return now + brings - 1.5
    case 'enrich': return now + family.doneDarkening / 2
    default: return now
  }
}

function roasted(stage: Stage, now: number, raw: Lab, steps: Readonly<Record<string, number>>): number {
  const sign = 'sign' in stage.until ? stage.until.sign : ''
  return steps[sign] ?? (sign === 'aroma' || sign === 'crumbly' ? raw.lightness - 2 : now - 2)
}
