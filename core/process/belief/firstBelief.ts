import type { Belief, BeliefEntry, SpreadKind } from '../../materials/belief/belief'

type Row = readonly [name: string, median: number, spread: number, kind: SpreadKind, unit: string, basis: string]

const ROWS: readonly Row[] = [
  ['mainFire', 1, 0.3, 'factor', "of the marks' power", 'estimate: domestic burners spread 25–35 % about their marks'],
  [
    'mainLadder',
    0,
    0.15,
    'distance',
    "of the power to the power of the marks' own ratio",
    'estimate: marks a factor 2 apart are 10 % off that',
  ],
  ['otherFire', 1, 0.3, 'factor', "of the marks' power", 'estimate: as mainFire'],
  ['heatLoss', 13, 0.2, 'factor', 'W/(m²·K)', 'natural convection and radiation 10–18 W/(m²·K) (recalled, unchecked)'],
  ['contact', 1, 0.25, 'factor', 'of 100 + 900 × liquid share W/(m²·K)', 'estimate'],
  ['film', 0.22, 0.05, 'distance', 'share of pan above content', 'estimate'],
  [
    'browningRate',
    0.00055,
    0.28,
    'factor',
    '1/s at 150 °C',
    'bread-crust browning near 0.03/min at 150 °C (recalled, unchecked)',
  ],
  ['browningEnergy', 63000, 6000, 'distance', 'J/mol', 'bread-crust browning 60–65 kJ/mol (recalled, unchecked)'],
  ['aromaDose', 42, 0.28, 'factor', 's at 150 °C', 'estimate: aroma begins about 120–130 °C'],
  ['nutDose', 105, 0.25, 'factor', 's at 150 °C', 'estimate: cashews in fat at 145 °C turn in two to three minutes'],
  ['eye', 0, 1.3, 'distance', 'L* at which a colour step is called', 'estimate'],
  ['baseMoisture', 0.12, 0.01, 'distance', 'g/g wet basis', 'usual 11–13 % of stored semolina (recalled, unchecked)'],
  ['kept', 0.92, 0.03, 'distance', 'share of the liquid in the pan that stays', 'estimate: dish and household taste'],
  ['uptake', 1, 0.3, 'factor', 'of the diffusion time', 'estimate'],
  ['surface', 1, 0.25, 'factor', 'of surface evaporation', 'estimate'],
  ['panMass', 1, 0.06, 'factor', "of the pan's mass", 'estimate: handle and rim stay cooler than the base'],
  ['softening', 1, 0.35, 'factor', 'of the softening rate of fresh tissue', 'estimate: pieces and kinds differ'],
  ['wetEye', 1, 0.3, 'factor', 'of the wetness at which a wet sign is called', 'estimate'],
  ['strength', 1, 0.12, 'factor', 'of the water of a syrup at its strength', 'estimate: how a thread is read'],
  [
    'roastPace',
    1,
    0.15,
    'factor',
    'of the power that reaches a roast',
    'estimate: uneven heat, how it is stirred, what the laws leave out',
  ],
  [
    'wetPace',
    1,
    0.14,
    'factor',
    'of the power that reaches a wet mass',
    'estimate: stirring, a skin on the base, splashes; its middle is blended with the usual minutes of the dish',
  ],
  ['pourTime', 55, 0.25, 'factor', 's', 'estimate: a ladle at a time, 900 g in all'],
]

/**
 * The belief of a household that has cooked nothing yet.
 *
 * @returns a fresh belief; every entry rests on no batch
 * @example firstBelief().entries.find(e => e.name === 'mainFire')
 */
export function firstBelief(): Belief {
  return {
    entries: ROWS.map(([name, median, spread, kind, unit, basis]): BeliefEntry =>
      ({ name, median, spread, kind, unit, basis, restsOn: [] })),
  }
}
