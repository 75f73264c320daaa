import { computed, ref, type Ref } from 'vue'
import type { LiveCookLine } from '../../contracts/cook'
import { Anything, ask } from '../clients/api'
import { keepObservation } from '../clients/sync/outbox'

type LeftOpen = LiveCookLine & { readonly likelyDoneAt: number }

/**
 * Cooks that nobody finished, as they are asked about.
 *
 * @param live cooks that are not finished
 * @returns those to ask about, and what is said of one
 */
export function useLeftOpen(live: Readonly<Ref<readonly LiveCookLine[]>>) {
  const answered = ref<readonly string[]>([])
  const answer = (id: string): void => {
    answered.value = [...answered.value, id]
  }
  return {
    cooks: computed(() =>
      live.value.filter((one): one is LeftOpen => one.likelyDoneAt !== null && !answered.value.includes(one.id)),
    ),
    /** It was done then: it becomes a batch. Where the hearth is away it is asked again later. */
    async done(id: string, doneAt: number): Promise<void> {
      answer(id)
      await ask('POST', `/cooks/${id}/close`, Anything, { doneAt }).catch(() => {
        answered.value = answered.value.filter(one => one !== id)
      })
    },
    /** It is still on the fire: a mark like any other, after which it is left alone for a while. */
    still(id: string): void {
      answer(id)
      keepObservation(id, 'checked', { what: 'still-on' })
    },
  }
}
