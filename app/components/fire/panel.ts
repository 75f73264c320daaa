import type { AnyMark } from '../../../core/record/marks/kinds'

/** What a panel tells: something was marked. */
export interface Marks {
  mark: [mark: AnyMark]
}
