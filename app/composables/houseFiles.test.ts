import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { holdsText, useHouseFiles } from './houseFiles'

const asked: string[] = []
let holds: Record<string, number> = {}
beforeEach(() => {
  asked.length = 0
  holds = { batches: 19, cooks: 20, days: 1, dishes: 0 }
  vi.stubGlobal('fetch', (path: string, options: RequestInit) => {
    asked.push(`${options.method} ${path}`)
    if (path === '/api/backup/size')
      return Promise.resolve(
        new Response(JSON.stringify({ size: { bytes: 9, withoutPhotosBytes: 8, batches: 19, photos: 0 }, holds })),
      )
    if (path.startsWith('/api/backup/restore'))
      return Promise.resolve(
        new Response(
          JSON.stringify({
            rows: 4,
            photosLeftOut: 0,
            aside: path.includes('putAside') ? 'before-restore-x.sqlite' : null,
          }),
        ),
      )
    return Promise.resolve(new Response('{}', { status: 404 }))
  })
})
afterEach(() => vi.unstubAllGlobals())
const file = new File(['x'], 'backup.jsonl.gz')

describe('restoring', () => {
  it('says what stands in the house, and waits to be told', async () => {
    const files = useHouseFiles()
    await files.restore(file)
    expect(files.standing.value).toBe('19 batches, 1 day of cooking, 1 cook on the fire')
    expect(asked.filter(one => one.startsWith('POST'))).toEqual([])
    await files.tell(false)
    expect([files.standing.value, files.says.value]).toEqual([null, 'Nothing was changed.'])
    await files.restore(file)
    await files.tell(true)
    expect(asked.filter(one => one.startsWith('POST'))).toEqual(['POST /api/backup/restore?putAside=1'])
    expect(files.says.value).toContain('kept as the copy before-restore-x.sqlite')
  })

  it('goes on by itself in a house that is as it was stocked', async () => {
    holds = { batches: 0, cooks: 0 }
    const files = useHouseFiles()
    await files.restore(file)
    expect(asked.filter(one => one.startsWith('POST'))).toEqual(['POST /api/backup/restore'])
    expect(holdsText({ batches: 1, cooks: 1, photos: 2 })).toBe('1 batch, 2 photographs')
  })
})
