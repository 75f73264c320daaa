import { shallowRef, type Ref } from 'vue'
import { z } from 'zod'
import { dropText, keptJson, keptKeys } from './deviceStorage'
import { countWaiting } from './outbox'

const PREFIX = 'yon-hearth.refused.'
const RefusedSchema = z.object({ why: z.string(), entry: z.looseObject({ stream: z.string().optional(), observation: z.looseObject({ kind: z.string(), deviceTime: z.number() }).optional() }) })

/** Something that the hearth refused for good, as it stands on this device. */
export interface SetAside { readonly key: string, readonly what: string, readonly why: string, readonly atMs: number | null }

/**
 * What the hearth refused, and this device keeps.
 *
 * @returns the list, and how one is let go of
 */
export function useSetAside(): { readonly list: Readonly<Ref<readonly SetAside[]>>, letGo(key: string): void } {
  const read = (): SetAside[] => keptKeys(PREFIX).map((key) => {
    const parsed = RefusedSchema.safeParse(keptJson(key))
    const observation = parsed.data?.entry.observation
    return { key, what: observation ? `${observation.kind} of ${parsed.data?.entry.stream ?? 'a cook'}` : 'a plan', why: parsed.data?.why ?? 'it cannot be read', atMs: observation?.deviceTime ?? null }
  })
  const list = shallowRef<readonly SetAside[]>(read())
  return {
    list,
    letGo(key) {
      dropText(key)
      list.value = read()
      countWaiting()
    },
  }
}
