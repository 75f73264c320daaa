import type { Part } from '../core/formulation/dish/dish'
import type { BalanceShift } from '../core/formulation/yield/balanceShift'
import { ALLERGEN_WORDS } from './after'
import { outsideText, ROLE_WORDS, STYLE_WORDS } from './measure'
import { wordFor } from './wordFor'

/** What an ingredient does in a dish, as it is chosen. */
export const PART_ROLE_WORDS: Readonly<Record<Part, string>> = {
  'base': 'a second base, got ready in its own way',
  'helper': 'a little flour or grain, roasted with the base',
  'fat': 'fat',
  'sugar': 'sugar',
  'jaggery': 'jaggery, melted and strained first',
  'water': 'water',
  'milk': 'milk',
  'juice': 'juice',
  'milk-solids': 'milk solids, stirred in late',
  'condensed': 'condensed milk, among the sugar',
  'fruit': 'fruit, half with the liquid, half late',
  'nuts': 'nuts, fried',
  'spice': 'stirred in at the end',
  'steeped': 'steeped in something warm, stirred in at the end',
}

/** Less than this is not worth a word, g and kJ, and g of sugar in 100 g. */
const LEAST = { massG: 1, kj: 20, sweet: 0.5 }

/**
 * What a change does to the balance of a dish, in sentences.
 *
 * @param shift from `balanceShift`
 * @param family id of the family
 * @param grams writes grams
 * @param nameOf name of an ingredient of the dish
 * @returns sentences, the gravest first; one that says that little changes where nothing does
 */
export function balanceText(
  shift: BalanceShift,
  family: string,
  grams: (massG: number) => string,
  nameOf: (id: string) => string,
): string[] {
  const more = (value: number): string => `${grams(Math.abs(value))} ${value > 0 ? 'more' : 'less'}`
  const said = [
    ...shift.nowhere.map(
      id => `With these choices ${nameOf(id)} would go in nowhere: change its part, or the choices below.`,
    ),
    ...(shift.allergens.length > 0
      ? [`It brings ${shift.allergens.map(one => wordFor(ALLERGEN_WORDS, one) ?? one).join(', ')} into the dish.`]
      : []),
    ...shift.standings.map(
      ({ role, before, after }) =>
        `${ROLE_WORDS[role]}: ${before.style ? STYLE_WORDS[before.style] : 'outside its span'} before, ${after.style ? STYLE_WORDS[after.style] : outsideText(after, family)} after.`,
    ),
    ...(Math.abs(shift.waterG) >= LEAST.massG ? [`${more(shift.waterG)} water.`] : []),
    ...(Math.abs(shift.finishedG) >= LEAST.massG ? [`About ${more(shift.finishedG)} sweet in the end.`] : []),
    ...(Math.abs(shift.sweetness[1] - shift.sweetness[0]) >= LEAST.sweet
      ? [
          `As sweet as ${Math.round(shift.sweetness[1])} g of sugar in 100 g, ${Math.round(shift.sweetness[0])} g before.`,
        ]
      : []),
    ...(Math.abs(shift.servingKj) >= LEAST.kj
      ? [`${Math.abs(Math.round(shift.servingKj))} kJ ${shift.servingKj > 0 ? 'more' : 'less'} in a serving.`]
      : []),
  ]
  return said.length > 0 ? said : ['The balance hardly changes.']
}
