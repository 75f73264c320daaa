import type { Family } from './family'

/**
 * Semolina, medium. Lightness steps and the a*, b* path are estimates set beside the usual ranges that colour work on
 * roasted cereal flours reports (raw L* 80–88, a* 0–3, b* 14–26; red rises, yellow rises and then falls); the ends of
 * the range and the wet changes are estimates. Grain radius from the trade's medium grade, 0.4–0.7 mm across.
 */
export const SEMOLINA: Family = {
  id: 'semolina',
  kind: 'grain',
  rawLightness: 84,
  finalLightness: 22,
  path: [
    { lightness: 92, a: 0, b: 13 },
    { lightness: 84, a: 1.5, b: 20 },
    { lightness: 78, a: 3.5, b: 26 },
    { lightness: 70, a: 7.5, b: 32 },
    { lightness: 61, a: 11.5, b: 35 },
    { lightness: 48, a: 15, b: 30 },
    { lightness: 34, a: 12, b: 18 },
    { lightness: 20, a: 4, b: 6 },
  ],
  stepLightness: { 'pale': 79, 'golden': 71, 'deep-golden': 62, 'brown': 50, 'burnt': 37 },
  wetLift: 1.5,
  doneDarkening: -9,
  grainRadiusMm: 0.28,
  mostWaterPerSolids: 5.6,
  scratches: true,
  fresh: false,
  acid: false,
  rawAir: 0.42,
  softAir: 0,
  mostFatPerSolids: 0.9,
  ownPath: true,
  source: 'estimate, shaped by published ranges (recalled, unchecked)',
}
