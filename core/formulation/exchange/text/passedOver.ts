/** Why a line of a text is no ingredient. */
export type Passed = 'heading' | 'title' | 'method' | 'about'

const HEADING = /^[^\d½¼¾]{1,60}:\s*$/
/** `For the syrup`, `To garnish`. */
const FOR_PART = /^(?:for|to) (?:the )?[\p{L} ]{3,30}$/iu
const INGREDIENTS_HEADING =
  /^(?:the )?(?:ingredients?|what you need|you (?:will )?need|shopping list|सामग्री|தேவையான பொருட்கள்|தேவையானவை)\b|^(?:ingredients?|सामग्री|தேவையான பொருட்கள்)/i
const METHOD_HEADING =
  /^(?:the )?(?:method|directions?|instructions?|preparation|procedure|steps?|how to (?:make|cook)|making|विधि|बनाने की विधि|செய்முறை|notes?|tips?|nutrition)\b|^(?:विधि|बनाने की विधि|செய்முறை)/i
const TITLE =
  /\b(?:halwa|halva|halwah|haluva|sheera|sheero|kesari|recipe|pudding|dessert|laddoo|laddu|payasam|kheer|barfi)\b|हलवा|हलुआ|शीरा|ஹல்வா|அல்வா|கேசரி/i
const ABOUT =
  /^(?:serves?|takes|keeps|stays|stores?|best|serving|servings|makes|yields?|yield|prep(?:aration)?(?: time)?|cook(?:ing)?(?: time)?|total(?: time)?|time|difficulty|course|cuisine|category|author|calories|keyword|rating|equipment|source|from|by|posted|updated|print|share)\b[^,]{0,60}$|^https?:|^\d+\s*(?:min|mins|minutes|hours?|hrs?)\b|^(?:\d+\s+)?(?:servings?|people|portions)$/i
const METHOD_VERB =
  /^(?:step\s*\d+|(?:first|then|next|now|meanwhile|finally|after|once|when|while|in a|in the|on a|for the|to make|to the|let|keep|add|heat|melt|roast|fry|stir|cook|boil|mix|pour|bring|simmer|remove|take|turn|cover|serve|garnish|sprinkle|wash|rinse|soak|drain|peel|grate|grind|blend|strain|switch|continue|place|put|set|warm|dissolve|combine|lower|reduce|increase|switch off|enjoy|transfer|spread|press|cut|dry roast|saute|sauté|preheat|use|do not|don't|it|this|the|you|i|we|my)\b)/i
const METHOD_WORD =
  /\b(?:until|till|stirring|minutes|flame|heat it|medium heat|low heat|stirred|pan|kadai|continuously|aside|turns? golden|leaves the sides)\b|तक|भूनें|मिलाएं|पकाएं|डालें|உருக்கவும்|வறுக்கவும்|சேர்க்கவும்|கிளறவும்|ஊற்றவும்|செய்யவும்/i

/**
 * The heading of a part that is over the lines below it.
 *
 * @param line a tidy line
 * @returns which part begins, or null
 */
export function partBeginning(line: string): 'ingredients' | 'method' | null {
  const bare = line.replace(/[:#*\s]+$/, '').replace(/^[#*\s]+/, '')
  if (bare.length > 50) return null
  return METHOD_HEADING.test(bare) && !/\d/.test(bare)
    ? 'method'
    : INGREDIENTS_HEADING.test(bare) && !/\d\s*(?:g|cup)/.test(bare)
      ? 'ingredients'
      : null
}

/**
 * Why a line holds no ingredient, by how it is written.
 *
 * @param line a tidy line
 * @param at what is known of it: whether an amount and a food were read, and whether it stands below the heading of a
 *   method
 * @returns the reason, or null where it is to be read
 */
export function passedOver(
  line: string,
  at: { readonly hasAmount: boolean, readonly hasFood: boolean, readonly inMethod: boolean },
): Passed | null {
  if (partBeginning(line) !== null) return 'heading'
  if (HEADING.test(line)) return 'heading'
  if (FOR_PART.test(line) && !at.hasAmount && !at.hasFood) return 'heading'
  if (ABOUT.test(line) && !at.hasFood) return 'about'
  const isMethod = METHOD_VERB.test(line) || (METHOD_WORD.test(line) && line.length > 40)
  if (at.inMethod && !(at.hasAmount && at.hasFood && line.length < 60 && !isMethod)) return 'method'
  if (isMethod && (!at.hasAmount || line.length > 60) && line.length > 14) return 'method'
  if (line.length > 120 && /[.!]\s|[.!]$/.test(line) && METHOD_WORD.test(line)) return 'method'
  if (!at.hasAmount && TITLE.test(line)) return 'title'
  if (!at.hasAmount && /^[#*]/.test(line)) return 'title'
  return null
}
