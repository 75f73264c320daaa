import type { Literal } from '../solver/literal'
import type { Reheat } from './modelParts'
import type { Use } from '../solver/timetable'

/**
 * Heating a liquid again as the use of a resource.
 *
 * @param reheat which
 * @param demand how much of the resource
 * @param literal under which it is there
 */
export function reheatUse(reheat: Reheat, demand: number, literal: Literal): Use {
  return {
    start: reheat.variable,
    startPlus: 0,
    end: reheat.variable,
    endPlus: reheat.length,
    length: reheat.length,
    demand,
    ifSide: literal.side,
    ifValue: literal.value,
  }
}
