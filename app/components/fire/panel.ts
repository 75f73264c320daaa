import type { Fire } from '../../composables/fire'
import type { CookPlan } from '../../../core/record/plan/plan'

/** What a panel beside the arch is drawn from. */
export interface FirePanel {
  /** State of the fire screen. */
  readonly fire: Fire
  /** The plan of the cook. */
  readonly plan: CookPlan
}

/** What a panel tells: something was marked. */
export interface Marks {
  mark: [kind: string, payload: Readonly<Record<string, unknown>>]
}
