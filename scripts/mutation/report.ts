import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { z } from 'zod'

/** Where the newest result of every group is kept. */
const FILE = 'docs/mutation.json'

const CAME = ['killed', 'lived', 'endless'] as const
/** What came of a mutant: a test failed, none did, or they did not end. */
export type Came = (typeof CAME)[number]

const TriedSchema = z.strictObject({
  file: z.string(),
  line: z.number(),
  was: z.string(),
  is: z.string(),
  groups: z.array(z.string()),
  came: z.enum(CAME),
})
/** A mutant that was tried, as it is kept. */
export type Tried = z.infer<typeof TriedSchema>

const GroupSchema = z.strictObject({
  seed: z.number(),
  sampled: z.number(),
  killed: z.number(),
  share: z.number(),
})
const ReportSchema = z.strictObject({ groups: z.record(z.string(), GroupSchema), mutants: z.array(TriedSchema) })
type Report = z.infer<typeof ReportSchema>

/**
 * What is kept of earlier runs.
 *
 * @returns the newest result of each group
 * @throws ZodError where the file is another's
 */
export function kept(): Report {
  return existsSync(FILE) ? ReportSchema.parse(JSON.parse(readFileSync(FILE, 'utf8'))) : { groups: {}, mutants: [] }
}

/**
 * Keeps the results of a group beside the newest ones of the others.
 *
 * @param tried every mutant of the group
 * @param name of the group
 * @param seed of the sampler
 * @returns how the group stands now
 */
export function keep(tried: readonly Tried[], name: string, seed: number): Report['groups'][string] {
  const before = kept()
  const killed = tried.filter(one => one.came !== 'lived').length
  const group = { seed, sampled: tried.length, killed, share: Math.round(1000 * killed / Math.max(1, tried.length)) / 1000 }
  const others = before.mutants.flatMap((one) => {
    const groups = one.groups.filter(other => other !== name)
    return groups.length > 0 ? [{ ...one, groups }] : []
  })
  const mine = tried.map(one => ({ ...one, groups: [name] }))
  const mutants = [...others, ...mine].sort((p, q) =>
    p.file < q.file ? -1 : p.file > q.file ? 1 : p.line - q.line || (p.is < q.is ? -1 : p.is > q.is ? 1 : 0))
  writeFileSync(FILE, `${JSON.stringify({ groups: { ...before.groups, [name]: group }, mutants }, null, 1)}\n`)
  return group
}
