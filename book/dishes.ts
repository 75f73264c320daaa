import type { Dish } from '../core/dish/dish'

/**
 * The starter dish: semolina roasted in half its ghee after the nuts, sugar dissolved in the hot water, the other half
 * of the ghee late. Amounts and usual minutes are our own, inside the spans of the craft.
 */
export const STARTER_DISHES: readonly Dish[] = [
  {
    id: 'sweet-water-semolina',
    version: 1,
    name: 'Sweet-water semolina',
    otherNames: ['sooji halwa', 'rava kesari', 'सूजी हलवा', 'ரவா கேசரி'],
    family: 'semolina',
    base: 'semolina',
    ingredients: [
      { id: 'semolina', ingredient: 'semolina-medium', perBase: 1 },
      { id: 'ghee', ingredient: 'ghee', perBase: 0.78 },
      { id: 'sugar', ingredient: 'sugar', perBase: 1.05 },
      { id: 'water', ingredient: 'water', perBase: 4.2 },
      { id: 'cashew', ingredient: 'cashew-halves', perBase: 0.16 },
      { id: 'cardamom', ingredient: 'cardamom-ground', perBase: 0.006 },
    ],
    vessels: [{ id: 'pan', kind: 'pan' }, { id: 'pot', kind: 'pot' }],
    stages: [
      {
        id: 'nuts', vessel: 'pan', does: 'fry', flame: 'middle', lid: false, until: { sign: 'nuts-golden' },
        adds: [{ ingredient: 'ghee', share: 0.5 }, { ingredient: 'cashew', share: 1 }], takesOut: ['cashew'],
      },
      {
        id: 'roast', vessel: 'pan', does: 'roast', flame: 'low', lid: false, until: { sign: 'pale' },
        adds: [{ ingredient: 'semolina', share: 1 }], takesOut: [],
      },
      {
        id: 'sweet-water', vessel: 'pot', does: 'heat', flame: 'high', lid: true, until: { sign: 'boil' },
        adds: [{ ingredient: 'water', share: 1 }, { ingredient: 'sugar', share: 1 }], takesOut: [],
        meets: { stage: 'pour', edge: 'start' },
      },
      {
        id: 'pour', vessel: 'pan', does: 'pour', flame: 'off', lid: false, until: { minutes: 1 },
        adds: [], takesOut: [], from: 'pot',
      },
      {
        id: 'take-up', vessel: 'pan', does: 'cook-down', flame: 'middle', lid: false, until: { sign: 'taken-up' },
        adds: [], takesOut: [],
      },
      {
        id: 'enrich', vessel: 'pan', does: 'enrich', flame: 'middle', lid: false, until: { sign: 'leaves-sides' },
        adds: [{ ingredient: 'ghee', share: 0.5 }, { ingredient: 'cashew', share: 1 }, { ingredient: 'cardamom', share: 1 }],
        takesOut: [],
      },
      {
        id: 'rest', vessel: 'pan', does: 'rest', flame: 'off', lid: true, until: { minutes: 5 }, adds: [], takesOut: [],
      },
    ],
    keystone: { stage: 'pour', edge: 'start' },
    portionG: 190,
    usual: { baseG: 250, minutes: { 'nuts': 4, 'roast': 8, 'pour': 1, 'take-up': 4, 'enrich': 5, 'rest': 5 } },
    kept: { share: 0.92, spread: 0.03 },
  },
]
