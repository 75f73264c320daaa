/**
 * A weight as a recipe gives it: whole grams, tenths below ten, hundredths below one.
 *
 * @param massG zero or more, g
 * @returns such as `263 g`
 */
export function recipeGrams(massG: number): string {
  const places = massG < 1 ? 2 : massG < 10 ? 1 : 0
  return `${Number(massG.toFixed(places))} g`
}
