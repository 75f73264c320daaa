import { itemAt } from '../../../maths/table/itemAt'
import type { FoodIndex } from './foodNames'
import { amountAtHead } from './lineAmount'

const JOINS = /\s*(?:,|\+|;|&|\band\b|\bplus\b|\bwith\b|\bin\b|और|மற்றும்)\s*/giu
const EACH = /\beach\b|\bप्रत्येक\b/i

/**
 * The things a line names: `2 tbsp ghee and 1 cup milk` are two, and so are `raisins and cashews, 2 tbsp each`; `1 cup
 * plus 2 tbsp sugar` is one.
 *
 * @param line a tidy line
 * @param foods what finds a food by its name
 * @returns the pieces in their order, at least one; together they are the whole line
 */
export function thingsOf(line: string, foods: FoodIndex): string[] {
  return withAmounts(line, foods) ?? alike(line, foods) ?? [line]
}

/** Cut where a second amount with a food of its own begins. */
function withAmounts(line: string, foods: FoodIndex): string[] | null {
  for (const join of line.matchAll(JOINS)) {
    const [before, after] = [line.slice(0, join.index), line.slice(join.index + join[0].length)]
    if (opens(before)) continue
    const [first, second] = [amountAtHead(before), amountAtHead(after)]
    if (!first || !second || (second.amount.unit === null && !/^\d/.test(after))) continue
    if (!foods.find(first.rest).row || !foods.find(second.rest).row) continue
    const rest = thingsOf(after, foods)
    return [before.replace(/\b(?:soaked|dissolved|mixed|steeped|bloomed)$/i, '').trim(), ...rest]
  }
  return null
}

/** `cashews and raisins`: two foods that share an amount, said for each or for both. */
function alike(line: string, foods: FoodIndex): string[] | null {
  const joined = /^(.*?)\s*(?:,\s*)?(?:\band\b|&|\+|और|மற்றும்)\s*(.*)$/iu.exec(line)
  if (!joined || opens(itemAt(joined, 1))) return null
  const head = amountAtHead(itemAt(joined, 1))
  const [one, two] = [head?.rest ?? itemAt(joined, 1), itemAt(joined, 2).replace(EACH, '').trim()]
  const tail = tailAmount(two)
  const names = [one.replace(/^(?:each|of|each of)\s+/i, ''), tail?.name ?? two].map(name => name.trim())
  const found = names.map(name => foods.find(name))
  if (!found.every(each => each.sure) || itemAt(found, 0).row === itemAt(found, 1).row) return null
  const amount = head ? itemAt(joined, 1).slice(0, itemAt(joined, 1).length - head.rest.length).trim() : tail?.amount ?? ''
  const isEach = EACH.test(line)
  return names.map(name => (isEach && amount !== '' ? `${amount} ${name}` : name))
}

function tailAmount(text: string): { readonly name: string, readonly amount: string } | null {
  const found = /^(.*?)[\s:–—\-,]+([\d½¼¾⅓⅔].*)$/u.exec(text)
  return found ? { name: itemAt(found, 1), amount: itemAt(found, 2).trim() } : null
}

/** True within a bracket. */
const opens = (text: string): boolean => text.split('(').length > text.split(')').length
