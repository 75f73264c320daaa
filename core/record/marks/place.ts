/** Where a sweet stands. */
export const PLACES = ['room', 'cold'] as const
export type Place = (typeof PLACES)[number]
