import { createApp, createRouter, toNodeListener } from 'h3'
import { createServer, request, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'

let server: Server
let port: number
let folder: string
const PASSPHRASE = 'copper pan by the window'

interface Answer {
  readonly status: number
  readonly body: { code?: string, [key: string]: unknown }
  readonly cookie: string
}
/** One request with exactly these headers; fetch would set its own Host and Origin. */
function ask(method: string, path: string, headers: Record<string, string> = {}, body?: unknown): Promise<Answer> {
  return new Promise((done, fail) => {
    const sent = request(
      {
        host: '127.0.0.1',
        port,
        method,
        path,
        headers: {
          host: `127.0.0.1:${port}`,
          ...(body === undefined ? {} : { 'content-type': 'application/json' }),
          ...headers,
        },
      },
      response => {
        let text = ''
        response.on('data', (chunk: Buffer) => {
          text += chunk.toString('utf8')
        })
        response.on('end', () =>
          done({
            status: response.statusCode ?? 0,
            body: JSON.parse(text || '{}') as Answer['body'],
            cookie: (response.headers['set-cookie'] ?? []).join(';').split(';')[0] ?? '',
          }),
        )
      },
    )
    sent.on('error', fail)
    sent.end(body === undefined ? undefined : JSON.stringify(body))
  })
}

beforeAll(async () => {
  vi.resetModules()
  folder = mkdtempSync(join(tmpdir(), 'yon-hearth-house-'))
  Object.assign(process.env, {
    HEARTH_DATA: folder,
    HEARTH_HOUSE: '1',
    HEARTH_MACHINE_TRUSTED: '0',
    HEARTH_HOSTS: 'stove.example',
  })
  const app = createApp()
  app.use((await import('../../server/middleware/guard')).default)
  const router = createRouter()
  router.get('/api/house', (await import('../../server/api/house/index.get')).default)
  router.put('/api/house/passphrase', (await import('../../server/api/house/passphrase.put')).default)
  router.post('/api/house/enter', (await import('../../server/api/house/enter.post')).default)
  router.post('/api/house/leave', (await import('../../server/api/house/leave.post')).default)
  router.get('/api/house/sessions', (await import('../../server/api/house/sessions/index.get')).default)
  router.delete('/api/house/sessions/:id', (await import('../../server/api/house/sessions/[id].delete')).default)
  router.get('/api/clock', (await import('../../server/api/clock.get')).default)
  app.use(router)
  server = createServer(toNodeListener(app))
  await new Promise<void>(done => server.listen(0, '127.0.0.1', done))
  port = (server.address() as AddressInfo).port
})
afterAll(async () => {
  Object.assign(process.env, { HEARTH_HOUSE: '', HEARTH_MACHINE_TRUSTED: '', HEARTH_HOSTS: '' })
  await new Promise(done => server.close(done))
  const { theHearth } = await import('../../server/http/theHearth')
  await (await theHearth()).close()
  rmSync(folder, { recursive: true, force: true })
})

describe('the door of the house', () => {
  it('stays shut for strangers before there is a passphrase, and tells them so', async () => {
    expect((await ask('GET', '/api/clock')).body.code).toBe('no-passphrase')
    expect((await ask('GET', '/api/house')).body).toEqual({
      open: true,
      hasPassphrase: false,
      here: 'stranger',
      addresses: [],
    })
    expect((await ask('POST', '/api/house/enter', {}, { passphrase: PASSPHRASE })).body.code).toBe('no-passphrase')
    expect((await ask('PUT', '/api/house/passphrase', {}, { passphrase: 'mine mine mine' })).status).toBe(403)
  })

  it('lets in who knows the passphrase, and forgets who leaves', async () => {
    const { theHearth } = await import('../../server/http/theHearth')
    await (await theHearth()).house.setPassphrase(PASSPHRASE, null, null)
    expect((await ask('GET', '/api/clock')).body.code).toBe('enter-first')
    expect((await ask('POST', '/api/house/enter', {}, { passphrase: 'not it' })).body.code).toBe('wrong-passphrase')
    const entered = await ask('POST', '/api/house/enter', {}, { passphrase: PASSPHRASE, name: 'phone' })
    expect(entered.cookie).toMatch(/^hearth_session=[0-9a-f]+\.[0-9a-f]+$/)
    expect((await ask('GET', '/api/clock', { cookie: entered.cookie })).status).toBe(200)
    expect((await ask('GET', '/api/house', { cookie: entered.cookie })).body.here).toBe('entered')
    expect((await ask('GET', '/api/clock', { cookie: `${entered.cookie}0` })).status).toBe(401)
    await ask('POST', '/api/house/leave', { cookie: entered.cookie })
    expect((await ask('GET', '/api/clock', { cookie: entered.cookie })).status).toBe(401)
  })

  it('sends out every other device when the passphrase changes, or one by one', async () => {
    const [a, b] = [
      await ask('POST', '/api/house/enter', {}, { passphrase: PASSPHRASE }),
      await ask('POST', '/api/house/enter', {}, { passphrase: PASSPHRASE, name: 'tablet' }),
    ]
    const { sessions } = (await ask('GET', '/api/house/sessions', { cookie: a.cookie })).body as unknown as {
      sessions: { id: string, name: string, own: boolean }[]
    }
    expect(sessions.filter(one => one.own)).toHaveLength(1)
    await ask('DELETE', `/api/house/sessions/${sessions.find(one => one.name === 'tablet')!.id}`, { cookie: a.cookie })
    expect((await ask('GET', '/api/clock', { cookie: b.cookie })).status).toBe(401)
    const c = await ask('POST', '/api/house/enter', {}, { passphrase: PASSPHRASE })
    expect((await ask('PUT', '/api/house/passphrase', { cookie: a.cookie }, { passphrase: 'short' })).status).toBe(400)
    expect(
      (
        await ask(
          'PUT',
          '/api/house/passphrase',
          { cookie: a.cookie },
          { passphrase: 'another long one', old: PASSPHRASE },
        )
      ).status,
    ).toBe(200)
    expect((await ask('GET', '/api/clock', { cookie: a.cookie })).status).toBe(200)
    expect((await ask('GET', '/api/clock', { cookie: c.cookie })).status).toBe(401)
  })

  it('asks no more than five times in a row', async () => {
    const codes: (string | undefined)[] = []
    for (let i = 0; i < 7; i++)
      codes.push((await ask('POST', '/api/house/enter', {}, { passphrase: `guess ${i}` })).body.code)
    expect(codes.slice(-2)).toEqual(['too-many-tries', 'too-many-tries'])
  })

  it('answers only to its own names, and only to its own pages', async () => {
    expect((await ask('GET', '/', { host: 'evil.example' })).status).toBe(421)
    expect((await ask('GET', '/api/house', { host: 'stove.example' })).status).toBe(200)
    expect((await ask('GET', '/api/house', { 'sec-fetch-site': 'cross-site' })).body.code).toBe('other-origin')
    expect(
      (await ask('POST', '/api/house/enter', { origin: 'http://evil.example' }, { passphrase: 'x' })).body.code,
    ).toBe('other-origin')
    expect((await ask('POST', '/api/house/enter', { origin: 'nonsense' }, { passphrase: 'x' })).body.code).toBe(
      'other-origin',
    )
    expect(
      (await ask('GET', '/api/house', { 'sec-fetch-site': 'same-origin', 'origin': `http://127.0.0.1:${port}` }))
        .status,
    ).toBe(200)
  })
})

describe('how a process stands to the network', () => {
  it('is closed but for one switch, and knows the names it goes by', async () => {
    const { networkFrom, isLoopback } = await import('../../server/services/network')
    const closed = networkFrom({ PORT: '3000' })
    expect([
      closed.open,
      closed.addresses(),
      closed.knows('localhost:3000'),
      closed.knows('[::1]:3000'),
      closed.knows('192.168.1.7:3000'),
    ]).toEqual([false, [], true, true, false])
    const open = networkFrom({ HEARTH_HOUSE: '1', NITRO_PORT: '4000', HEARTH_HOSTS: 'Stove.Example, b' })
    expect([open.open, open.port, open.knows('stove.example'), open.knows('c')]).toEqual([true, 4000, true, false])
    expect(open.addresses().every(address => /^http:\/\/[\d.]+:4000\/$/.test(address))).toBe(true)
    expect(['127.0.0.1', '::ffff:127.3.2.1', '::1', '10.0.0.2', undefined].map(isLoopback)).toEqual([
      true,
      true,
      true,
      false,
      false,
    ])
  })
})

describe('a passphrase', () => {
  it('is kept as Argon2id with its own salt, and typed alike on every keyboard', async () => {
    const { hashed, matches } = await import('../../server/services/passphrase')
    const [a, b] = [await hashed('café pan'), await hashed('café pan')]
    expect(a).toMatch(/^\$argon2id\$v=19\$m=65536,t=3,p=4\$/)
    expect(a).not.toBe(b)
    expect(await matches('café pan', a)).toBe(true)
    expect(await matches('cafe pan', a)).toBe(false)
    expect(await matches('x', 'nonsense')).toBe(false)
  })
})
