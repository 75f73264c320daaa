import { CoreError } from '../../error'
import type { Family } from './family'
import { OTHER_FAMILIES } from './otherFamilies'
import { SEMOLINA } from './semolina'

/** Every family, in the order they are offered. */
export const FAMILIES: readonly Family[] = [SEMOLINA, ...OTHER_FAMILIES]

/**
 * A base family by its id.
 *
 * @param id such as `semolina`
 * @returns its row of numbers
 * @throws CoreError `unknown-name`
 */
export function familyOf(id: string): Family {
  const family = FAMILIES.find(row => row.id === id)
  if (!family) throw new CoreError('unknown-name', 'familyOf.id', { given: id })
  return family
}
