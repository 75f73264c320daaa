import type { CookState } from './cookState'
import type { ListedMarks } from './kinds'

/** A cook as it stands: everything replayed from its plan and its marks. Each kind that is listed has its list. */
export interface LiveCook extends CookState, ListedMarks {}
