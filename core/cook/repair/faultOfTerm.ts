import type { TermCode } from '../../formulation/signs/terms'
import type { Fault } from '../remedies/repair'

/** The fault that a perception may be the mark of, where something can be done (craft, sections 5 and 6). */
export const FAULT_OF_TERM: Readonly<Partial<Record<TermCode, Fault>>> = {
  'acrid': 'scorched',
  'dark-flecks': 'scorched',
  'hard-centre': 'hard-grain',
  'lumps': 'lumpy',
  'pasty': 'pasty',
  'milk-splits': 'milk-split',
  'catches': 'milk-catches',
  'crumbles': 'balls-crumble',
  'slumps': 'balls-flatten',
}
