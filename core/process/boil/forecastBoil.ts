import { firstBelief } from '../belief/firstBelief'
import { beliefColumns, MEMBER_NAMES } from '../belief/memberValues'
import { FIRE_KINDS } from '../../materials/fire/fireKinds'
import type { Window } from '../../maths/random/window'
import { runEnsemble } from '../ensemble/runEnsemble'
import { SIGN, SIGNS } from '../engine/signs'
import { columnOf, shownWindow } from '../forecast/windowOf'
import { fillNormal } from '../../maths/random/fillNormal'
import { seededRandom } from '../../maths/random/seededRandom'
import type { BoilCheck } from './boilCheck'
import { boilProgram } from './boilProgram'

const MEMBERS = 120
/** Longer than this nobody waits, s. */
const MOST_S = 5400
/** The share that has to boil at all. */
const SHOWN = 0.9

/**
 * When water should boil before anything of this fire is known.
 *
 * @param setUp fire, pan, water, start
 * @returns s from when the pan goes on; null where a tenth of such fires never brings it there in an hour and a half
 */
export function forecastBoil(setUp: Omit<BoilCheck, 'boilS' | 'half' | 'boiledOn' | 'atBoilC'>): Window | null {
  const program = boilProgram({ ...setUp, boilS: MOST_S / 3, half: null, boiledOn: null, atBoilC: null })
  const belief = {
    entries: firstBelief().entries.map(entry =>
      entry.name === 'mainFire' ? { ...entry, spread: FIRE_KINDS[setUp.fire.kind].spread } : entry,
    ),
  }
  const stages = program.stages.map((stage, i) => (i === 1 ? { ...stage, startS: null } : stage))
  const record = runEnsemble(
    { ...program, stages, mostS: MOST_S },
    beliefColumns(belief),
    fillNormal(new Float64Array(MEMBERS * MEMBER_NAMES.length), seededRandom(5)),
  )
  return shownWindow(
    columnOf(record.signs, SIGNS.length, SIGN.boil),
    new Float64Array(MEMBERS).fill(1 / MEMBERS),
    SHOWN,
  )
}
