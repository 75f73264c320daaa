/** What to watch for in a stage. */
export const WATCH_CODES = [
  'turn-nuts', 'strain', 'steep-warm', 'drain-well', 'ground-silky', 'no-water-no-whole', 'stir-always',
  'aroma-first', 'dry-burns-fast', 'grainy-not-dust', 'surplus-to-store', 'skim', 'grate-coarse', 'hand-length',
  'break-lumps', 'strength', 'no-grains-on-the-wall', 'milk-catches', 'by-handfuls', 'under-the-lid', 'in-parts',
  'face-back', 'fork-loosen', 'flame-back', 'no-hard-centre', 'soft-within', 'jaggery-off-boil', 'milk-when-dry',
  'no-lumps', 'stand-and-strain', 'scrape-base', 'stir-as-it-cools', 'rub-in', 'count-releases', 'tip-the-pan-over',
  'next-lot', 'set-in-cold', 'soak-cool', 'half-full', 'opens-itself', 'free-first', 'greased-tray', 'score-warm',
  'greased-hands', 'share-first',
] as const
export type WatchCode = (typeof WATCH_CODES)[number]

/** What will look wrong in a stage and is not. */
export const EXPECT_CODES = [
  'runs-again', 'wet-sand', 'custard-then-crumbs', 'stiff-then-flows', 'lumps-at-first', 'darkens-on', 'foams',
  'looks-too-thin', 'thickens-at-once', 'looks-dry', 'sticks-then-leaves', 'volume-falls-first', 'milk-grains',
  'fat-drawn-in', 'soft-middle', 'firms-as-it-cools',
] as const
export type ExpectCode = (typeof EXPECT_CODES)[number]

/** What of a stage comes too near to what it bears. */
export const HEAT_CAUTIONS = ['smoke', 'scorch', 'dry-pan'] as const
export type HeatCaution = (typeof HEAT_CAUTIONS)[number]

/** Cautions by the step where a hand could be burned. */
export const CAUTION_CODES = [
  'hot-fat',
  'pour',
  'splashes',
  'spitting',
  'hot-sweet',
  'syrup',
  'scald',
  'pressure',
  'grinder',
  'allergen',
  'two-hours',
  ...HEAT_CAUTIONS,
] as const
export type CautionCode = (typeof CAUTION_CODES)[number]

/**
 * The first of some codes that this version knows.
 *
 * @param known codes of this version
 * @param codes of a stage, which may be of another
 * @returns the code; null where there is none
 */
export function firstKnown<C extends string>(known: readonly C[], codes: readonly string[] | undefined): C | null {
  return codes?.map(code => known.find(one => one === code)).find(one => one !== undefined) ?? null
}
