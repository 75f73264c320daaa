const SECOND = /-\d$/

/**
 * Which base a stage before the fire gets ready, by the end of its id.
 *
 * @param id of the stage
 * @returns such as `-2` for a second base that has its own way; empty for the first
 */
export function baseSuffix(id: string): string {
  return SECOND.exec(id)?.[0] ?? ''
}

/**
 * What is done in a stage, whichever base it is done to.
 *
 * @param id of the stage
 * @returns its id without the base's, such as `soak` of `soak-2`
 */
export function stageOfBase(id: string): string {
  return id.replace(SECOND, '')
}
