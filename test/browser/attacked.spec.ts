import { readFileSync } from 'node:fs'
import { connect } from 'node:net'
import { fuzz } from '../support/fuzzing'
import { inParallel } from '../support/inParallel'
import { rawRequest } from '../support/rawRequest'
import { expect, test } from './hearth'

const portOf = (url: string): number => Number(new URL(url).port)

test.describe('a hearth that is attacked', () => {
  test.use({ demo: false })

  test('lets go of pages that listen and never read, and gives them what they missed when they come back', async ({
    hearth,
    request,
  }) => {
    const port = portOf(hearth.url)
    const rss = (): number =>
      Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${hearth.pid()}/status`, 'utf8'))?.[1] ?? 0) / 1024
    let open = 20
    const sockets = Array.from({ length: 20 }, () => {
      const socket = connect(port, '127.0.0.1')
      socket.write(`GET /api/events?stream=flood HTTP/1.1\r\nhost: 127.0.0.1:${port}\r\n\r\n`)
      socket.pause()
      socket.on('error', () => undefined)
      socket.on('close', () => open--)
      return socket
    })
    await new Promise(done => setTimeout(done, 500))
    const before = rss()
    const text = 'x'.repeat(3900)
    for (let i = 0; i < 40; i++) {
      const observations = Array.from({ length: 100 }, (_, k) => ({
        id: `f-${i}-${k}`,
        device: 'd',
        number: i * 100 + k,
        deviceTime: 1,
        kind: 'flood.of-a-newer-version',
        payload: { text },
      }))
      expect((await request.post('/api/streams/flood/observations', { data: { sentAt: 1, observations } })).ok()).toBe(
        true,
      )
    }
    // 16 MB were pushed to each of twenty: what nobody reads is held for none of them.
    expect(rss() - before).toBeLessThan(220)
    for (const socket of sockets) socket.resume()
    await expect.poll(() => open).toBe(0)
    const stored = (await (await request.get('/api/streams/flood/observations')).json()) as {
      observations: { id: string, place: number }[]
    }
    const last = stored.observations.at(-6)!.place
    const missed = await new Promise<string>(done => {
      const socket = connect(port, '127.0.0.1')
      let said = ''
      socket.on('data', (chunk: Buffer) => {
        said += chunk.toString('utf8')
        if (said.includes('"f-39-99"')) socket.destroy()
      })
      socket.on('close', () => done(said))
      socket.write(`GET /api/events?stream=flood HTTP/1.1\r\nhost: 127.0.0.1:${port}\r\nlast-event-id: ${last}\r\n\r\n`)
    })
    expect([...missed.matchAll(/"id":"(f-39-\d+)"/g)].map(one => one[1])).toEqual([
      'f-39-95',
      'f-39-96',
      'f-39-97',
      'f-39-98',
      'f-39-99',
    ])
    expect(missed).toContain(`id: ${stored.observations.at(-1)!.place}`)
  })

  test('tells a page that is cut off in the middle of what it missed again from where nothing was missing', async ({
    hearth,
    request,
  }) => {
    const port = portOf(hearth.url)
    const append = async (stream: string, id: string): Promise<number> => {
      const answer = await request.post(`/api/streams/${stream}/observations`, {
        data: {
          sentAt: 1,
          observations: [{ id, device: id, number: 1, deviceTime: 1, kind: 'note', payload: { text: id } }],
        },
      })
      return ((await answer.json()) as { acknowledged: { place: number }[] }).acknowledged[0]!.place
    }
    const before = await append('one', 'had')
    const second = await append('two', 'missed-two')
    await append('one', 'missed-one')
    const listening = (until: string): Promise<{ id: string, data: string }[]> =>
      new Promise(done => {
        const socket = connect(port, '127.0.0.1')
        let said = ''
        let appended: Promise<number> | null = null
        socket.on('data', (chunk: Buffer) => {
          said += chunk.toString('utf8')
          if (said.includes('missed-two')) appended ??= append('one', until)
          if (said.includes(until)) void appended?.then(() => socket.destroy())
        })
        socket.on('close', () =>
          done([...said.matchAll(/id: (\d+)\ndata: (.*)/g)].map(([, id, data]) => ({ id: id!, data: data! }))),
        )
        socket.write(
          `GET /api/events?stream=one&stream=two HTTP/1.1\r\nhost: 127.0.0.1:${port}\r\nlast-event-id: ${before}\r\n\r\n`,
        )
      })
    const heard = await listening('live-one')
    // Whoever has "missed-one" alone, whose place is the higher, still lacks "missed-two".
    expect(heard.map(({ id, data }) => [Number(id), /missed-one|missed-two|live-one/.exec(data)?.[0]])).toEqual([
      [before, 'missed-one'],
      [second, 'missed-two'],
      [second + 2, 'live-one'],
    ])
  })

  test('answers aimed nonsense with a sentence', async ({ hearth, request }) => {
    const port = portOf(hearth.url)
    const observation = (payload: string): string =>
      `{"sentAt":1,"observations":[{"id":"a","device":"d","number":1,"deviceTime":1,"kind":"note","payload":${payload}}]}`
    for (const stream of ['error', 'newListener', 'removeListener', '__proto__', 'constructor', 'toString']) {
      const answer = await request.post(`/api/streams/${stream}/observations`, {
        headers: { 'content-type': 'application/json' },
        data: observation('{"text":"x"}'),
      })
      expect([stream, answer.status()]).toEqual([stream, stream === '__proto__' ? 404 : 200])
    }
    for (const deep of [
      '{"a":'.repeat(5000) + '1' + '}'.repeat(5000),
      `{"a":${'['.repeat(1500)}${']'.repeat(1500)}}`,
    ]) {
      expect(
        (await rawRequest({ port, method: 'POST', target: '/api/streams/s/observations', body: observation(deep) }))
          .status,
      ).toBe(400)
    }
    for (const target of [
      '/api/batches?cursor=1_%00',
      '/api/batches?cursor=1_',
      '/api/batches?cursor=%00_a',
      '/api/batches?before=1e400',
      '/api/batches/tally?dish=%00',
      '/api/streams/s/observations?after=1e99',
    ]) {
      expect([target, (await rawRequest({ port, target })).status]).toEqual([target, 400])
    }
    for (const cookie of [
      'hearth_session=%00.',
      'hearth_session=a.b',
      'hearth_session=%E0%A4%A',
      `hearth_session=${'0'.repeat(16)}.${'0'.repeat(48)}`,
    ]) {
      expect((await rawRequest({ port, target: '/api/clock', headers: { cookie } })).status).toBe(200)
    }
  })

  test('takes identical things put at once, once', async ({ request }) => {
    const plan = {
      ...(JSON.parse(readFileSync('docs/examples/cook-plan.json', 'utf8')) as Record<string, unknown>),
      id: 'twins',
    }
    const dish = (await (await request.get('/api/dishes')).json() as { dishes: Record<string, unknown>[] }).dishes[0]!
    const day = {
      id: 'twin-day',
      revision: 0,
      name: 'Twins',
      eve: '2026-11-28',
      meals: [],
      dishes: [],
      hands: [],
      nights: null,
      fires: [],
      vessels: [],
      washMin: 3,
      wishes: [],
      shared: [],
      promises: [],
      plan: null,
      doings: [],
      cooks: [],
    }
    for (const [path, data] of [
      ['/api/cooks/twins', plan],
      ['/api/dishes/twin-dish', { ...dish, id: 'twin-dish', version: 1 }],
      ['/api/spreads/twin-day', day],
    ] as const) {
      const answers = await inParallel(Array.from({ length: 12 }), 12, () => request.put(path, { data }))
      expect([path, answers.map(one => one.status())]).toEqual([path, Array.from({ length: 12 }, () => 200)])
    }
  })

  test('ends within a moment of being told to, with pages listening', async ({ hearth }) => {
    const port = portOf(hearth.url)
    const listening = Array.from({ length: 3 }, () => rawRequest({ port, target: '/api/events?stream=s' }))
    await new Promise(done => setTimeout(done, 300))
    const began = Date.now()
    await hearth.stop()
    expect(Date.now() - began).toBeLessThan(4000)
    for (const one of await Promise.all(listening)) expect(one.status).toBe(200)
  })
})

test('a thousand generated requests at every route are all answered below 500, and leave the database whole', async () => {
  const found = await fuzz(1000, 20_261_129)
  expect(found.wrong).toEqual([])
  expect(found.integrity).toBe('ok')
  expect(found.statuses[200] ?? 0).toBeGreaterThan(25)
})
