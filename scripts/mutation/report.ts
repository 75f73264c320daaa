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
 * Keeps the results of some groups beside the newest ones of the others.
 *
 * @param tried every mutant of those groups
 * @param names of the groups
 * @param seedOf the sampler's seed of each group
 * @returns how each group stands now
 */
export function keep(tried: readonly Tried[], names: readonly string[], seedOf: (name: string) => number): Report['groups'] {
  const before = kept()
  const others = before.mutants.flatMap((one) => {
    const groups = one.groups.filter(name => !names.includes(name))
    return groups.length > 0 ? [{ ...one, groups }] : []
  })
  const groups = { ...before.groups }
  for (const name of names) {
    const own = tried.filter(one => one.groups.includes(name))
    const killed = own.filter(one => one.came !== 'lived').length
    groups[name] = { seed: seedOf(name), sampled: own.length, killed, share: Math.round(1000 * killed / Math.max(1, own.length)) / 1000 }
  }
  const mine = tried.map(one => ({ ...one, groups: one.groups.filter(name => names.includes(name)) }))
  const mutants = [...others, ...mine].sort((p, q) =>
    p.file < q.file ? -1 : p.file > q.file ? 1 : p.line - q.line || (p.is < q.is ? -1 : p.is > q.is ? 1 : 0))
  writeFileSync(FILE, `${JSON.stringify({ groups, mutants }, null, 1)}\n`)
  return groups
}
