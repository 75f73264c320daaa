// A cook of very many marks, and one finished after seven days: node scripts/run.mjs scripts/longCook.ts [marks,
// default 50000]
// Says the longest stall of the server meanwhile (a small question asked every few milliseconds), and how long each
// took.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { serve } from './bench/serve'

const marks = Number(process.argv[2] ?? 50_000)
const PLAN: Record<string, unknown> = JSON.parse(readFileSync('docs/examples/cook-plan.json', 'utf8'))
const folder = mkdtempSync(join(tmpdir(), 'yon-hearth-long-'))
const { port, end } = await serve('.', folder)
const url = `http://127.0.0.1:${port}/api`
const now = Date.now()
// The first questions are about how long the asker takes to begin.
for (let i = 0; i < 20; i++) await fetch(`${url}/clock`).then(answer => answer.arrayBuffer())
let most = 0
let phase = 'taking two plans'
const longest: Record<string, number> = {}
let going = true
const asking = (async () => {
  while (going) {
    const began = performance.now()
    await fetch(`${url}/clock`).then(answer => answer.arrayBuffer())
    most = performance.now() - began
    longest[phase] = Math.max(longest[phase] ?? 0, Math.round(most * 10) / 10)
    await new Promise(done => setTimeout(done, 4))
  }
})()
const send = (method: string, path: string, body: unknown): Promise<Response> =>
  fetch(url + path, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })
const took: Record<string, number> = {}
async function timed(name: string, what: () => Promise<unknown>): Promise<void> {
  phase = name
  const began = performance.now()
  await what()
  took[name] = Math.round(performance.now() - began)
}
const settled = async (id: string): Promise<void> => {
  for (let i = 0; i < 1200; i++) {
    const answer: { batches: { id: string }[] } = await fetch(`${url}/batches?limit=10`).then(one => one.json())
    if (answer.batches.some(one => one.id === id)) return
    await new Promise(done => setTimeout(done, 100))
  }
  throw new Error(`${id} was not settled`)
}
for (const id of ['long', 'late']) await send('PUT', `/cooks/${id}`, { ...PLAN, id })
const START = now - 7_200_000
const at = (i: number): number => START + Math.round(i * 7_000_000 / marks)
await timed('posting the marks', async () => {
  for (let from = 0; from < marks; from += 200) {
    const observations = Array.from({ length: Math.min(200, marks - from) }, (_, k) => {
      const i = from + k
      const kind = i === 0 ? 'cook.started' : i % 3 === 0 ? 'weighed' : i % 3 === 1 ? 'temperature' : 'note'
      return {
        id: `long-${i}`,
        device: 'd',
        number: i + 1,
        deviceTime: at(i),
        kind,
        payload:
          kind === 'weighed'
            ? { vessel: 'pan', grossG: 2400 + (i % 9) }
            : kind === 'temperature'
              ? { vessel: 'pan', tempC: 100 + (i % 4) }
              : kind === 'note'
                ? { text: `mark ${i}` }
                : {},
      }
    })
    await send('POST', '/streams/long/observations', { sentAt: now, observations })
  }
})
await timed('reading it', () => fetch(`${url}/cooks/long`).then(answer => answer.arrayBuffer()))
await timed('a scale reading', async () => {
  const readings = Array.from({ length: 12 }, (_, i) => ({
    number: i,
    at: now - 3000 + i * 250,
    value: 2404,
    unit: 'g',
  }))
  await send('POST', '/devices/readings', {
    protocol: 'yon-hearth/device/1',
    device: 's',
    kind: 'scale',
    cook: 'long',
    vessel: 'pan',
    sentAt: now,
    readings,
  }).then(answer => answer.text())
})
await timed('finishing and settling it', async () => {
  await send('POST', '/streams/long/observations', {
    sentAt: now,
    observations: [
      { id: 'long-end', device: 'd', number: marks + 10, deviceTime: now, kind: 'cook.finished', payload: {} },
    ],
  })
  await settled('long')
})
await timed('finishing one after seven days', async () => {
  const week = now - 7 * 86_400_000
  const story: [number, string, Record<string, unknown>][] = [
    [week, 'cook.started', {}],
    [week + 300_000, 'stage.began', { stage: 'roast' }],
    [week + 700_000, 'stage.began', { stage: 'pour' }],
    [now, 'cook.finished', {}],
  ]
  await send('POST', '/streams/late/observations', {
    sentAt: now,
    observations: story.map(([deviceTime, kind, payload], i) => ({
      id: `late-${i}`,
      device: 'd',
      number: i + 1,
      deviceTime,
      kind,
      payload,
    })),
  })
  await settled('late')
})
await timed('reading its batch', () => fetch(`${url}/batches/long`).then(answer => answer.arrayBuffer()))
going = false
await asking
end()
rmSync(folder, { recursive: true, force: true })
console.log(JSON.stringify({ marks, tookMs: took, longestStallMs: longest }, null, 1))
process.exit(0)
