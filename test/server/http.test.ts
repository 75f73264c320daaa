import { createApp, toNodeListener } from 'h3'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { z } from 'zod'
import { ProblemSchema } from '../../contracts/problem'

let server: Server
let url: string
let folder: string
/** What the server would write of to its log. */
let failures: unknown[] = []
let pagesRead = 0
let pagesEnded = false

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'yon-hearth-http-'))
  process.env.HEARTH_DATA = folder
  const { route, readJson, parse } = await import('../../server/http/route')
  const { HttpProblem } = await import('../../server/http/problem')
  const { Refusal } = await import('../../server/services/refusal')
  const { streamedJson } = await import('../../server/http/streamedJson')
  const app = createApp({ onError: (error) => { failures.push(error) } })
  app.use('/echo', route(async (_, event) => readJson(event, z.strictObject({ n: z.number().min(1) }))))
  app.use('/broken', route(() => {
    throw new TypeError('secret inside /some/path.ts')
  }))
  app.use('/full', route(() => {
    throw new Error('SQLITE_FULL: database or disk is full')
  }))
  app.use('/refused', route(() => {
    throw new Refusal('already-different', 'cooks/x')
  }))
  app.use('/gone', route(() => {
    throw new HttpProblem('not-found')
  }))
  app.use('/parsed', route(() => parse(z.number(), 'no number')))
  app.use('/long', route(() => ({ words: Array.from({ length: 500 }, (_, i) => `word ${i}`) })))
  app.use('/text', route(() => 'plain text that is '.repeat(200)))
  app.use('/none', route(() => null))
  app.use('/house', route(async hearth => ({ pans: (await hearth.kitchens.all()).pans.length })))
  app.use('/list', route((_, event) => streamedJson(event, { head: 1 }, 'words', (async function* () {
    try {
      for (;;) {
        pagesRead++
        yield Array.from({ length: 2000 }, () => Math.random())
        await new Promise(done => setImmediate(done))
      }
    }
    finally {
      pagesEnded = true
    }
  })())))
  server = createServer(toNodeListener(app))
  await new Promise<void>(done => server.listen(0, '127.0.0.1', done))
  url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
  vi.spyOn(console, 'error').mockImplementation(() => undefined)
})
afterAll(async () => {
  await new Promise(done => server.close(done))
  const { theHearth } = await import('../../server/http/theHearth')
  await (await theHearth()).close()
  rmSync(folder, { recursive: true, force: true })
})

const post = (path: string, body: string) =>
  fetch(url + path, { method: 'POST', body, headers: { 'content-type': 'application/json' } })
async function problem(response: Response) {
  expect(response.headers.get('content-type')).toContain('application/problem+json')
  return ProblemSchema.parse(await response.json())
}

describe('a list that is streamed', () => {
  it.each(['gzip', 'identity'])(
    'is no longer read once who asked has gone, and that is no failure (%s)',
    async encoding => {
      failures = []
      pagesEnded = false
      const gone = new AbortController()
      const answer = await fetch(`${url}/list`, { headers: { 'accept-encoding': encoding }, signal: gone.signal })
      expect(answer.headers.get('content-encoding')).toBe(encoding === 'gzip' ? 'gzip' : null)
      await answer.body!.getReader().read()
      gone.abort()
      await vi.waitFor(() => expect(pagesEnded).toBe(true))
      const read = pagesRead
      await new Promise(done => setTimeout(done, 100))
      expect(pagesRead).toBe(read)
      expect(failures).toEqual([])
    },
  )
})

describe('a route', () => {
  it('gives its handler a stocked hearth', async () => {
    expect(await (await fetch(`${url}/house`)).json()).toEqual({ pans: 2 })
  })

  it('says of a full disk that nothing of it was stored, and what is safe', async () => {
    const answer = await fetch(`${url}/full`)
    expect(answer.status).toBe(507)
    expect(await problem(answer)).toMatchObject({
      code: 'disk-full',
      detail: expect.stringContaining('what was acknowledged before is safe') as unknown,
    })
  })

  it('parses bodies and names the fields at fault', async () => {
    expect(await (await post('/echo', '{"n":3}')).json()).toEqual({ n: 3 })
    const told = await problem(await post('/echo', '{"n":0,"more":1}'))
    expect(told.code).toBe('body-not-understood')
    expect(told.fields.map(field => field.path)).toContain('n')
  })

  it('tells what is not JSON and what is too large', async () => {
    expect((await problem(await post('/echo', '{n:'))).code).toBe('not-json')
    expect((await problem(await post('/echo', ''))).code).toBe('not-json')
    const large = await post('/echo', JSON.stringify({ n: 1, x: 'x'.repeat(2_100_000) }))
    expect(large.status).toBe(413)
    expect((await problem(large)).code).toBe('body-too-large')
  })

  it('answers refusals of services and routes with their status', async () => {
    const refused = await fetch(`${url}/refused`)
    expect(refused.status).toBe(409)
    expect((await problem(refused)).fields).toEqual([{ path: 'cooks/x', message: 'already-different' }])
    expect((await fetch(`${url}/gone`)).status).toBe(404)
    expect((await fetch(`${url}/parsed`)).status).toBe(400)
  })

  it('never lets the insides of a failure out', async () => {
    const broken = await fetch(`${url}/broken`)
    expect(broken.status).toBe(500)
    const text = await broken.text()
    expect(text).not.toContain('secret')
    expect(text).not.toContain('.ts')
    expect(ProblemSchema.parse(JSON.parse(text)).code).toBe('went-wrong')
  })
})

describe('an answer', () => {
  const get = (path: string, encoding: string) => fetch(url + path, { headers: { 'accept-encoding': encoding } })

  it('is compressed where it is long and the asker reads it so', async () => {
    const [packed, plain, other] = await Promise.all(
      ['gzip, br', 'identity', 'br'].map(encoding => get('/long', encoding)),
    )
    expect([packed!, plain!, other!].map(one => one.headers.get('content-encoding'))).toEqual(['gzip', null, null])
    for (const one of [packed!, plain!, other!]) {
      expect(one.headers.get('content-type')).toContain('application/json')
      expect(one.headers.get('vary')).toContain('accept-encoding')
      expect(((await one.json()) as { words: string[] }).words[499]).toBe('word 499')
    }
    expect(Number(packed!.headers.get('content-length'))).toBeLessThan(2500)
  })

  it('goes as it is where it is short, a text, or nothing', async () => {
    const short = await get('/house', 'gzip')
    expect(short.headers.get('content-encoding')).toBeNull()
    expect(await short.json()).toEqual({ pans: 2 })
    const text = await get('/text', 'gzip')
    expect(text.headers.get('content-encoding')).toBeNull()
    expect(await text.text()).toContain('plain text')
    expect((await get('/none', 'gzip')).ok).toBe(true)
  })
})
