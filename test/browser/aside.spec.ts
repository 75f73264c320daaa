import { readdirSync, readFileSync } from 'node:fs'
import { request as ask } from 'node:http'
import { gunzipSync } from 'node:zlib'
import { rawRequest } from '../support/rawRequest'
import { expect, test } from './hearth'

const PLAN = JSON.parse(readFileSync('docs/examples/cook-plan.json', 'utf8')) as Record<string, unknown>
const portOf = (url: string): number => Number(new URL(url).port)
const DAY_MS = 86_400_000

/** The longest that a small answer was waited for, asked every few milliseconds meanwhile, ms. */
function longestWait(url: string): { stop(): Promise<number> } {
  let [going, most] = [true, 0]
  const asking = (async () => {
    while (going) {
      const began = performance.now()
      await fetch(`${url}/api/clock`).then(answer => answer.arrayBuffer())
      most = Math.max(most, performance.now() - began)
      await new Promise(done => setTimeout(done, 5))
    }
  })()
  return {
    async stop() {
      going = false
      await asking
      return most
    },
  }
}

test.describe('work aside', () => {
  test.use({ demo: false })

  test('settles a cook that was finished seven days late, one with marks of all times, and one of many marks, and holds nobody up', async ({
    hearth,
    request,
  }) => {
    const now = Date.now()
    const put = async (id: string): Promise<void> =>
      expect((await request.put(`/api/cooks/${id}`, { data: { ...PLAN, id } })).ok()).toBe(true)
    const mark = async (
      id: string,
      marks: readonly (readonly [number, string, Record<string, unknown>?])[],
    ): Promise<void> => {
      for (let from = 0; from < marks.length; from += 200) {
        const observations = marks.slice(from, from + 200).map(([atMs, kind, payload = {}], i) => ({
          id: `${id}-${from + i}`,
          device: 'd',
          number: from + i + 1,
          deviceTime: Math.round(atMs),
          kind,
          payload,
        }))
        expect(
          (await request.post(`/api/streams/${id}/observations`, { data: { sentAt: now, observations } })).ok(),
        ).toBe(true)
      }
    }
    for (const id of ['late', 'odd', 'many']) await put(id)
    const wait = longestWait(hearth.url)
    const began = performance.now()
    await mark('late', [
      [now - 7 * DAY_MS, 'cook.started'],
      [now - 7 * DAY_MS + 300_000, 'stage.began', { stage: 'roast' }],
      [now, 'cook.finished'],
    ])
    await mark('odd', [
      [now - 3_600_000, 'cook.started'],
      [now + 365 * DAY_MS, 'stage.began', { stage: 'roast' }],
      [now - 400 * DAY_MS, 'sign.seen', { sign: 'aroma' }],
      [now - 2_000_000, 'note', { text: 'kept' }],
      [now, 'cook.finished'],
      [now, 'corrected', { replaces: 'odd-3', shiftS: -1e15 }],
    ])
    await mark('many', [
      [now - 7_200_000, 'cook.started'],
      ...Array.from(
        { length: 6000 },
        (_, i) => [now - 7_200_000 + i * 1000, 'weighed', { vessel: 'pan', grossG: 2400 + (i % 7) }] as const,
      ),
      [now, 'cook.finished'],
    ])
    for (const id of ['late', 'odd', 'many'])
      await expect.poll(async () => (await request.get(`/api/batches/${id}`)).status(), { timeout: 60_000 }).toBe(200)
    // Were it done where it is asked, one answer would wait for nearly all of it. The bench has the figures.
    expect(await wait.stop()).toBeLessThan((performance.now() - began) / 4)
    const odd = (await (await request.get('/api/batches/odd')).json()) as {
      line: { summary: { moments: { kind: string }[] } }
      observations: unknown[]
    }
    expect(odd.observations).toHaveLength(6)
    expect(odd.line.summary.moments.map(one => one.kind)).toEqual(['cook.started', 'sign.seen', 'cook.finished'])
  })
})

test.describe('a backup', () => {
  test('is whole, says its size before, leaves nothing behind when it is broken off, and restores over what was there only when told to', async ({
    hearth,
    request,
  }) => {
    const port = portOf(hearth.url)
    for (let i = 0; i < 6; i++) {
      await new Promise<void>(done => {
        const asked = ask({ port, path: '/api/backup' }, answer => {
          answer.once('data', () => asked.destroy())
          answer.on('error', () => done())
          answer.on('close', () => done())
        })
        asked.on('error', () => done())
        asked.end()
      })
    }
    await expect
      .poll(() => readdirSync(hearth.folder).filter(name => name.startsWith('.') || name.endsWith('.half')))
      .toEqual([])
    const { size } = (await (await request.get('/api/backup/size')).json()) as {
      size: { bytes: number, batches: number, withoutPhotosBytes: number }
    }
    const file = await (await request.get('/api/backup')).body()
    expect(size.batches).toBe(19)
    expect(file.length / size.bytes).toBeGreaterThan(0.4)
    expect(file.length / size.bytes).toBeLessThan(2.5)
    expect(gunzipSync(file).toString().trim().split('\n').length).toBeGreaterThan(100)
    const refused = await request.post('/api/backup/restore', {
      data: file,
      headers: { 'content-type': 'application/gzip' },
    })
    expect(refused.status()).toBe(409)
    expect(JSON.stringify(await refused.json())).toContain('19 batches')
    // What is none is refused with a sentence, however large it is.
    for (const bad of [
      Buffer.from('x'),
      Buffer.alloc(3_000_000, 7),
      file.subarray(0, file.length - 20),
      Buffer.concat([file, Buffer.from('more')]),
    ]) {
      const answer = await rawRequest({
        port,
        method: 'POST',
        target: '/api/backup/restore?putAside=1',
        headers: { 'content-type': 'application/gzip' },
        body: bad.toString('latin1'),
        encoding: 'latin1',
      })
      expect(answer.status).toBe(422)
      expect(answer.body).toContain('not-a-backup')
    }
    // No size is refused for being one: a house with photographs reaches hundreds of megabytes.
    const large = await rawRequest({
      port,
      method: 'POST',
      target: '/api/backup/restore?putAside=1',
      headers: { 'content-type': 'application/gzip', 'content-length': '900000000' },
      body: 'no gzip',
    })
    expect(large.status).toBe(422)
    expect(large.body).toContain('not-a-backup')
    const before = (await (await request.get('/api/batches?limit=200')).json()) as { batches: unknown[] }
    const restored = await request.post('/api/backup/restore?putAside=1', {
      data: file,
      headers: { 'content-type': 'application/gzip' },
    })
    expect(restored.status()).toBe(200)
    const { aside } = (await restored.json()) as { aside: string }
    expect(readdirSync(`${hearth.folder}/copies`)).toContain(aside)
    expect(await (await request.get('/api/batches?limit=200')).json()).toEqual(before)
  })
})
