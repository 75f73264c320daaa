import type { Role, Style } from '../core/proportions/spans'

/** Names of the parts that decide a dish's character. */
export const ROLE_WORDS: Readonly<Record<Role, string>> = { fat: 'Richness', sugar: 'Sweetness', liquid: 'Softness' }

/** How a style is said. */
export const STYLE_WORDS: Readonly<Record<Style, string>> = { lean: 'lean', everyday: 'everyday', rich: 'rich', feast: 'feast' }

/** What happens outside a span: likely, not certain. */
export const OUTSIDE_WORDS: Readonly<Record<Role, { readonly below: string, readonly above: string }>> = {
  fat: { below: 'likely dry and catching', above: 'likely greasy: fat pools at the edge' },
  sugar: { below: 'likely bland, and stiffer', above: 'likely very sweet, and hard grain if poured late' },
  liquid: { below: 'likely hard grain, gritty', above: 'likely runny: it will need long cooking down' },
}

/** How a pan takes a dish. */
export const FIT_WORDS = {
  'roomy': 'Room to spare: it roasts fast, stir wide',
  'fits': 'It fits, with room to stir',
  'tight': 'Tight: stir gently, or cook in lots',
  'too-small': 'Too small for this much',
} as const

/** Where a number comes from. */
export const ORIGIN_WORDS: Readonly<Record<string, string>> = {
  guess: 'a guess', entered: 'entered', weighed: 'weighed', learned: 'learned from your batches',
}

/**
 * The short word for a household measure: the last of its name.
 *
 * @param name such as `Verandah glass`
 * @returns such as `glass`
 */
export function shortName(name: string): string {
  return name.trim().toLowerCase().split(/\s+/).at(-1) ?? name
}

/**
 * An amount in a household measure, as it is said.
 *
 * @param text the count as written, such as `1½`
 * @param count the count as a number
 * @param name of the measure
 * @returns such as `1½ glasses`
 */
export function measureText(text: string, count: number, name: string): string {
  const lower = shortName(name)
  const many = /(s|x|ch|sh)$/.test(lower) ? `${lower}es` : `${lower}s`
  return `${text} ${count > 1 ? many : lower}`
}
