import type { SwapRule } from '../core/formulation/swaps/swap'

const LIQUID_MILKS = ['milk', 'milk-rich'] as const
const MILK_SOLIDS = ['khoya', 'milk-powder', 'milk-powder-skimmed', 'milk-curds', 'cream'] as const
const OILS = ['sesame-oil', 'coconut-oil', 'sunflower-oil'] as const
const PLANT = ['coconut-milk', 'oat-milk', 'soya-milk'] as const
/** Water each grade of semolina asks for, relative to the medium one (estimates). */
const GRADES: Readonly<Record<string, number>> = { 'semolina-fine': 0.95, 'semolina-medium': 1, 'semolina-coarse': 1.08, 'farina': 1.02 }

const swap = (id: string, from: readonly string[], to: readonly string[], adjusts: SwapRule['adjusts'], notes: SwapRule['notes'] = []): SwapRule => ({ id, from, to, adjusts, notes })

const gradeSwaps = Object.keys(GRADES).flatMap(from => Object.keys(GRADES).filter(to => to !== from)
  .map((to): SwapRule => ({ ...swap(`${from}-to-${to}`, [from], [to], ['water'], ['grain']), liquidFactor: GRADES[to]! / GRADES[from]! })))

/** Swaps that keep the balance of water, fat, sugar, milk solids and starch as far as it can be kept. */
export const SWAPS: readonly SwapRule[] = [
  swap('milk-to-powder', LIQUID_MILKS, ['milk-powder', 'water'], ['water'], ['whisk-in']),
  swap('milk-to-skimmed-powder', LIQUID_MILKS, ['milk-powder-skimmed', 'water'], ['water', 'fat'], ['whisk-in']),
  swap('milk-to-reduced', LIQUID_MILKS, ['milk-reduced'], ['water'], ['catches']),
  swap('milk-to-condensed', LIQUID_MILKS, ['condensed-milk', 'water'], ['water', 'sugar', 'fat'], ['brings-sugar', 'catches']),
  swap('milk-rich-to-milk', ['milk-rich'], ['milk'], ['water', 'fat']),
  swap('milk-to-rich', ['milk'], ['milk-rich'], ['water', 'fat']),
  ...PLANT.map(plant => swap(`milk-to-${plant}`, LIQUID_MILKS, [plant], ['water', 'fat', 'sugar'], ['no-milk', 'no-set'])),
  swap('powder-to-milk', ['milk-powder'], ['milk'], ['water'], ['reduce']),
  ...MILK_SOLIDS.filter(id => id !== 'khoya').map(id => swap(`khoya-to-${id}`, ['khoya'], [id], ['water', 'fat'], id === 'milk-curds' ? ['grainy'] : [])),
  swap('khoya-to-reduced', ['khoya'], ['milk-reduced'], ['water'], ['reduce', 'longer']),
  swap('khoya-to-milk', ['khoya'], ['milk'], ['water'], ['reduce', 'longer']),
  swap('khoya-to-condensed', ['khoya'], ['condensed-milk'], ['sugar', 'water', 'fat'], ['brings-sugar']),
  swap('powder-to-khoya', ['milk-powder', 'milk-powder-skimmed', 'milk-curds'], ['khoya'], ['water', 'fat'], ['grate-fine']),
  swap('condensed-to-khoya', ['condensed-milk'], ['khoya', 'sugar'], ['water', 'fat']),
  swap('condensed-to-powder', ['condensed-milk'], ['milk-powder', 'sugar', 'water'], ['water', 'fat'], ['whisk-in']),
  swap('jaggery-to-sugar', ['jaggery', 'jaggery-palm'], ['sugar', 'water'], ['water'], ['paler', 'sweeter-clean']),
  swap('sugar-to-jaggery', ['sugar', 'sugar-powdered'], ['jaggery'], ['water'], ['strain', 'darker', 'softer-set']),
  swap('sugar-to-palm-jaggery', ['sugar', 'jaggery'], ['jaggery-palm'], ['water'], ['strain', 'darker']),
  swap('palm-to-cane-jaggery', ['jaggery-palm'], ['jaggery'], ['water'], ['strain']),
  swap('sugar-to-powdered', ['sugar'], ['sugar-powdered'], [], ['by-volume']),
  swap('powdered-to-sugar', ['sugar-powdered'], ['sugar'], [], ['by-volume', 'grainy']),
  swap('ghee-to-butter', ['ghee'], ['butter'], ['water'], ['browns', 'foams']),
  swap('butter-to-ghee', ['butter'], ['ghee'], ['water']),
  ...OILS.map(oil => swap(`ghee-to-${oil}`, ['ghee', 'butter'], [oil], ['water'], ['no-milk', 'other-taste'])),
  swap('oil-to-ghee', OILS, ['ghee'], ['water'], ['brings-milk']),
  swap('mango-to-canned', ['mango'], ['mango-canned'], ['sugar', 'water'], ['canned-sugar']),
  swap('canned-to-mango', ['mango-canned'], ['mango'], ['sugar', 'water'], ['taste-fruit']),
  swap('pineapple-to-canned', ['pineapple'], ['pineapple-canned'], ['sugar', 'water'], ['canned-sugar']),
  swap('canned-to-pineapple', ['pineapple-canned'], ['pineapple'], ['sugar', 'water'], ['taste-fruit', 'splits-milk']),
  swap('broken-wheat-finer', ['broken-wheat-coarse'], ['broken-wheat-fine'], ['water'], ['grain']),
  swap('broken-wheat-coarser', ['broken-wheat-fine'], ['broken-wheat-coarse'], ['water'], ['grain']),
  swap('vermicelli-to-roasted', ['vermicelli'], ['vermicelli-roasted'], ['water'], ['roast-less']),
  swap('gram-coarser', ['gram-flour-fine'], ['gram-flour-coarse'], [], ['grain', 'by-volume']),
  swap('gram-finer', ['gram-flour-coarse'], ['gram-flour-fine'], [], ['grain', 'by-volume']),
  ...gradeSwaps,
]
