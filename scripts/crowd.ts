// Many devices at once: node scripts/run.mjs scripts/crowd.ts [devices, default 50] [seconds, default 600]
// Each follows a cook and posts to it, over the built server; errors, the 99th percentile of a saved mark, and memory
// are said:
// what is resident, and what is in use once everything that can go has been collected.
import { spawn } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { request } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { examplePlan } from '../test/support/plans'

const devices = Number(process.argv[2] ?? 50)
const seconds = Number(process.argv[3] ?? 600)
if (!(devices > 0 && devices <= 500 && seconds > 0)) {
  console.error('Give a number of devices (1 to 500) and of seconds. Nothing was started.')
  process.exit(1)
}
const COOKS = 5
const PORT = 4555
const EVERY_MS = 2000
const url = `http://127.0.0.1:${PORT}`
const folder = mkdtempSync(join(tmpdir(), 'yon-hearth-crowd-'))
/** Answers with the heap in use, after collecting. */
const HEAP = 'process.on("message",()=>{gc();process.send(process.memoryUsage().heapUsed)});process.channel.unref()'
const server = spawn(
  process.execPath,
  ['--expose-gc', '--import', `data:text/javascript,${encodeURIComponent(HEAP)}`, '.output/server/index.mjs'],
  {
    env: {
      ...process.env,
      HOST: '127.0.0.1',
      PORT: String(PORT),
      NITRO_HOST: '127.0.0.1',
      NITRO_PORT: String(PORT),
      HEARTH_DATA: folder,
    },
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
  },
)
process.on('exit', () => {
  server.kill('SIGKILL')
  rmSync(folder, { recursive: true, force: true })
})
const pause = (ms: number): Promise<void> => new Promise(done => setTimeout(done, ms))
for (let i = 0; i < 200 && !await fetch(`${url}/api/clock`).then(answer => answer.ok, () => false); i++) await pause(50)

let errors = 0
let heard = 0
const took: number[] = []
const send = async (method: string, path: string, body: unknown): Promise<void> => {
  const answer = await fetch(url + path, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  }).catch(() => null)
  if (!answer?.ok) errors++
  await answer?.text()
}
for (let k = 0; k < COOKS; k++) {
  await send('PUT', `/api/cooks/crowd-${k}`, { ...examplePlan(), id: `crowd-${k}` })
  await send('POST', `/api/streams/crowd-${k}/observations`, {
    sentAt: Date.now(),
    observations: [
      { id: `crowd-${k}-start`, device: 'first', number: 1, deviceTime: Date.now(), kind: 'cook.started', payload: {} },
    ],
  })
}

/** Resident memory of the server, MB. */
function memoryMb(): number {
  const status = readFileSync(`/proc/${server.pid}/status`, 'utf8')
  return Math.round(Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024)
}

function follow(cook: string): void {
  const asked = request(`${url}/api/events?stream=${cook}`, (answer) => {
    answer.on('data', () => {
      heard++
    })
    answer.on('error', () => {
      errors++
    })
  })
  asked.on('error', () => {
    errors++
  })
  asked.end()
}

const until = Date.now() + seconds * 1000
async function device(i: number): Promise<void> {
  const cook = `crowd-${i % COOKS}`
  follow(cook)
  await pause(i * EVERY_MS / devices)
  for (let number = 1; Date.now() < until; number++) {
    const began = performance.now()
    await send('POST', `/api/streams/${cook}/observations`, {
      sentAt: Date.now(),
      observations: [
        {
          id: `d${i}-${number}`,
          device: `d${i}`,
          number,
          deviceTime: Date.now(),
          kind: number % 5 === 0 ? 'weighed' : 'note',
          payload: number % 5 === 0 ? { grossG: 2000 + number } : { text: `mark ${number}` },
        },
      ],
    })
    took.push(performance.now() - began)
    await pause(Math.max(0, EVERY_MS - (performance.now() - began)))
  }
}
const memory: number[] = []
const heap: number[] = []
server.on('message', (bytes) => {
  heap.push(Math.round(Number(bytes) / 1e5) / 10)
})
const watch = setInterval(() => {
  memory.push(memoryMb())
  server.send('heap')
}, Math.max(1000, seconds * 1000 / 20))
await Promise.all(Array.from({ length: devices }, (_, i) => device(i)))
clearInterval(watch)
took.sort((p, q) => p - q)
const at = (share: number): number =>
  Math.round((took[Math.min(took.length - 1, Math.floor(share * took.length))] ?? 0) * 10) / 10
console.log(
  `${devices} devices, ${seconds} s: ${took.length} saved, ${errors} errors, ${heard} pushes heard; a saved mark took ${at(0.5)} ms in the middle, ${at(0.99)} ms at the 99th percentile, ${at(1)} ms at most`,
)
console.log(`memory of the server, MB, over the time: resident ${memory.join(' ')}; in use ${heap.join(' ')}`)
process.exit(errors === 0 ? 0 : 1)
