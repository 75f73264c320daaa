import type { z } from 'zod'
import { dropText, keepText, keptJson, keptKeys, onDeviceFull } from './storage'

/** What was read last of one kind, kept on this device so that it is there while the hearth is away. */
export interface Recent<T> {
  /** Keeps one; those used longest ago go. */
  keep(id: string, value: object): void
  /** One that is kept, which counts as used; null where there is none that can be read. */
  read(id: string): T | null
}

/**
 * The documents of a kind that were used last, on this device. Where the device is full they make room for what is kept
 * nowhere else.
 *
 * @param kind name of the kind, such as `cook`
 * @param schema of a document
 * @param most how many are kept
 * @returns reads and keeps them
 */
export function recentOnDevice<T>(kind: string, schema: z.ZodType<T>, most: number): Recent<T> {
  const prefix = `yon-hearth.${kind}.`
  const order = `yon-hearth.used.${kind}`

  /** Ids, used last first; what another version kept without its order stands at the end. */
  function used(): string[] {
    const kept = keptKeys(prefix).map(key => key.slice(prefix.length))
    const said = keptJson(order)
    const known = (Array.isArray(said) ? said : []).filter((id): id is string => kept.includes(String(id)))
    return [...known, ...kept.filter(id => !known.includes(id))]
  }

  const use = (id: string): void => void keepText(order, JSON.stringify([id, ...used().filter(one => one !== id)]))

  onDeviceFull((key) => {
    const last = key === order ? undefined : used().filter(id => prefix + id !== key).at(-1)
    if (last !== undefined) dropText(prefix + last)
    return last !== undefined
  })

  return {
    keep(id, value) {
      // Its own place is no room that a mark could need: where even that is not there, it is read again.
      if (!keepText(prefix + id, JSON.stringify(value))) return dropText(prefix + id)
      use(id)
      for (const old of used().slice(most)) dropText(prefix + old)
    },
    read(id) {
      const parsed = schema.safeParse(keptJson(prefix + id))
      if (!parsed.success) return null
      use(id)
      return parsed.data
    },
  }
}
