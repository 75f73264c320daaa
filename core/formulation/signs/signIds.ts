/** Colour steps of a roast, from light to dark. */
export const COLOUR_STEPS = ['pale', 'golden', 'deep-golden', 'brown', 'burnt'] as const
export type ColourStep = (typeof COLOUR_STEPS)[number]

/** Signs that the forecast times, in the order an ensemble keeps them. */
export const TIMED_SIGNS = [
  'nuts-golden',
  'aroma',
  ...COLOUR_STEPS,
  'boil',
  'taken-up',
  'leaves-sides',
  'crumbly',
  'loosened',
  'halved',
  'dry',
  'milk-taken-up',
  'tightened',
  'strength',
  'thickened',
  'one-mass',
  'opened',
  'hand-warm',
  'fat-shows',
  'flecks',
  'rolls',
] as const

/** Everything a cook can see, smell or feel that ends a stage. */
export const SIGN_IDS = [...TIMED_SIGNS, 'melted'] as const
export type SignId = (typeof SIGN_IDS)[number]
