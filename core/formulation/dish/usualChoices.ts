import type { FamilyId } from '../family/family'
import type { Choices, Form } from './choices'

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
const BALLS: Partial<Choices> = {
  form: 'balls',
  liquid: 'none',
  sugar: 'off-fire',
  nuts: 'into-roast',
  finish: 'stirred',
}
const SLAB: Partial<Choices> = { form: 'slab', sugar: 'syrup' }

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
  const reduced = usual.sugar === 'into-reduced'
  if (form === 'balls')
    return reduced
      ? { ...usual, form }
      : { ...usual, ...BALLS, preparation: family === 'lentil' ? 'dry-ground' : usual.preparation, fat: 'at-start' }
  if (form === 'slab')
    return reduced
      ? { ...usual, form, finish: 'stirred' }
      : {
          ...usual,
          ...SLAB,
          liquid: 'water',
          preparation: family === 'lentil' ? 'dry-ground' : usual.preparation,
          finish: 'stirred',
        }
  return { ...usual, form }
}
