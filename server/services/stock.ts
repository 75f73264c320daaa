import { STARTER_DISHES } from '../../book/dishes'
import { FIRST_KITCHEN } from '../../book/firstKitchen'
import type { Hearth } from './hearth'
import { Refusal } from './refusal'

/**
 * Puts the starter dishes and, where every shelf is empty, a first guess of a kitchen into a hearth. Everything guessed
 * says that it is a guess.
 *
 * @param hearth an open hearth
 */
export async function stock(hearth: Hearth): Promise<void> {
  const dishes = await hearth.dishes.latest()
  for (const dish of STARTER_DISHES)
    if (!dishes.some(one => one.id === dish.id)) await hearth.dishes.add(dish).catch(keepWhatStands)
  if (!await hearth.kitchens.isBare()) return
  for (const measure of FIRST_KITCHEN.measures) await hearth.kitchens.put('measures', measure)
  for (const pan of FIRST_KITCHEN.pans) await hearth.kitchens.put('pans', pan)
  for (const fire of FIRST_KITCHEN.fires) await hearth.kitchens.put('fires', fire)
  for (const tray of FIRST_KITCHEN.trays) await hearth.kitchens.put('trays', tray)
  for (const settings of FIRST_KITCHEN.settings) await hearth.kitchens.put('settings', settings)
}

/** Something that cannot be read may stand under a starter's name: it is kept, and ends no start. */
function keepWhatStands(error: unknown): void {
  if (!(error instanceof Refusal)) throw error
}
