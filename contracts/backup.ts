import { z } from 'zod'
import { Millis } from './ids'

/** Format of a full backup: gzip (RFC 1952) of JSON Lines; see docs/formats.md. */
export const BACKUP_FORMAT = 'yon-hearth/backup/1'
/** Most that a backup may unpack to, and how many bytes of it may come in, bytes. */
export const MOST_BACKUP_BYTES = 400_000_000
export const MOST_UNPACKED_BYTES = 1_500_000_000
/** Longest line of it, characters: a photograph is the longest thing. */
export const MOST_LINE = 8_000_000

/** First line: what it is, of which day, and the migration its tables stand at. */
export const BackupHeadSchema = z.strictObject({
  format: z.literal(BACKUP_FORMAT), at: Millis, migration: z.string().regex(/^\d{4}-\d{2}-\d{2}-[a-z]+$/), tables: z.array(z.strictObject({ name: z.string().regex(/^[a-z_]{1,40}$/), rows: z.number().int().min(0).max(10_000_000) })).max(40),
})
export type BackupHead = z.infer<typeof BackupHeadSchema>

const Cell = z.union([z.string(), z.number(), z.null(), z.strictObject({ base64: z.string() })])
/** A row: table, and its columns' values by name; bytes as base64. */
export const BackupRowSchema = z.strictObject({ t: z.string().regex(/^[a-z_]{1,40}$/), r: z.record(z.string().regex(/^[a-z_]{1,40}$/), Cell) })
export type BackupRow = z.infer<typeof BackupRowSchema>

/** Last line: how many rows there were, and the SHA-256 of every line before it. */
export const BackupFootSchema = z.strictObject({ rows: z.number().int().min(0), sha256: z.string().regex(/^[0-9a-f]{64}$/) })

/** What came of taking in a file of batches. */
export const TakenInSchema = z.strictObject({ taken: z.number().int(), known: z.number().int() })
export type TakenIn = z.infer<typeof TakenInSchema>

/** Kinds of copies: one a day, and those before an update or a restored backup took the place of what was there. */
export const COPY_KINDS = ['daily', 'before-update', 'before-restore'] as const
export type CopyKind = (typeof COPY_KINDS)[number]
/** Copies of the database that the hearth makes by itself. */
export const CopiesSchema = z.strictObject({ copies: z.array(z.strictObject({ name: z.string(), kind: z.enum(COPY_KINDS), at: Millis, bytes: z.number().int() })), folder: z.string() })
export type Copies = z.infer<typeof CopiesSchema>
