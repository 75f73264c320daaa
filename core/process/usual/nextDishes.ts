/** What of a dish decides whether it is likely to be made next. */
export interface NextCandidate {
  readonly id: string
  /** Its ingredients by id, water left out. */
  readonly needs: readonly string[]
  /** How often it was made. */
  readonly made: number
}

/** Something in the house that is still good. */
export interface StillGood { readonly ingredient: string, readonly lastDay: number }

/**
 * A dish that may be next, and why: it uses what perishes, all of it is there, it is made often, or it is a first one.
 */
export interface NextDish {
  readonly id: string
  readonly why: 'perishes' | 'in-house' | 'often' | 'first'
  /** What is not in the house, by ingredient. */
  readonly missing: readonly string[]
  /** What would be used up, and its last day; only of `perishes`. */
  readonly uses: StillGood | null
}

/** What is good for longer than this hurries nobody, days. */
const SOON_DAYS = 7

/**
 * Dishes that this house is likeliest to make next, each for another reason: what uses up something that perishes
 * within a week, soonest first; what is made most often of all that is in the house; what is made most often; and where
 * nothing was ever made, those that ask for least. An order of reasons, not a forecast: no weight is learned.
 *
 * @param dishes in the order of the book
 * @param good what is in the house and not past its day
 * @param today days since 1970-01-01
 * @param most how many are wanted
 * @returns at most so many, no dish twice
 */
export function nextDishes(
  dishes: readonly NextCandidate[],
  good: readonly StillGood[],
  today: number,
  most: number,
): NextDish[] {
  const there = new Map(good.map(one => [one.ingredient, one]))
  const missingOf = (dish: NextCandidate): string[] => dish.needs.filter(id => !there.has(id))
  const often = [...dishes].sort((p, q) => q.made - p.made)
  const anyMade = often.some(dish => dish.made > 0)
  const found: NextDish[] = []
  const add = (dish: NextCandidate, why: NextDish['why'], uses: StillGood | null = null): void => {
    if (found.length < most && !found.some(one => one.id === dish.id))
      found.push({ id: dish.id, why, missing: missingOf(dish), uses })
  }
  const soon = good
    .filter(one => one.lastDay - today <= SOON_DAYS && one.lastDay >= today)
    .sort((p, q) => p.lastDay - q.lastDay)
  for (const uses of soon) {
    const [dish] = often
      .filter(one => one.needs.includes(uses.ingredient))
      .sort((p, q) => missingOf(p).length - missingOf(q).length)
    if (dish && !found.some(one => one.uses?.ingredient === uses.ingredient)) add(dish, 'perishes', uses)
    if (found.length > 0) break
  }
  const whole = often.filter(dish => missingOf(dish).length === 0)
  for (const dish of whole.slice(0, 1)) add(dish, 'in-house')
  if (anyMade) for (const dish of often.filter(one => one.made > 0)) add(dish, 'often')
  for (const dish of whole) add(dish, 'in-house')
  for (const dish of [...dishes].sort((p, q) => p.needs.length - q.needs.length)) add(dish, anyMade ? 'often' : 'first')
  return found
}
