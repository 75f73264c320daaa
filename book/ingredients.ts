import type { Ingredient } from '../contracts/ingredient'

/**
 * The ingredients of the starter dish. Bulk densities are the middle of what a household cup is found to hold; shares
 * are rounded composition-table values, recalled and unchecked.
 */
export const INGREDIENTS: readonly Ingredient[] = [
  {
    id: 'semolina-medium', name: 'Semolina, medium', otherNames: ['sooji', 'rava', 'rawa', 'सूजी', 'ரவை'],
    bulkDensity: 0.71, composition: { water: 0.12, solids: 0.87, fat: 0.01, sugar: 0, nuts: 0 },
    coarse: true, allergens: ['wheat'], colour: { lightness: 88, a: 1, b: 20 },
    source: 'bulk density: 165–180 g in a 240 ml cup; shares: composition tables, recalled, unchecked',
  },
  {
    id: 'ghee', name: 'Ghee', otherNames: ['clarified butter', 'घी', 'நெய்'],
    bulkDensity: 0.89, composition: { water: 0.004, solids: 0, fat: 0.996, sugar: 0, nuts: 0 },
    coarse: false, allergens: ['milk'], colour: { lightness: 80, a: 3, b: 52 },
    source: 'bulk density: 205–218 g in a 240 ml cup; shares: composition tables, recalled, unchecked',
  },
  {
    id: 'sugar', name: 'Sugar', otherNames: ['cheeni', 'चीनी', 'சர்க்கரை'],
    bulkDensity: 0.83, composition: { water: 0, solids: 0, fat: 0, sugar: 1, nuts: 0 },
    coarse: false, allergens: [], colour: { lightness: 97, a: 0, b: 2 },
    source: 'bulk density: 195–205 g in a 240 ml cup',
  },
  {
    id: 'water', name: 'Water', otherNames: ['pani', 'पानी', 'தண்ணீர்'],
    bulkDensity: 0.998, composition: { water: 1, solids: 0, fat: 0, sugar: 0, nuts: 0 },
    coarse: false, allergens: [], colour: { lightness: 82, a: -6, b: -9 },
    source: 'density at 20 °C, handbook',
  },
  {
    id: 'cashew-halves', name: 'Cashew halves', otherNames: ['kaju', 'काजू', 'முந்திரி'],
    bulkDensity: 0.53, composition: { water: 0, solids: 0, fat: 0, sugar: 0, nuts: 1 },
    coarse: false, allergens: ['cashew'], colour: { lightness: 86, a: 1, b: 22 },
    source: 'bulk density: estimate, 120–135 g in a 240 ml cup; kept whole in the pan',
  },
  {
    id: 'cardamom-ground', name: 'Cardamom, ground', otherNames: ['elaichi', 'इलायची', 'ஏலக்காய்'],
    bulkDensity: 0.4, composition: { water: 0.08, solids: 0.86, fat: 0.06, sugar: 0, nuts: 0 },
    coarse: false, allergens: [], colour: { lightness: 60, a: 0, b: 16 },
    source: 'bulk density: estimate, 2 g in a 5 ml spoon; shares: composition tables, recalled, unchecked',
  },
]
