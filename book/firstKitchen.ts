import type { Kitchen } from '../contracts/kitchen'

/** Powers of a guessed ladder of marks, W into the pan: each about 0.7 of the next (estimate). */
const LADDER = [220, 320, 450, 640, 910, 1300]

/** What a household with nothing but a cup and a clock is taken to have, every number a guess. */
export const FIRST_KITCHEN: Kitchen = {
  trays: [
    { id: 'tray', name: 'Square tray', shape: 'rectangle', widthMm: 200, lengthMm: 200, depthMm: 30 },
  ],
  corrections: [],
  store: [],
  ingredients: [],
  settings: [{ id: 'house', units: 'metric', currency: '' }],
  measures: [
    { id: 'cup', name: 'Our cup', kind: 'cup', volumeMl: 240, origin: 'guess', topMm: 82, bottomMm: 62, heightMm: 88 },
    { id: 'tablespoon', name: 'Tablespoon', kind: 'spoon', volumeMl: 15, origin: 'guess', topMm: 44, bottomMm: 24, heightMm: 14 },
    { id: 'teaspoon', name: 'Teaspoon', kind: 'spoon', volumeMl: 5, origin: 'guess', topMm: 30, bottomMm: 16, heightMm: 10 },
  ],
  pans: [
    { id: 'pan', name: 'Steel pan', kind: 'pan', material: 'steel', innerDiameterMm: 260, depthMm: 75, massG: 1490, massOrigin: 'guess', coated: false },
    { id: 'pot', name: 'Small pot', kind: 'pot', material: 'steel', innerDiameterMm: 180, depthMm: 110, massG: 1140, massOrigin: 'guess', coated: false },
  ],
  fires: [
    {
      id: 'front', name: 'Front fire', origin: 'guess',
      marks: ['lowest', 'low', 'low-middle', 'middle', 'middle-high', 'high'].map((label, i) => ({ id: `m${i + 1}`, label, watts: LADDER[i]! })),
    },
    {
      id: 'back', name: 'Back fire', origin: 'guess',
      marks: ['low', 'middle', 'high'].map((label, i) => ({ id: `m${i + 1}`, label, watts: [320, 640, 1100][i]! })),
    },
  ],
}
