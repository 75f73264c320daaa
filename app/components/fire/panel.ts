import type { Fire } from '../../composables/fire'
import type { CookPlan } from '../../../core/record/plan/plan'
import type { AnyMark } from '../../../core/record/marks/kinds'

/** What a panel beside the arch is drawn from. */
export interface FirePanel {
  /** State of the fire screen. */
  readonly fire: Fire
  /** The plan of the cook. */
  readonly plan: CookPlan
}

/** What a panel tells: something was marked. */
export interface Marks {
  mark: [mark: AnyMark]
}
