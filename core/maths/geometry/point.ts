/** A point of the plane, mm. */
export interface Point { readonly x: number, readonly y: number }

/** Corners in order round the shape, not closed; either way round. */
export type Polygon = readonly Point[]
