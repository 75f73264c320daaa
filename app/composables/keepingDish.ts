import { computed, ref, type Ref } from 'vue'
import type { DishCard } from '../../core/formulation/dish/dish'
import { newId } from '../clients/sync/outbox'

/** What keeping a dish needs to know, and what it can do. */
export interface KeepingSources {
  /** Dish in hand. */
  readonly card: Readonly<Ref<DishCard | null>>
  /** Dishes of the book. */
  readonly dishes: Readonly<Ref<readonly DishCard[]>>
  /** Takes another dish in hand. */
  readonly take: (dish: DishCard) => void
  /** Keeps a version in the book; fails where the hearth is away. */
  readonly keepDish: (dish: DishCard) => Promise<void>
}

/**
 * Keeps the dish in hand in the book: as its next version, or as a dish of the house's own.
 *
 * @param sources dish in hand, book, and the ways to change them
 * @returns whether it was changed, what went wrong in a sentence, and the ways to keep it
 */
export function useKeepingDish({ card, dishes, take, keepDish }: KeepingSources) {
  const trouble = ref('')
  const book = computed(() => dishes.value.find(one => one.id === card.value?.id) ?? null)
  const kept = computed(() => JSON.stringify(book.value))
  const changed = computed(() => card.value !== null && JSON.stringify(card.value) !== kept.value)
  /** The dish as it is in hand, one version after the newest. */
  const nextVersion = (): DishCard | null =>
    card.value ? { ...card.value, version: (book.value?.version ?? 0) + 1 } : null
  /** Keeps a version; the dish in hand is then that one. */
  async function keep(next: DishCard | null): Promise<boolean> {
    if (!next) return false
    return keepDish(next).then(() => {
      take(next)
      trouble.value = ''
      return true
    }, () => {
      trouble.value = 'The hearth is away: the dish is kept on this device and not in the book yet.'
      return false
    })
  }
  /** Keeps it beside the dish it came from. */
  async function keepAsOwn(): Promise<boolean> {
    return keep(
      card.value
        ? {
            ...card.value,
            id: newId(),
            version: 1,
            name: `${card.value.name}, ours`.slice(0, 60),
            note: `from ${card.value.name}`,
          }
        : null,
    )
  }
  return { trouble, changed, nextVersion, keep, keepAsOwn }
}
