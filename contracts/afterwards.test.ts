import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { END_FAULTS } from '../core/cook/faults/faults'
import { BackupFootSchema, BackupHeadSchema, BackupRowSchema, BACKUP_FORMAT } from './backup'
import { BatchAfterSchema, BatchPatchSchema } from './batch'
import { BatchFilterSchema, BatchQuerySchema } from './batchQuery'
import { PhotosSchema } from './photo'

const taken = (schema: { safeParse(value: unknown): { success: boolean } }, value: unknown): boolean =>
  schema.safeParse(value).success

describe('what batches are looked for by', () => {
  it('is any one fault of the craft, any of them, or none; nothing else', () => {
    for (const fault of [...END_FAULTS, 'any', 'none']) expect(taken(BatchFilterSchema, { fault }), fault).toBe(true)
    for (const fault of ['sad', '', 3, null]) expect(taken(BatchFilterSchema, { fault })).toBe(false)
    expect(taken(BatchFilterSchema, { season: 'jun-aug', family: 'vegetable', pan: 'wide', fire: 'front' })).toBe(true)
    expect(taken(BatchFilterSchema, { colour: 'brown' })).toBe(false)
  })

  it('comes as text from an address, within bounds', () => {
    expect(BatchQuerySchema.parse({ limit: '30', before: '1790000000000' })).toMatchObject({
      limit: 30,
      before: 1_790_000_000_000,
    })
    expect(BatchQuerySchema.parse({})).toEqual({ limit: 60 })
    for (const limit of ['0', '201', 'many', '1.5']) expect(taken(BatchQuerySchema, { limit }), limit).toBe(false)
    expect(taken(BatchQuerySchema, { cursor: 'x'.repeat(101) })).toBe(false)
  })
})

describe('what comes after the fire, as it is kept', () => {
  const after = {
    massG: 900,
    leftG: 340,
    place: 'cold',
    madeAt: 1,
    readyAt: 2,
    eatBy: [3, 4],
    coldBy: null,
    inCold: [3, 4],
    liked: { sweetness: 'less' },
  }

  it('knows places and likings, and may leave open what older batches did not know', () => {
    expect(taken(BatchAfterSchema, after)).toBe(true)
    expect(taken(BatchAfterSchema, { ...after, fromMemory: true, sweetness: 21.4 })).toBe(true)
    for (const wrong of [
      { place: 'moon' },
      { liked: { sweetness: 'tasty' } },
      { liked: { saltiness: 'right' } },
      { eatBy: [3] },
      { leftG: Number.NaN },
    ]) {
      expect(taken(BatchAfterSchema, { ...after, ...wrong }), JSON.stringify(wrong)).toBe(false)
    }
  })

  it('takes notes up to two thousand characters', () => {
    expect(taken(BatchPatchSchema, { note: 'x'.repeat(2000) })).toBe(true)
    expect(taken(BatchPatchSchema, { note: 'x'.repeat(2001) })).toBe(false)
    expect(taken(BatchPatchSchema, { note: 'x', summary: {} })).toBe(false)
  })

  it('lists photographs by whole pixels', () => {
    expect(taken(PhotosSchema, { photos: [{ id: 'p', at: 1, width: 1280, height: 960 }] })).toBe(true)
    expect(taken(PhotosSchema, { photos: [{ id: 'p', at: 1, width: 12.5, height: 960 }] })).toBe(false)
  })
})

describe('lines of a backup', () => {
  const head = { format: BACKUP_FORMAT, at: 1, migration: '2026-11-29-ledger', tables: [{ name: 'cooks', rows: 4 }] }

  it('begin with what it is, and name nothing that could be a path or a statement', () => {
    expect(taken(BackupHeadSchema, head)).toBe(true)
    for (const wrong of [
      { format: 'other/1' },
      { migration: '../../etc/passwd' },
      { tables: [{ name: 'cooks; DROP', rows: 1 }] },
      { tables: [{ name: 'cooks', rows: -1 }] },
      { more: 1 },
    ]) {
      expect(taken(BackupHeadSchema, { ...head, ...wrong }), JSON.stringify(wrong)).toBe(false)
    }
  })

  it('hold rows of text, numbers, nothing and bytes, under names of columns alone', () => {
    expect(
      taken(BackupRowSchema, { t: 'photos', r: { id: 'p', width: 40, removed_at: null, bytes: { base64: 'AAAA' } } }),
    ).toBe(true)
    fc.assert(fc.property(fc.string(), (name) => {
      expect(taken(BackupRowSchema, { t: 'cooks', r: { [name]: 1 } })).toBe(/^[a-z_]{1,40}$/.test(name))
    }))
    for (const cell of [[1], { sql: 'x' }, true])
      expect(taken(BackupRowSchema, { t: 'cooks', r: { id: cell } })).toBe(false)
  })

  it('end with how many there were, and a digest that can be one', () => {
    expect(taken(BackupFootSchema, { rows: 431, sha256: 'a'.repeat(64) })).toBe(true)
    for (const wrong of [
      { rows: 1.5, sha256: 'a'.repeat(64) },
      { rows: 1, sha256: 'A'.repeat(64) },
      { rows: 1, sha256: 'a'.repeat(63) },
    ])
      expect(taken(BackupFootSchema, wrong)).toBe(false)
  })
})
