import { computed, readonly, ref, shallowRef, type Ref } from 'vue'
import { z } from 'zod'
import {
  BackupSizeSchema,
  CopiesSchema,
  RestoredSchema,
  TakenInSchema,
  type BackupSize,
  type Copies,
} from '../../contracts/backup'
import { ask, askedWithProof, problemIn } from '../clients/api'

const HoldsSchema = z.record(z.string(), z.number())
const SizeSchema = z.object({ size: BackupSizeSchema, holds: HoldsSchema })
const UnreadableSchema = z.object({ unreadable: z.array(z.object({ what: z.string(), name: z.string() })) })
export type Unreadable = z.infer<typeof UnreadableSchema>['unreadable']

/** Names of what stands in a house, one and many. */
const NAMES: Readonly<Record<string, readonly [string, string]>> = {
  batches: ['batch', 'batches'],
  cooks: ['cook on the fire', 'cooks on the fire'],
  lessons: ['lesson', 'lessons'],
  days: ['day of cooking', 'days of cooking'],
  dishes: ['dish of your own', 'dishes of your own'],
  shelves: ['thing on the shelves', 'things on the shelves'],
  photos: ['photograph', 'photographs'],
}

/**
 * What stands in a house, as it is said.
 *
 * @param holds counts by name
 * @returns such as `19 batches, 1 day of cooking`; nothing where the house is as it was stocked
 */
export function holdsText(holds: Readonly<Record<string, number>>): string {
  // A batch is a cook as well: only those that are not finished are told of beside them.
  const told: Readonly<Record<string, number>> = {
    ...holds,
    cooks: Math.max(0, (holds.cooks ?? 0) - (holds.batches ?? 0)),
  }
  return ['batches', 'days', 'cooks', 'lessons', 'dishes', 'shelves', 'photos']
    .map(name => [name, told[name] ?? 0] as const)
    .flatMap(([name, count]) => (count > 0 && NAMES[name] ? [`${count} ${NAMES[name][count === 1 ? 0 : 1]}`] : []))
    .join(', ')
}

/** What is taken out of a house and into it, and the copies it makes by itself. */
export interface HouseFiles {
  /** Fulfilled once what stands here was read, or could not be. */
  readonly arrived: Promise<void>
  readonly copies: Readonly<Ref<Copies | null>>
  readonly size: Readonly<Ref<BackupSize | null>>
  readonly unreadable: Readonly<Ref<Unreadable>>
  /** What was last said of it, and whether it went wrong. */
  readonly says: Readonly<Ref<string>>
  readonly wrong: Readonly<Ref<boolean>>
  readonly busy: Readonly<Ref<boolean>>
  /** What stands in the house and would be put aside by the file that waits; null where none does. */
  readonly standing: Readonly<Ref<string | null>>
  takeIn(file: File): Promise<void>
  /** Restores a backup; where something stands in the house it waits to be told. */
  restore(file: File): Promise<void>
  /** Puts aside what stands there and goes on, or leaves it. */
  tell(putAside: boolean): Promise<void>
}

/**
 * Files of the house.
 *
 * @returns what there is, and what can be done
 */
export function useHouseFiles(): HouseFiles {
  const [copies, size, unreadable] = [
    shallowRef<Copies | null>(null),
    shallowRef<BackupSize | null>(null),
    shallowRef<Unreadable>([]),
  ]
  const [says, wrong, busy] = [ref(''), ref(false), ref(false)]
  const standing = ref<string | null>(null)
  let waiting: File | null = null

  async function read(): Promise<void> {
    const nothing = (): null => null
    const [list, sizes, damaged] = await Promise.all([
      ask('GET', '/copies', CopiesSchema).catch(nothing),
      ask('GET', '/backup/size', SizeSchema).catch(nothing),
      ask('GET', '/unreadable', UnreadableSchema).catch(nothing),
    ])
    copies.value = list
    size.value = sizes?.size ?? null
    unreadable.value = damaged?.unreadable ?? []
  }
  const arrived = read()

  /** Sends a file as it is; what came of it, or what is wrong with it. */
  async function send(file: File, path: string, type: string, done: (answer: unknown) => string): Promise<void> {
    busy.value = true
    wrong.value = false
    says.value = 'Reading it…'
    try {
      const { ok, text } = await askedWithProof(() =>
        fetch(`/api${path}`, { method: 'POST', body: file, headers: { 'content-type': type } }),
      )
      const problem = ok ? null : problemIn(text)
      wrong.value = !ok
      says.value = ok
        ? done(JSON.parse(text))
        : problem
          ? `${problem.title}${problem.fields[0] ? ` (${problem.fields[0].path})` : ''}. ${problem.detail}`
          : 'The hearth is away. Nothing was changed.'
    }
    catch {
      wrong.value = true
      says.value = 'The hearth is away, or the connection broke. Nothing was changed.'
    }
    busy.value = false
    await read()
  }
  const restored = (answer: unknown): string => {
    const parsed = RestoredSchema.safeParse(answer)
    if (!parsed.success) return 'Restored.'
    const { aside, photosLeftOut } = parsed.data
    return `Restored. Everything stands as it did in the backup.${aside ? ` What stood here before is kept as the copy ${aside}.` : ''}${photosLeftOut > 0 ? ` ${photosLeftOut} photographs could not be read and were left out.` : ''}`
  }
  const takenIn = (answer: unknown): string => {
    const parsed = TakenInSchema.safeParse(answer)
    return parsed.success
      ? `${parsed.data.taken} ${parsed.data.taken === 1 ? 'batch' : 'batches'} taken in${parsed.data.known > 0 ? `, ${parsed.data.known} stood here already` : ''}.`
      : 'Taken in.'
  }
  return {
    arrived,
    copies: computed(() => copies.value),
    size: readonly(size),
    unreadable: computed(() => unreadable.value),
    says: readonly(says),
    wrong: readonly(wrong),
    busy: readonly(busy),
    standing: readonly(standing),
    takeIn: file => send(file, '/batches/import', 'application/jsonl', takenIn),
    async restore(file) {
      const now = await ask('GET', '/backup/size', SizeSchema).catch(() => null)
      const holds = now ? holdsText(now.holds) : ''
      if (holds === '') return send(file, '/backup/restore', 'application/gzip', restored)
      waiting = file
      standing.value = holds
    },
    async tell(putAside) {
      const file = waiting
      waiting = null
      standing.value = null
      if (putAside && file) await send(file, '/backup/restore?putAside=1', 'application/gzip', restored)
      else if (file) says.value = 'Nothing was changed.'
    },
  }
}
