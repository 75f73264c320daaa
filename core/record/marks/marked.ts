/** Something marked, with its moment in seconds since the start of the cook. */
export interface Marked<T> { readonly id: string, readonly timeS: number, readonly what: T }
