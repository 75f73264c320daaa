import type { Kitchen } from '../contracts/kitchen'

/** The kitchen of the demo house: invented people on a hillside above a river that is on no map. */
export const DEMO_KITCHEN: Kitchen = {
  trays: [
    { id: 'thali', name: 'Steel plate', shape: 'round', widthMm: 260, lengthMm: 260, depthMm: 22 },
    { id: 'tin', name: 'Baking tin', shape: 'rectangle', widthMm: 180, lengthMm: 240, depthMm: 35 },
  ],
  corrections: [
    { id: 'semolina-medium', bulkDensity: 0.72, pricePerKg: 62 }, { id: 'ghee', pricePerKg: 680 }, { id: 'sugar', pricePerKg: 46 }, { id: 'jaggery', pricePerKg: 74, pieceG: 32 },
    { id: 'milk', pricePerKg: 64 }, { id: 'cashew-halves', pricePerKg: 920 }, { id: 'carrot-red', pricePerKg: 58, prepared: 0.83 }, { id: 'cardamom-ground', pricePerKg: 3400 },
    { id: 'gram-flour-coarse', pricePerKg: 96 }, { id: 'mung-split', pricePerKg: 118 }, { id: 'khoya', pricePerKg: 420 },
  ],
  store: [],
  ingredients: [],
  settings: [{ id: 'house', units: 'metric', currency: 'cr' }],
  measures: [
    { id: 'glass', name: 'Verandah glass', kind: 'cup', volumeMl: 180, origin: 'weighed', topMm: 68, bottomMm: 52, heightMm: 78 },
    { id: 'brass-cup', name: 'Brass cup', kind: 'cup', volumeMl: 240, origin: 'entered', topMm: 80, bottomMm: 60, heightMm: 74 },
    { id: 'tablespoon', name: 'Tablespoon', kind: 'spoon', volumeMl: 15, origin: 'entered', topMm: 44, bottomMm: 24, heightMm: 14 },
    { id: 'teaspoon', name: 'Teaspoon', kind: 'spoon', volumeMl: 5, origin: 'guess', topMm: 30, bottomMm: 16, heightMm: 10 },
  ],
  pans: [
    { id: 'wide', name: 'Wide steel pan', kind: 'pan', material: 'steel', innerDiameterMm: 260, depthMm: 85, massG: 1310, massOrigin: 'weighed', coated: false },
    { id: 'iron', name: 'Grandmother\'s iron pan', kind: 'pan', material: 'cast-iron', innerDiameterMm: 240, depthMm: 75, massG: 2480, massOrigin: 'weighed', coated: false },
    { id: 'black', name: 'Black coated pan', kind: 'pan', material: 'aluminium', innerDiameterMm: 240, depthMm: 65, massG: 840, massOrigin: 'guess', coated: true },
    { id: 'milk-pot', name: 'Milk pot', kind: 'pot', material: 'steel', innerDiameterMm: 170, depthMm: 120, massG: 620, massOrigin: 'weighed', coated: false },
  ],
  fires: [
    {
      id: 'front', name: 'Front fire', origin: 'guess',
      marks: [['simmer', 230], ['low', 330], ['half-low', 470], ['half', 660], ['strong', 930], ['full', 1320]].map(([label, watts], i) => ({ id: `m${i + 1}`, label: String(label), watts: Number(watts) })),
    },
    {
      id: 'back', name: 'Back fire', origin: 'guess',
      marks: [['low', 320], ['half', 620], ['full', 1080]].map(([label, watts], i) => ({ id: `m${i + 1}`, label: String(label), watts: Number(watts) })),
    },
  ],
}

/** What nobody in the house knows: how their fires and foods really are. */
export const HIDDEN = { mainFire: 0.84, otherFire: 1.08, browningRate: 0.00062, kept: 0.915, aromaDose: 38 } as const

/** Something that happened after the fire: h after it was finished, kind and payload of the mark. */
export type Afterwards = readonly [hours: number, kind: string, payload: Readonly<Record<string, unknown>>]

/** What becomes of a batch where nothing else is said: eaten up by the next day. */
export const EATEN_UP: readonly Afterwards[] = [[20, 'gone', {}]]

/** One past batch of the demo house: when, how much, in what, and how the cook behaved that day. */
export interface DemoBatch {
  /** Days before today, and hour of the day. */
  readonly daysAgo: number
  readonly hour: number
  readonly baseG: number
  readonly pan: string
  /** Flame mark of the roast. */
  readonly roast: string
  /** How long after the sign (factor on the time since the stage began) the cook goes on: pouring, ending. */
  readonly pourLate: number
  readonly endLate: number
  readonly weighs: boolean
  readonly faults: readonly string[]
  readonly line: string
  readonly after?: readonly Afterwards[]
}

/** Eleven batches of one dish that differ believably; what happens in them is computed, not written here. */
export const DEMO_BATCHES: readonly DemoBatch[] = [
  { daysAgo: 163, hour: 17, baseG: 255, pan: 'wide', roast: 'm3', pourLate: 1.02, endLate: 1.05, weighs: false, faults: [], line: 'For Tara\'s first day at school.' },
  { daysAgo: 149, hour: 18, baseG: 255, pan: 'wide', roast: 'm3', pourLate: 0.55, endLate: 1.1, weighs: false, faults: ['gluey', 'raw-taste'], line: 'Poured on the smell of the nuts, not of the grain.' },
  { daysAgo: 128, hour: 8, baseG: 190, pan: 'iron', roast: 'm3', pourLate: 1.05, endLate: 0.98, weighs: true, faults: [], line: 'The iron pan keeps going after the flame is off.' },
  { daysAgo: 110, hour: 19, baseG: 255, pan: 'wide', roast: 'm5', pourLate: 1.75, endLate: 0.9, weighs: true, faults: ['burnt'], line: 'Strong flame and the telephone.' },
  { daysAgo: 92, hour: 17, baseG: 255, pan: 'wide', roast: 'm3', pourLate: 1.1, endLate: 1.5, weighs: true, faults: ['dry'], line: 'Stirred on while looking for the lid.' },
  { daysAgo: 71, hour: 9, baseG: 380, pan: 'wide', roast: 'm4', pourLate: 1.0, endLate: 1.0, weighs: true, faults: [], line: 'Nine at the table, nothing left.' },
  { daysAgo: 55, hour: 18, baseG: 255, pan: 'iron', roast: 'm4', pourLate: 1.2, endLate: 1.05, weighs: true, faults: [], line: 'A shade deeper, everyone asked for it again.', after: [[3, 'liked', { sweetness: 'right', softness: 'right', richness: 'right' }], [20, 'gone', {}]] },
  { daysAgo: 40, hour: 17, baseG: 130, pan: 'iron', roast: 'm2', pourLate: 1.0, endLate: 0.72, weighs: true, faults: ['runny'], line: 'Small batch, took it off too soon.' },
  { daysAgo: 24, hour: 10, baseG: 255, pan: 'wide', roast: 'm3', pourLate: 1.08, endLate: 1.0, weighs: true, faults: [], line: '' },
  { daysAgo: 12, hour: 18, baseG: 255, pan: 'wide', roast: 'm3', pourLate: 1.0, endLate: 1.04, weighs: true, faults: [], line: 'Just as Leela used to make it.', after: [[2, 'liked', { sweetness: 'less', softness: 'right', richness: 'right' }], [20, 'gone', {}]] },
  { daysAgo: 4, hour: 17, baseG: 320, pan: 'wide', roast: 'm3', pourLate: 1.05, endLate: 1.0, weighs: true, faults: [], line: '' },
]

/**
 * What stands in the store of the demo house.
 *
 * @param today days since 1970-01-01
 * @returns some things fresh, some opened, one past its day
 */
export function demoStore(today: number): Kitchen['store'] {
  return [
    { id: 'store-1', ingredient: 'semolina-medium', massG: 640, gotOn: today - 40, openedOn: today - 22, useBy: today + 120 },
    { id: 'store-2', ingredient: 'ghee', massG: 310, gotOn: today - 60, openedOn: today - 48, useBy: null },
    { id: 'store-3', ingredient: 'sugar', massG: 850, gotOn: today - 15, openedOn: today - 15, useBy: null },
    { id: 'store-4', ingredient: 'jaggery', massG: 420, gotOn: today - 90, openedOn: today - 30, useBy: null },
    { id: 'store-5', ingredient: 'mung-split', massG: 380, gotOn: today - 10, openedOn: null, useBy: today + 200 },
    { id: 'store-6', ingredient: 'cashew-halves', massG: 90, gotOn: today - 34, openedOn: today - 34, useBy: null },
    { id: 'store-7', ingredient: 'milk', massG: 500, gotOn: today - 4, openedOn: today - 3, useBy: today - 1 },
    { id: 'store-8', ingredient: 'carrot-red', massG: 1100, gotOn: today - 1, openedOn: null, useBy: today + 4 },
    { id: 'store-9', ingredient: 'cardamom-ground', massG: 18, gotOn: today - 120, openedOn: today - 100, useBy: null },
  ]
}
