import { isOneOf } from '../../records'
import type { Stage } from './dish'
import { stageOfBase } from './stageOfBase'

/** Liquids that are heated in the other vessel. */
export const HEATED_ROLES = ['sweet-water', 'hot-water', 'sweet-milk', 'hot-milk', 'sweet-juice', 'hot-juice'] as const
export type HeatedRole = (typeof HEATED_ROLES)[number]

/** What a stage is in its dish: the id it is laid out with, a second base's number left out. */
export const STAGE_ROLES = [
  'nuts', 'roast-dry', 'roast', 'paste', 'rain', 'pour', 'take-up', 'swell', 'milk', 'liquid', 'sweeten', 'rub-in',
  'enrich', 'enrich-2', 'enrich-3', 'finish', 'fat-in', 'rest', 'cool', 'thicken', 'syrup', 'soften', 'soften-2',
  'press', 'wait', 'soak', 'drain', 'grind', 'wash-dry', 'roast-whole', 'cool-whole', 'boil-soft', 'puree', 'grate',
  'break', 'melt', 'steep', 'mix', 'spread', 'set', 'roll', 'free-share', 'nuts-in', 'set-apart', 'nuts-last',
  ...HEATED_ROLES,
] as const
export type StageRole = (typeof STAGE_ROLES)[number]

/** A role, or the same got ready for another base of the dish. */
export type StageId = StageRole | `${StageRole}-${number}`

/**
 * The role of a stage.
 *
 * @param stage one of a dish's
 * @returns its role; null for one of an older or a newer version
 */
export function roleOfStage({ id }: Pick<Stage, 'id'>): StageRole | null {
  if (isOneOf(STAGE_ROLES, id)) return id
  const role = stageOfBase(id)
  return isOneOf(STAGE_ROLES, role) ? role : null
}

/**
 * Whether a stage has one of some roles.
 *
 * @param stage one of a dish's
 * @param roles which
 * @returns true where it has
 */
export function isStage(stage: Pick<Stage, 'id'>, ...roles: readonly StageRole[]): boolean {
  const role = roleOfStage(stage)
  return role !== null && roles.includes(role)
}
