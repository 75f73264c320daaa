import type { Dish, Stage } from './dish'

/** A stage that runs beside the main line and has to be ready at one of its boundaries. */
export type SideStage = Stage & { readonly meets: NonNullable<Stage['meets']> }

/**
 * The stages that run in other vessels beside the main line.
 *
 * @param dish a dish
 * @returns its stages that meet a boundary of the main line
 */
export function sideStages(dish: Dish): readonly SideStage[] {
  return dish.stages.filter((stage): stage is SideStage => stage.meets !== undefined)
}
