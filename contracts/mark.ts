import { z } from 'zod'
import { SharedPayload } from '../core/record/marks/kind'
import { isMarkKind, MARK_KINDS } from '../core/record/marks/kinds'

/** A note at a moment of a cook, as it is typed in the ledger: a line, and where it stands, s from the lighting. */
export const NoteAtSchema = z.strictObject({
  text: z.string().trim().min(1).max(200),
  atS: z.number().min(0).max(86_400),
})

/**
 * What is wrong with the payload of a kind that is known here. One of a newer version stays as it is.
 *
 * @param kind of the mark
 * @param payload of the mark
 * @returns path and message of the first field at fault; null where nothing is
 */
export function payloadFault(
  kind: string,
  payload: unknown,
): { readonly path: string, readonly message: string } | null {
  if (!isMarkKind(kind)) return null
  const { schema, limits } = MARK_KINDS[kind]
  const issue = [SharedPayload, schema, ...(limits ? [limits] : [])].flatMap(
    one => one.safeParse(payload).error?.issues ?? [],
  )[0]
  return issue ? { path: ['payload', ...issue.path].join('.'), message: issue.message.slice(0, 200) } : null
}
