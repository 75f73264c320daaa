import { readdirSync, readFileSync } from 'node:fs'
import { connect } from 'node:net'
import { WebSocket } from 'ws'
import { inParallel } from '../support/inParallel'
import { rawRequest, type RawRequest } from '../support/rawRequest'
import { expect, test } from './hearth'

interface Route { readonly route: string, readonly method: string }
/** Written with the build. */
const routes = (): Route[] => JSON.parse(readFileSync('.output/server/routes.json', 'utf8')) as Route[]
/** What strangers may ask; a new route that answers them has to be put here by hand. */
const FOR_STRANGERS = ['get /api/house', 'get /api/health', 'post /api/house/enter']
/** Pages and files of the shell: the same for everybody. */
const SHELL = /^\/(_nuxt\/|$|sw\.js$|workbox-|manifest\.webmanifest$|mark\.svg$|book|card|fire|kitchen|labels|ledger|measure|spread|tray)/
const PASSPHRASE = 'copper pan by the window'
const VERBS = ['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS']

/** An address with its parts filled in. */
const filled = (route: string): string => route.replace('/**', '/anything').replace(':shelf', 'pans').replace(/:\w+/g, 'some-id')

/** The same address in other spellings: of letters, case, slashes, dots, escapes of escapes, and whole addresses. */
function spellings(path: string): string[] {
  const inner = path.slice(1)
  const [first = '', ...rest] = inner.split('/')
  const code = (letter: string): string => `%${letter.charCodeAt(0).toString(16)}`
  const letters = [...first].map((letter, i) => `/${first.slice(0, i)}${code(letter)}${[first.slice(i + 1), ...rest].join('/')}`)
  return [
    ...letters, `/${[...first].map(code).join('')}/${rest.join('/')}`, `/${first.toUpperCase()}/${rest.join('/')}`, `/${first[0]?.toUpperCase()}${inner.slice(1)}`,
    `/${path}`, `/${first}//${rest.join('/')}`, `/./${inner}`, `/x/../${inner}`, `/_nuxt/../${inner}`, `/_nuxt/%2e%2e/${inner}`, `/mark.svg/../${inner}`, `/%2e/${inner}`, `/..;/${inner}`,
    `/%2f${inner}`, `/${inner.replaceAll('/', '%2f')}`, `/${inner.replaceAll('/', '%5c')}`, `/${inner.replaceAll('/', '\\')}`, `\\${inner}`, `/%25${first.charCodeAt(0).toString(16)}${inner.slice(1)}`,
    `${path}/`, `${path}%00`, `${path};x=1`, `${path}%20`, `${path}?a=/_nuxt/x.js`, `${path}#/mark.svg`, `http://127.0.0.1${path}`, `http://127.0.0.1/%61pi/${rest.join('/')}`, `//127.0.0.1${path}`,
    path.replace('/api', '/%EF%BD%81pi'), path.replace('/api', '/api%2f..%2fapi'), path.replace('/api', '/api/.'), path.replace('/api', '/api/%2e'),
  ]
}

/** A stranger of another address every so often: each has requests of its own. */
function strangers(): () => string {
  let sent = 0
  return () => {
    const one = Math.floor(sent++ / 100)
    return `127.${3 + Math.floor(one / 250)}.0.${1 + (one % 250)}`
  }
}

const portOf = (url: string): number => Number(new URL(url).port)
async function entered(port: number, name = 'phone'): Promise<string> {
  const answer = await rawRequest({ port, method: 'POST', target: '/api/house/enter', body: JSON.stringify({ passphrase: PASSPHRASE, name }) })
  expect(answer.status).toBe(200)
  return [...answer.headers.matchAll(/set-cookie: ([^;]+)/gi)].map(one => one[1]).join('; ')
}

test.describe('the door', () => {
  test.use({ env: { HEARTH_HOUSE: '1', HEARTH_MACHINE_TRUSTED: '0', HEARTH_PASSPHRASE: PASSPHRASE } })
  test.setTimeout(400_000)

  test('asks every stranger at every route of the build, in every spelling and with every verb', async ({ hearth }) => {
    const port = portOf(hearth.url)
    const from = strangers()
    const all = routes()
    expect(all.length).toBeGreaterThan(50)
    // By its own verb and plainly spelled every route asks for a session.
    for (const { route, method } of all) {
      const answer = await rawRequest({ port, from: from(), method: method === 'all' ? 'GET' : method.toUpperCase(), target: filled(route), ...(method === 'get' ? {} : { body: '{}' }) })
      const open = FOR_STRANGERS.includes(`${method} ${route}`)
      expect([route, method, answer.status === 401]).toEqual([route, method, !open])
      if (!open) expect(answer.body).toContain('enter-first')
    }
    const tries = [...new Set(all.map(one => filled(one.route)))].flatMap(path => [path, ...spellings(path)].flatMap(target => VERBS.map(method => ({ method, target }))))
    const answers = await inParallel(tries, 40, one => rawRequest({ port, from: from(), ...one }))
    const through = answers.flatMap(({ status, body }, i) => {
      const { method, target } = tries[i]!
      const open = FOR_STRANGERS.some(one => one === `${method === 'HEAD' ? 'get' : method.toLowerCase()} ${target.split(/[?#]/)[0]}`)
      return (status >= 200 && status < 400 && !open) || status >= 500 || status === 429 || status === 0 ? [`${method} ${target}: ${status} ${body.slice(0, 80)}`] : []
    })
    expect(through).toEqual([])
    expect(tries.length).toBeGreaterThan(10_000)
  })

  test('shows every file and page of the shell, and no other address', async ({ hearth }) => {
    const port = portOf(hearth.url)
    const from = strangers()
    const files = readdirSync('.output/public', { recursive: true, withFileTypes: true }).filter(one => one.isFile() && !/\.(gz|br)$/.test(one.name)).map(one => `${one.parentPath.replace(/^.*\.output\/public/, '')}/${one.name}`)
    const pages = readdirSync('app/pages', { recursive: true, withFileTypes: true }).filter(one => one.isFile() && !one.name.startsWith('[...')).map(one => `${one.parentPath.replace(/^.*app\/pages/, '')}/${one.name.replace(/\.vue$/, '').replace(/^index$/, '').replace('[id]', 'some-id')}`)
    expect(files.length).toBeGreaterThan(20)
    for (const target of [...files, ...pages]) {
      const answer = await rawRequest({ port, from: from(), method: 'HEAD', target })
      expect([target, answer.status]).toEqual([target, 200])
      expect(target).toMatch(SHELL)
    }
    for (const target of ['/anything', '/__nuxt_error', '/.env', '/hearth.sqlite', '/copies', '/_ipx/x', '/server/index.mjs']) {
      expect([target, (await rawRequest({ port, from: from(), target })).status]).toEqual([target, 401])
    }
  })

  test('takes nothing from a page of another origin, even with the cookie of one that has entered', async ({ hearth }) => {
    const port = portOf(hearth.url)
    const cookie = await entered(port)
    const foreign: Record<string, string>[] = [{ origin: 'http://127.0.0.1:1' }, { origin: 'null' }, { origin: 'http://evil.example' }, { 'sec-fetch-site': 'cross-site' }, { 'sec-fetch-site': 'same-site' }]
    for (const { route, method } of routes().filter(one => one.route.startsWith('/api/') && one.method !== 'all')) {
      for (const more of foreign) {
        if (method === 'get' && more.origin !== undefined) continue
        const answer = await rawRequest({ port, method: method.toUpperCase(), target: filled(route), body: '{}', headers: { cookie, 'content-type': 'text/plain', ...more } })
        expect([route, method, answer.status, answer.body.includes('other-origin') || answer.status === 429]).toEqual([route, method, answer.status === 429 ? 429 : 403, true])
        if (answer.status === 429) await new Promise(done => setTimeout(done, 2000))
      }
    }
    for (const spelled of ['/%61pi/streams/s/observations', '//api/streams/s/observations']) {
      const answer = await rawRequest({ port, method: 'POST', target: spelled, body: JSON.stringify({ sentAt: 1, observations: [{ id: 'x', device: 'd', number: 1, deviceTime: 1, kind: 'note', payload: {} }] }), headers: { cookie, 'content-type': 'text/plain', 'origin': 'http://127.0.0.1:1' } })
      expect(answer.status).toBe(404)
    }
  })

  test('answers a body without end with a sentence, and never holds it', async ({ hearth }) => {
    const port = portOf(hearth.url)
    const rss = (): number => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${hearth.pid()}/status`, 'utf8'))?.[1] ?? 0) / 1024
    const before = rss()
    let most = before
    const flood = (target: string): Promise<string> => new Promise((done) => {
      const socket = connect(port, '127.0.0.1')
      let text = ''
      let sent = 0
      const chunk = Buffer.alloc(65_536, 'x')
      const more = (): void => {
        while (!socket.destroyed && sent < 60_000_000) {
          sent += chunk.length
          if (!socket.write(Buffer.concat([Buffer.from(`${chunk.length.toString(16)}\r\n`), chunk, Buffer.from('\r\n')]))) return void socket.once('drain', more)
        }
      }
      socket.on('data', (part: Buffer) => {
        text += part.toString('latin1')
      })
      socket.on('error', () => undefined)
      socket.on('close', () => done(text))
      socket.write(`POST ${target} HTTP/1.1\r\nhost: 127.0.0.1:${port}\r\ncontent-type: application/json\r\ntransfer-encoding: chunked\r\n\r\n`)
      more()
    })
    const watch = setInterval(() => {
      most = Math.max(most, rss())
    }, 100)
    const answers = await Promise.all(Array.from({ length: 6 }, (_, i) => flood(i % 2 === 0 ? '/api/house/enter' : '/api/backup/restore')))
    clearInterval(watch)
    for (const [i, text] of answers.entries()) expect(text.split('\r\n', 1)[0]).toBe(i % 2 === 0 ? 'HTTP/1.1 413 Payload Too Large' : 'HTTP/1.1 401 Unauthorized')
    expect(most - before).toBeLessThan(120)
  })

  test('upgrades one address only, and only for who has entered', async ({ hearth }) => {
    const port = portOf(hearth.url)
    const ask = (target: string, headers: Record<string, string> = {}): Promise<number> => new Promise((done) => {
      const socket = new WebSocket(`ws://127.0.0.1:${port}${target}`, { headers })
      socket.on('open', () => {
        socket.terminate()
        done(101)
      })
      socket.on('unexpected-response', (_, answer) => {
        answer.resume()
        done(answer.statusCode ?? 0)
      })
      socket.on('error', () => undefined)
    })
    for (const target of ['/', '/api/cooks', '/api/clock', '/_nuxt/x', '/anything', '/%61pi/devices/socket', '/api/devices/socket/', '//api/devices/socket']) expect([target, await ask(target)]).toEqual([target, 404])
    expect(await ask('/api/devices/socket')).toBe(401)
    const cookie = await entered(port)
    expect(await ask('/api/devices/socket', { cookie })).toBe(101)
    expect(await ask('/api/devices/socket', { cookie, origin: 'http://evil.example' })).toBe(403)
    expect(await ask('/api/devices/socket?x=1', { cookie })).toBe(101)
    const sockets = await Promise.all(Array.from({ length: 16 }, () => new Promise<WebSocket | null>((done) => {
      const socket = new WebSocket(`ws://127.0.0.1:${port}/api/devices/socket`, { headers: { cookie } })
      socket.on('open', () => done(socket))
      socket.on('error', () => done(null))
    })))
    expect(sockets.filter(each => each !== null).length).toBe(12)
    const [one, two] = sockets.filter(each => each !== null)
    const closed = (socket: WebSocket): Promise<number> => new Promise(done => socket.on('close', done))
    const tooLong = closed(one!)
    one!.send('x'.repeat(300_000))
    expect(await tooLong).toBe(1009)
    const tooFast = closed(two!)
    for (let i = 0; i < 2000; i++) two!.send('{}')
    expect(await tooFast).toBe(1013)
    for (const socket of sockets) socket?.terminate()
  })

  test('asks again before something is taken away, ends what a device listens to when it is sent out, and changes the passphrase only with the old one', async ({ hearth }) => {
    const port = portOf(hearth.url)
    const [own, other] = [await entered(port, 'own'), await entered(port, 'other')]
    const as = (cookie: string, method: string, target: string, body?: unknown) => rawRequest({ port, method, target, headers: { cookie }, ...(body === undefined ? {} : { body: JSON.stringify(body) }) })
    const sessions = JSON.parse((await as(own, 'GET', '/api/house/sessions')).body) as { sessions: { id: string, name: string }[] }
    const listening = as(other, 'GET', '/api/events?stream=some')
    const socket = new WebSocket(`ws://127.0.0.1:${port}/api/devices/socket`, { headers: { cookie: other } })
    await new Promise(done => socket.on('open', done))
    const ended = new Promise<number>(done => socket.on('close', done))
    expect((await as(own, 'PUT', '/api/house/passphrase', { passphrase: 'another long one' })).body).toContain('wrong-passphrase')
    expect((await as(own, 'PUT', '/api/house/passphrase', { passphrase: 'another long one', old: 'not this' })).body).toContain('wrong-passphrase')
    expect((await as(own, 'DELETE', `/api/house/sessions/${sessions.sessions.find(one => one.name === 'other')!.id}`)).status).toBe(200)
    expect((await listening).headers).toContain('text/event-stream')
    expect(await ended).toBe(1008)
    expect((await as(other, 'GET', '/api/clock')).status).toBe(401)
    expect((await as(own, 'PUT', '/api/house/passphrase', { passphrase: 'another long one', old: PASSPHRASE })).status).toBe(200)
  })
})

test.describe('a proof that is long past', () => {
  test.use({ rate: 600, env: { HEARTH_HOUSE: '1', HEARTH_MACHINE_TRUSTED: '0', HEARTH_PASSPHRASE: PASSPHRASE } })

  test('is asked for again before anything is removed, restored or sent out', async ({ hearth }) => {
    const port = portOf(hearth.url)
    const cookie = await entered(port)
    const as = (request: Omit<RawRequest, 'port'>) => rawRequest({ port, ...request, headers: { cookie } })
    // A quarter of an hour of the hearth's clock.
    await new Promise(done => setTimeout(done, 2000))
    for (const { route, method } of routes().filter(one => one.method === 'delete')) expect([route, (await as({ method: method.toUpperCase(), target: filled(route) })).body.includes('prove-again')]).toEqual([route, true])
    expect((await as({ method: 'POST', target: '/api/backup/restore', body: 'x' })).body).toContain('prove-again')
    expect((await as({ target: '/api/batches' })).status).toBe(200)
    expect((await as({ method: 'POST', target: '/api/house/prove', body: JSON.stringify({ passphrase: 'not this' }) })).status).toBe(403)
    expect((await as({ method: 'POST', target: '/api/house/prove', body: JSON.stringify({ passphrase: PASSPHRASE }) })).status).toBe(200)
    expect((await as({ method: 'DELETE', target: '/api/lessons/none' })).status).toBe(404)
  })
})

test.describe('tries', () => {
  test.use({ env: { HEARTH_HOUSE: '1', HEARTH_MACHINE_TRUSTED: '0', HEARTH_PASSPHRASE: PASSPHRASE } })

  test('are few for strangers, and never used up for a device of the household', async ({ hearth }) => {
    const port = portOf(hearth.url)
    const known = /hearth_known=[^;]+/.exec(await entered(port))![0]
    const guess = (from: string, cookie = '') => rawRequest({ port, from, method: 'POST', target: '/api/house/enter', headers: { cookie }, body: JSON.stringify({ passphrase: 'guess', name: '' }) })
    const of = async (from: string, times: number): Promise<number[]> => inParallel(Array.from({ length: times }, () => from), 2, async address => (await guess(address)).status)
    expect((await of('127.0.0.1', 7)).filter(status => status === 429).length).toBeGreaterThanOrEqual(2)
    // From many addresses the strangers' common tries end as well.
    const many = await inParallel(Array.from({ length: 50 }, (_, i) => `127.0.7.${1 + i}`), 4, async address => (await guess(address)).status)
    expect(many.filter(status => status === 429).length).toBeGreaterThan(10)
    expect((await rawRequest({ port, method: 'POST', target: '/api/house/enter', body: JSON.stringify({ passphrase: PASSPHRASE, name: 'new' }) })).status).toBe(429)
    expect((await rawRequest({ port, method: 'POST', target: '/api/house/enter', headers: { cookie: known }, body: JSON.stringify({ passphrase: PASSPHRASE, name: 'back' }) })).status).toBe(200)
  })
})
