import { contentsNow, dryG } from '../../process/program/contentsNow'
import type { PanContents } from '../../materials/composition/panContents'
import { mainLine } from '../../formulation/dish/mainLine'
import { sideStages } from '../../formulation/dish/sideStages'
import { familyOf } from '../../formulation/family/families'
import { DENSITY } from '../../materials/composition/partDensity'
import type { LiveCook } from '../../record/marks/liveCook'
import type { CookPlan } from '../../record/plan/plan'
import { contentVolume } from '../../formulation/yield/contents'

/** A finished sweet as tray, shelf and label take it. */
export interface FinishedMass {
  readonly massG: number
  readonly contents: PanContents
  /** The part of the sugar that is glucose and fructose, 0 to 1. */
  readonly invertShare: number
  readonly volumeMl: number
  /** g/ml */
  readonly density: number
}

/**
 * What a finished cook has made: what went in, with as much water as its finished weight leaves; and what is stirred in
 * after the fire, such as nuts that a share was to be free of.
 *
 * @param plan the plan
 * @param cook the replayed cook; every stage counts as done
 * @param finishedG its weight off the fire, weighed or forecast, g
 * @returns masses and volume; water is never below nothing
 */
export function finishedMass(plan: CookPlan, cook: LiveCook, finishedG: number): FinishedMass {
  const last = mainLine(plan.dish).length - 1
  const dry = contentsNow(plan, { ...cook, stage: last }, { waterG: 0 })
  const contents = stirredIn(plan, { ...dry, waterG: Math.max(0, finishedG - dryG(dry)) })
  const invert = plan.amounts.reduce((sum, one) => sum + one.massG * (one.composition.invert ?? 0), 0)
  const sugar = plan.amounts.reduce((sum, one) => sum + one.massG * one.composition.sugar, 0)
  const { waterG, solidsG, fatG, sugarG, nutsG } = contents
  const volumeMl = contentVolume(
    { water: waterG, solids: solidsG, fat: fatG, sugar: sugarG, nuts: nutsG },
    familyOf(plan.dish.family).fresh,
    1,
  )
  const massG = dryG(contents) + waterG
  return {
    massG,
    contents,
    invertShare: sugar > 0 ? Math.min(1, invert / sugar) : 0,
    volumeMl: Math.max(volumeMl, massG / DENSITY.sugar),
    density: massG / Math.max(1, volumeMl),
  }
}

/** What a vessel beside the pan holds that is never poured over at the fire: nuts fried last, with their fat. */
function stirredIn(plan: CookPlan, contents: PanContents): PanContents {
  const poured = new Set(mainLine(plan.dish).map(stage => stage.from))
  const adds = sideStages(plan.dish).filter(stage => !poured.has(stage.vessel)).flatMap(stage => stage.adds)
  return adds.reduce((all, { ingredient, share }) => {
    const amount = plan.amounts.find(one => one.id === ingredient)
    if (!amount) return all
    const { composition } = amount
    const massG = amount.massG * share
    return {
      waterG: all.waterG + massG * composition.water,
      solidsG: all.solidsG + massG * composition.solids,
      fatG: all.fatG + massG * composition.fat,
      sugarG: all.sugarG + massG * composition.sugar,
      nutsG: all.nutsG + massG * composition.nuts,
    }
  }, contents)
}
