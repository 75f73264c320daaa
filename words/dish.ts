import { secondBases } from '../core/formulation/dish/basesOf'
import type { Choices } from '../core/formulation/dish/choices'
import type { Dish, DishCard } from '../core/formulation/dish/dish'
import { answerText, CHOICE_WORDS, FAMILY_WORDS } from './choices'
import type { StageRole } from '../core/formulation/dish/stageRole'
import { wordFor } from './wordFor'

/** Which choices tell one school from another, in the order they are said. */
const TOLD: readonly (keyof Choices)[] = [
  'form',
  'preparation',
  'roast',
  'fat',
  'liquid',
  'pour',
  'sugar',
  'nuts',
  'cooking',
  'lots',
  'finish',
  'tasting',
]
/** Answers that go without saying. */
const PLAIN: Readonly<Partial<Record<keyof Choices, readonly (string | boolean)[]>>> = {
  form: ['soft'],
  preparation: ['as-bought', 'grated'],
  pour: ['at-once'],
  cooking: ['open'],
  lots: [false],
  finish: ['stirred'],
  tasting: ['tasted'],
  roast: ['none'],
  liquid: ['none'],
}

/**
 * How a dish is cooked, in short phrases, leaving out what goes without saying.
 *
 * @param dish a dish
 * @returns phrases, such as `sugar once the grain has swollen`
 */
export function schoolOf(dish: Pick<DishCard, 'base' | 'choices' | 'ingredients'>): string[] {
  const has = (part: string): boolean => dish.ingredients.some(one => one.part === part)
  const seconds = secondBases(dish).map(({ id, asBase: { preparation } }) => {
    const ready = PLAIN.preparation?.includes(preparation)
      ? ''
      : `, ${CHOICE_WORDS.preparation.answers[preparation] ?? ''}`
    return `${id.replaceAll('-', ' ')} with it${ready}`
  })
  const told = TOLD.filter(key => !PLAIN[key]?.includes(dish.choices[key]))
    .filter(key =>
      key === 'nuts' ? has('nuts') : key === 'pour' || key === 'liquid' ? dish.choices.liquid !== 'none' : true,
    )
    .map(key => {
      const { asks } = CHOICE_WORDS[key]
      const answer = answerText(key, dish.choices[key])
      return key === 'sugar'
        ? `sugar ${answer}`
        : key === 'fat'
          ? `fat ${answer}`
          : key === 'nuts'
            ? `nuts ${answer}`
            : key === 'liquid'
              ? answer
              : key === 'roast'
                ? `roast ${answer}`
                : key === 'form' || key === 'tasting' || key === 'pour'
                  ? answer
                  : `${asks.toLowerCase()} ${answer}`
    })
  return [...seconds, ...told]
}

/**
 * The family of a dish in words.
 *
 * @param dish a dish
 * @returns such as `Semolina`
 */
export function familyName(dish: Pick<DishCard, 'family'>): string {
  return wordFor(FAMILY_WORDS, dish.family)?.name ?? dish.family
}

/** What turns a dish at its keystone, by the id of the stage that begins or ends there. */
const TURNS: Readonly<Partial<Record<StageRole, string>>> = {
  'pour': 'Pour',
  'rain': 'Grain in',
  'milk': 'Milk in',
  'liquid': 'Liquid in',
  'sweeten': 'Sugar in',
  'cool': 'Off the fire',
  'thicken': 'Thickened',
  'soften': 'Into the syrup',
}

/**
 * The turning point of a dish in a word or two.
 *
 * @param dish a dish with its stages
 * @returns such as `Pour`
 */
export function turnText(dish: Pick<Dish, 'keystone'>): string {
  return wordFor(TURNS, dish.keystone.stage) ?? 'Turn'
}
