import type { Stage } from './dish'

/**
 * Whether a stage is the other way round of a pour: what boils stays where it is, and the grain goes to it.
 *
 * @param stage one of the main line
 * @returns true where its liquid stood beside in the very vessel it cooks in
 */
export function rainsIn({ from, vessel }: Pick<Stage, 'from' | 'vessel'>): boolean {
  return from !== undefined && from === vessel
}
