/** A literal: the bound of a side is at least a value (`domains.ts`). */
export interface Literal { readonly side: number, readonly value: number }

/** What always holds. */
export const ALWAYS: Literal = { side: 0, value: 0 }
