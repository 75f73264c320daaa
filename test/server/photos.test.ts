import { Buffer } from 'node:buffer'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { openHearth, type Hearth } from '../../server/services/hearth'
import { plainJpeg } from '../../server/services/jpeg'
import { Refusal } from '../../server/services/refusal'
import { jpegWithPlace } from '../support/jpegs'
import { examplePlan } from '../support/plans'

const START = 1_795_000_000_000
let folder: string
let house: Hearth
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'yon-hearth-photos-'))
  house = await openHearth(folder, { now: () => START + 60_000, rate: 1 })
  for (const id of ['first', 'second']) {
    await house.cooks.create(examplePlan({}, id))
    await house.append(id, {
      sentAt: START + 60_000,
      observations: ['cook.started', 'cook.finished'].map((kind, i) => ({
        id: `${id}-${i}`,
        device: 'd',
        number: i + 1,
        deviceTime: START + i * 50_000,
        kind,
        payload: {},
      })),
    })
  }
  await house.settled()
})
afterAll(async () => {
  await house.close()
  rmSync(folder, { recursive: true, force: true })
})

describe('photographs', () => {
  it('keep nothing of the file but the picture', async () => {
    const given = jpegWithPlace()
    expect(given.includes('GPS-HERE')).toBe(true)
    const plain = plainJpeg(given)!
    expect(plain).toMatchObject({ width: 2, height: 2 })
    expect(plain.bytes.includes('GPS-HERE')).toBe(false)
    expect(plain.bytes.includes('a comment')).toBe(false)
    expect(plain.bytes.subarray(-2).toString('hex')).toBe('ffd9')
    const photo = await house.photos.add('first', given)
    expect((await house.photos.bytes(photo.id)).includes('GPS-HERE')).toBe(false)
  })

  it('are refused where they are none, too large or too many', async () => {
    for (const bad of [Buffer.from('no picture'), jpegWithPlace().subarray(0, 40), Buffer.alloc(700_000)])
      await expect(house.photos.add('first', bad)).rejects.toMatchObject({ code: 'not-a-photo' })
    await expect(house.photos.add('none', jpegWithPlace())).rejects.toMatchObject({ code: 'not-found' })
    for (let i = 0; i < 11; i++) await house.photos.add('second', jpegWithPlace())
    await house.photos.add('second', jpegWithPlace())
    await expect(house.photos.add('second', jpegWithPlace())).rejects.toMatchObject({ code: 'too-many-photos' })
    const [first] = await house.photos.of('second')
    await house.photos.remove(first!.id)
    await expect(house.photos.bytes(first!.id)).rejects.toThrow(Refusal)
    expect(await house.photos.of('second')).toHaveLength(11)
  })
})
