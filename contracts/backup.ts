import { z } from 'zod'
import { Millis } from './ids'

/** Format of a full backup: gzip (RFC 1952) of JSON Lines; see docs/formats.md. */
export const BACKUP_FORMAT = 'yon-hearth/backup/1'
/**
 * What a backup holds, in an order in which every row finds the one it belongs to. Who has entered the house stays out
 * of it.
 */
export const BACKUP_TABLES = [
  'shelf_items',
  'dish_versions',
  'dish_states',
  'cooks',
  'observations',
  'batches',
  'batch_faults',
  'photos',
  'lessons',
  'spreads',
] as const
/** Most that a file of batches may have, bytes. A backup has no such limit: it may fill the disk but for a reserve. */
export const MOST_BATCHES_BYTES = 2_000_000_000
/** Longest line of it, characters: a photograph is the longest thing. */
export const MOST_LINE = 8_000_000

/** First line: what it is, of which day, and the migration its tables stand at. */
export const BackupHeadSchema = z.strictObject({
  format: z.literal(BACKUP_FORMAT),
  at: Millis,
  migration: z.string().regex(/^\d{4}-\d{2}-\d{2}-[a-z]+$/),
  tables: z
    .array(z.strictObject({ name: z.string().regex(/^[a-z_]{1,40}$/), rows: z.number().int().min(0).max(10_000_000) }))
    .max(40),
})
export type BackupHead = z.infer<typeof BackupHeadSchema>

const Cell = z.union([z.string(), z.number(), z.null(), z.strictObject({ base64: z.string() })])
/** A row: table, and its columns' values by name; bytes as base64. */
export const BackupRowSchema = z.strictObject({
  t: z.string().regex(/^[a-z_]{1,40}$/),
  r: z.record(z.string().regex(/^[a-z_]{1,40}$/), Cell),
})
export type BackupRow = z.infer<typeof BackupRowSchema>

/** Last line: how many rows there were, and the SHA-256 of every line before it. */
export const BackupFootSchema = z.strictObject({
  rows: z.number().int().min(0),
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
})

/** What is taken out of a house. */
export const ExportWishSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('backup'), at: Millis, photos: z.boolean() }),
  z.strictObject({ kind: z.literal('csv') }),
  z.strictObject({ kind: z.literal('jsonl') }),
])
export type ExportWish = z.infer<typeof ExportWishSchema>

/** How large a backup will be, about, with photographs and without, bytes; and what it holds. */
export const BackupSizeSchema = z.strictObject({
  bytes: z.number().int(),
  withoutPhotosBytes: z.number().int(),
  batches: z.number().int(),
  photos: z.number().int(),
})
export type BackupSize = z.infer<typeof BackupSizeSchema>

/** What is taken into a house: a backup in the place of what is there, or batches beside it. */
export const IntakeWishSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('backup'), putAside: z.boolean() }),
  z.strictObject({ kind: z.literal('batches') }),
])
export type IntakeWish = z.infer<typeof IntakeWishSchema>

/**
 * What came of restoring a backup: rows; photographs that could not be read and were left out; the copy of what was
 * there before.
 */
export const RestoredSchema = z.strictObject({
  rows: z.number().int(),
  photosLeftOut: z.number().int(),
  aside: z.string().nullable(),
})
export type Restored = z.infer<typeof RestoredSchema>

/** What came of taking in a file of batches. */
export const TakenInSchema = z.strictObject({ taken: z.number().int(), known: z.number().int() })
export type TakenIn = z.infer<typeof TakenInSchema>

/** Kinds of copies: one a day, and those before an update or a restored backup took the place of what was there. */
export const COPY_KINDS = ['daily', 'before-update', 'before-restore'] as const
export type CopyKind = (typeof COPY_KINDS)[number]
/** Copies of the database that the hearth makes by itself. */
export const CopiesSchema = z.strictObject({
  copies: z.array(z.strictObject({ name: z.string(), kind: z.enum(COPY_KINDS), at: Millis, bytes: z.number().int() })),
  folder: z.string(),
})
export type Copies = z.infer<typeof CopiesSchema>
