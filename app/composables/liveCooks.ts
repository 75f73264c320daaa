import { createSharedComposable } from '@vueuse/core'
import { computed, onScopeDispose, shallowRef, type Ref } from 'vue'
import { z } from 'zod'
import { LiveCookLineSchema, type LiveCookLine } from '../../contracts/cook'
import { ask } from '../clients/api'

const AnswerSchema = z.object({ cooks: z.array(LiveCookLineSchema) })

/**
 * Cooks that are not finished, read now and every few seconds, once for all who ask on a page.
 *
 * @returns the newest first, readonly; empty while the hearth is away
 */
export const useLiveCooks = createSharedComposable((): Readonly<Ref<readonly LiveCookLine[]>> => {
  const cooks = shallowRef<readonly LiveCookLine[]>([])
  const read = async (): Promise<void> => {
    const answer = await ask('GET', '/cooks', AnswerSchema).catch(() => null)
    if (answer) cooks.value = answer.cooks
  }
  void read()
  const timer = setInterval(() => void read(), 5000)
  onScopeDispose(() => clearInterval(timer))
  return computed(() => cooks.value)
})
