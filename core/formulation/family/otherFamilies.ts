import type { Lab } from '../../materials/colour/lab'
import { browningPath } from './browningPath'
import type { BaseKind, Family, FamilyId } from './family'

type Row = Pick<
  Family,
  | 'wetLift'
  | 'doneDarkening'
  | 'grainRadiusMm'
  | 'mostWaterPerSolids'
  | 'scratches'
  | 'fresh'
  | 'acid'
  | 'rawAir'
  | 'softAir'
  | 'mostFatPerSolids'
>

/** A family whose colours follow from its raw colour. */
function family(id: FamilyId, kind: BaseKind, raw: Lab, row: Row): Family {
  return {
    id, kind, rawLightness: raw.lightness, finalLightness: 22, ...browningPath(raw), ...row, ownPath: false,
    source: 'estimate: colours by the path all roasts share, sizes as kitchens know them',
  }
}

const GRAIN = {
  wetLift: 1,
  doneDarkening: -9,
  scratches: false,
  fresh: false,
  acid: false,
  rawAir: 0.42,
  softAir: 0,
  mostFatPerSolids: 0.9,
}
const FRESH = {
  wetLift: 0,
  doneDarkening: -12,
  grainRadiusMm: 1.5,
  mostWaterPerSolids: 6,
  scratches: false,
  fresh: true,
  rawAir: 0.55,
  softAir: 0.2,
  mostFatPerSolids: 0.8,
}

/** Every family beside semolina. */
export const OTHER_FAMILIES: readonly Family[] = [
  family(
    'broken-wheat',
    'grain',
    { lightness: 70, a: 6, b: 24 },
    { ...GRAIN, grainRadiusMm: 0.9, mostWaterPerSolids: 4.5, scratches: true, mostFatPerSolids: 0.6 },
  ),
  family(
    'vermicelli',
    'grain',
    { lightness: 84, a: 1.5, b: 24 },
    { ...GRAIN, grainRadiusMm: 0.5, mostWaterPerSolids: 3.5, rawAir: 0.6, mostFatPerSolids: 0.6 },
  ),
  family(
    'wheat-flour',
    'flour',
    { lightness: 76, a: 4, b: 24 },
    { ...GRAIN, mostFatPerSolids: 1.4, grainRadiusMm: 0.06, mostWaterPerSolids: 5 },
  ),
  family(
    'other-flour',
    'flour',
    { lightness: 70, a: 4, b: 18 },
    { ...GRAIN, grainRadiusMm: 0.06, mostWaterPerSolids: 5 },
  ),
  family(
    'gram-flour',
    'flour',
    { lightness: 80, a: 3, b: 44 },
    { ...GRAIN, mostFatPerSolids: 1.2, grainRadiusMm: 0.06, mostWaterPerSolids: 3 },
  ),
  family('lentil', 'grain', { lightness: 78, a: 3, b: 38 }, { ...GRAIN, grainRadiusMm: 0.25, mostWaterPerSolids: 4 }),
  family('vegetable', 'produce', { lightness: 58, a: 30, b: 34 }, { ...FRESH, acid: false }),
  family('fruit', 'produce', { lightness: 74, a: 4, b: 40 }, { ...FRESH, acid: true }),
  family(
    'coconut-nut',
    'nut',
    { lightness: 92, a: 0, b: 8 },
    { ...FRESH, doneDarkening: -5, grainRadiusMm: 0.8, acid: false },
  ),
]
