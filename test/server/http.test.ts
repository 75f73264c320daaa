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

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'yon-hearth-http-'))
  process.env.HEARTH_DATA = folder
  const { route, readJson, parse } = await import('../../server/http/route')
  const { HttpProblem } = await import('../../server/http/problem')
  const { Refusal } = await import('../../server/services/refusal')
  const app = createApp()
  app.use('/echo', route(async (_, event) => readJson(event, z.strictObject({ n: z.number().min(1) }))))
  app.use('/broken', route(() => {
    throw new TypeError('secret inside /some/path.ts')
  }))
  app.use('/refused', route(() => {
    throw new Refusal('already-different', 'cooks/x')
  }))
  app.use('/gone', route(() => {
    throw new HttpProblem('not-found')
  }))
  app.use('/parsed', route(() => parse(z.number(), 'no number')))
  app.use('/house', route(async hearth => ({ pans: (await hearth.kitchens.all()).pans.length })))
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

const post = (path: string, body: string) => fetch(url + path, { method: 'POST', body, headers: { 'content-type': 'application/json' } })
async function problem(response: Response) {
  expect(response.headers.get('content-type')).toContain('application/problem+json')
  return ProblemSchema.parse(await response.json())
}

describe('a route', () => {
  it('gives its handler a stocked hearth', async () => {
    expect(await (await fetch(`${url}/house`)).json()).toEqual({ pans: 2 })
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
