import type { DOMWrapper, VueWrapper } from '@vue/test-utils'

/** Whatever is looked at: a mounted component, or a part of one. */
type Seen = Pick<VueWrapper | DOMWrapper<Element>, 'findAll'>
const optionOf = (seen: Seen, text: string): Pick<DOMWrapper<HTMLInputElement>, 'setValue'> => {
  const label = seen.findAll('label').find(one => one.text().startsWith(text) && one.find('input').exists())
  if (!label) throw new Error(`Nothing to choose says "${text}".`)
  return label.get('input')
}

/**
 * Chooses one of a few, or ticks what can be ticked, by what it says.
 *
 * @param seen where it stands
 * @param text how its words begin
 * @param on false to take a tick away
 */
export const choose = (seen: Seen, text: string, on = true): Promise<void> => optionOf(seen, text).setValue(on)

/**
 * What is chosen or ticked, in its words.
 *
 * @param seen where it stands
 * @returns the words, in their order
 */
export const chosenIn = (seen: Seen): string[] =>
  seen
    .findAll('label')
    .filter(one => one.find('input').exists() && (one.get('input').element as HTMLInputElement).checked)
    .map(one => one.text())
