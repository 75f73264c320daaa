/** Kinds of the household's lasting numbers, by the first part of their name: what is said of one, and in what. */
export const NUMBER_WORDS: Readonly<Record<string, { readonly says: string, readonly more: string }>> = {
  'fire': { says: 'power', more: 'more power than its marks say' },
  'browning': { says: 'how fast it browns', more: 'browns faster' },
  'aroma': { says: 'when it smells', more: 'smells later' },
  'uptake': { says: 'how slowly it takes liquid up', more: 'takes up more slowly' },
  'softening': { says: 'how fast it softens', more: 'softens faster' },
  'kept': { says: 'how wet it is kept', more: 'wetter' },
  'roast-pace': { says: 'pace of its roast', more: 'quicker' },
  'wet-pace': { says: 'pace of its cooking down', more: 'quicker' },
  'pour-time': { says: 'how long a pour takes here', more: 'longer' },
  'heat-loss': { says: 'heat lost to this room', more: 'more lost' },
  'surface': { says: 'drying of an open surface here', more: 'dries faster' },
  'blend': { says: 'physics against the usual minutes', more: '' },
}

/** Where a reading comes from. */
export const SOURCE_WORDS = { 'batch': 'batch', 'boil-check': 'boil check', 'remembered': 'from memory' } as const

/** The states of knowledge that the forecast is judged at. */
export const STATE_WORDS = {
  none: 'nothing known',
  boil: 'after a boil check',
  boilAroma: 'and the aroma tapped',
  boilTwoTaps: 'and a second tap',
} as const

/** The judge's other worlds: laws that are not the forecast's own. */
export const WORLD_WORDS: Readonly<Record<string, string>> = {
  'late browning': 'browning that comes late',
  'other losses': 'other losses to the room',
  'other moisture': 'moisture that leaves by another law',
  'uneven pan': 'a pan of uneven heat',
}
