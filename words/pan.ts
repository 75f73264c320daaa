/** What can be asked of the pan along a cook, by code: what it is called, and what it means. */
export const PAN_NUMBERS = {
  'temperature': { name: 'Heat inside', says: 'Heat of the mass, not of the pan under it: that is hotter.' },
  'scale': { name: 'On the scale', says: 'Pan and all, as a kitchen scale reads it.' },
  'depth': { name: 'Depth', says: 'By a ruler in the pan, stirred level.' },
  'free': { name: 'Water that runs', says: 'What is still free between the grains. At the end hardly any is.' },
  'bound': { name: 'Water held', says: 'What swollen grain, or raw produce, holds.' },
  'fat': { name: 'Fat let go', says: 'Fat that the mass does not hold: it shows at its edge.' },
  'stiffness': { name: 'Stiffness', says: 'From what runs like water to what stands by itself.' },
  'smell': { name: 'Smell', says: 'How much of what it takes to smell roasted has been roasted.' },
  'colour': { name: 'Colour', says: 'As far as a screen can say: the darkest and the lightest it should be.' },
} as const
export type PanNumber = keyof typeof PAN_NUMBERS
