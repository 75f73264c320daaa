import { itemAt } from '../../maths/table/itemAt'
import { addToVessel } from './addToVessel'
import { FAT } from './layout'
import { pourInto } from './pourInto'
import type { ProgramChange } from './program'
import type { Run } from './run'

/**
 * Changes what is in the main line's vessel at a known moment: additions at the room's temperature, fat lifted off, and
 * the rest of another vessel.
 *
 * @param run the run, changed in place
 * @param change what goes in and what comes out
 */
export function changePan(run: Run, change: ProgramChange): void {
  const { state } = run
  for (const addition of change.adds) addToVessel(state, addition, run.program.vessels[0].airC, run.member)
  if (change.liftsFatG > 0) state[FAT] = Math.max(0, state[FAT] - change.liftsFatG)
  if (change.from !== null) pourInto(itemAt(run.beside, change.from).state, state)
}
