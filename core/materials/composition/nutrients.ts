/** What 100 g of a food is made of, g; energy in kJ. Sugars by kind; oligosaccharides are counted with the starch. */
export interface Nutrients {
  readonly water: number
  readonly protein: number
  readonly fat: number
  readonly sucrose: number
  readonly glucose: number
  readonly fructose: number
  readonly maltose: number
  readonly lactose: number
  readonly starch: number
  readonly fibre: number
  readonly ash: number
  readonly acids: number
  readonly energyKj: number
}

/** The parts that are weights, in the order they are shown. */
export const WEIGHT_PARTS = [
  'water', 'protein', 'fat', 'sucrose', 'glucose', 'fructose', 'maltose', 'lactose', 'starch', 'fibre', 'ash', 'acids',
] as const satisfies readonly (keyof Nutrients)[]
export type WeightPart = (typeof WEIGHT_PARTS)[number]

/** The sugars among them. */
export const SUGARS = ['sucrose', 'glucose', 'fructose', 'maltose', 'lactose'] as const satisfies readonly WeightPart[]
export type SugarKind = (typeof SUGARS)[number]
