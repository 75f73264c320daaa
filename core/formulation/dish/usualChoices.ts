import { FORM_ROWS, type Form } from './forms'
import type { FamilyId } from '../family/family'
import type { Choices } from './choices'

const GRAIN: Choices = {
  form: 'soft',
  preparation: 'as-bought',
  roast: 'golden',
  fat: 'at-start',
  liquid: 'water',
  pour: 'at-once',
  sugar: 'in-liquid',
  nuts: 'first',
  cooking: 'open',
  finish: 'stirred',
  tasting: 'tasted',
  lots: false,
}
const REDUCED: Choices = { ...GRAIN, preparation: 'grated', roast: 'none', sugar: 'into-reduced' }
/** What a form changes of a family's usual answers, from its own base and cooked down from fresh. */
const BY_FORM: Readonly<Record<Form, { readonly dry: Partial<Choices>, readonly reduced: Partial<Choices> }>> = {
  soft: { dry: {}, reduced: {} },
  slab: { dry: { sugar: 'syrup', liquid: 'water', finish: 'stirred' }, reduced: { finish: 'stirred' } },
  balls: {
    dry: { liquid: 'none', sugar: 'off-fire', nuts: 'into-roast', fat: 'at-start', finish: 'stirred' },
    reduced: {},
  },
}

const BY_FAMILY: Readonly<Record<FamilyId, Choices>> = {
  'semolina': GRAIN,
  'broken-wheat': { ...GRAIN, sugar: 'after-swelling', finish: 'covered' },
  'vermicelli': { ...GRAIN, liquid: 'milk', sugar: 'after-swelling' },
  'wheat-flour': { ...GRAIN, roast: 'deep-golden' },
  'other-flour': { ...GRAIN, roast: 'deep-golden' },
  'gram-flour': GRAIN,
  'lentil': { ...GRAIN, preparation: 'raw-paste', liquid: 'milk', sugar: 'after-swelling', fat: 'little-by-little' },
  'vegetable': { ...REDUCED, liquid: 'milk' },
  'fruit': { ...REDUCED, liquid: 'none' },
  'coconut-nut': { ...REDUCED, preparation: 'as-bought', liquid: 'none', form: 'slab', nuts: 'into-roast' },
}

/**
 * The school most kitchens take for a family made into a form: where a new dish begins.
 *
 * @param family id of the family
 * @param form soft, slab or balls; what the family is usually made into where it is left out
 * @returns choices without trouble for a dish that has the ingredients they ask for
 */
export function usualChoices(family: FamilyId, form?: Form): Choices {
  const usual = BY_FAMILY[family]
  if (form === undefined || form === usual.form) return usual
  if (usual.sugar === 'into-reduced') return { ...usual, ...BY_FORM[form].reduced, form }
  const changed = { ...usual, ...BY_FORM[form].dry, form }
  // What is to be firm is not made of a wet paste.
  return family === 'lentil' && FORM_ROWS[form].shapedBy !== 'spoon' ? { ...changed, preparation: 'dry-ground' } : changed
}
