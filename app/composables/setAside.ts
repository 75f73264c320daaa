import { shallowRef, type Ref } from 'vue'
import { z } from 'zod'
import { dropText, keptJson, keptKeys } from '../clients/sync/storage'
import { countWaiting } from '../clients/sync/outbox'

const PREFIX = 'yon-hearth.refused.'
const RefusedSchema = z.object({ why: z.string(), entry: z.looseObject({
  stream: z.string().optional(),
  observation: z
    .looseObject({ kind: z.string(), deviceTime: z.number(), payload: z.record(z.string(), z.unknown()) })
    .optional(),
  plan: z.looseObject({ dish: z.looseObject({ name: z.string() }) }).optional(),
}) })

/** Something that the hearth refused for good, as it stands on this device. */
export interface SetAside {
  readonly key: string
  /** The mark and the cook it belongs to; null for a plan, or what cannot be read. */
  readonly mark: {
    readonly stream: string
    readonly kind: string
    readonly payload: Readonly<Record<string, unknown>>
    readonly atMs: number
  } | null
  /** The dish of a plan that was refused. */
  readonly dish: string | null
  readonly why: string
}

/**
 * What the hearth refused, and this device keeps.
 *
 * @returns the list, and how one is let go of
 */
export function useSetAside(): { readonly list: Readonly<Ref<readonly SetAside[]>>, letGo(key: string): void } {
  const read = (): SetAside[] => keptKeys(PREFIX).map((key) => {
    const { data } = RefusedSchema.safeParse(keptJson(key))
    const { observation, stream, plan } = data?.entry ?? {}
    return {
      key, why: data?.why ?? 'it cannot be read', dish: plan?.dish.name ?? null,
      mark: observation
        ? { stream: stream ?? '', kind: observation.kind, payload: observation.payload, atMs: observation.deviceTime }
        : null,
    }
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
