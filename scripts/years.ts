// Houses of many years: node scripts/run.mjs scripts/years.ts [--keep FOLDER] [COUNT:DISTINCT …, default 1600:1600
// 14000:1600]
// With --keep the houses stay in that folder and are taken again the next time: to cook one takes long.
// Makes each by cooking, starts the built server over it, and says how long a start, lists, filters, comparisons,
// exports, a backup
// and its restore take, what memory they need, and the longest wait of a tap and of a list meanwhile.
import { spawn, spawnSync, type ChildProcess } from 'node:child_process'
import { cpSync, createReadStream, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs'
import { request } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { cookedTemplates, seedLedger } from './seedLedger'

const words = process.argv.slice(2)
const keep = words[0] === '--keep' ? words.splice(0, 2)[1] : undefined
const houses = (words.length > 0 ? words : ['1600:1600', '14000:1600']).map(
  (one) => {
    const [batches, templates] = one.split(':').map(Number)
    return [batches ?? 0, templates] as const
  },
)
const PORT = 4611
const URL_ = `http://127.0.0.1:${PORT}`
const ROUNDS = 40
const report: Record<string, unknown> = {}

const percentile = (values: readonly number[], share: number): number =>
  [...values].sort((p, q) => p - q)[Math.min(values.length - 1, Math.floor(values.length * share))] ?? Number.NaN
const ms = (value: number): number => Math.round(value * 10) / 10
const rss = (pid: number | undefined): number => {
  try {
    return Math.round(Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024)
  }
  catch {
    return 0
  }
}
const childrenOf = (pid: number | undefined): number[] =>
  readdirSync('/proc')
    .filter(name => /^\d+$/.test(name))
    .map(Number)
    .filter(one => {
      try {
        return readFileSync(`/proc/${one}/stat`, 'utf8').split(') ')[1]?.split(' ')[1] === String(pid)
      } catch {
        return false
      }
    })

async function start(folder: string): Promise<{ readonly child: ChildProcess, readonly tookMs: number }> {
  const began = performance.now()
  const child = spawn(process.execPath, ['.output/server/index.mjs'], {
    env: {
      ...process.env,
      HOST: '127.0.0.1',
      NITRO_HOST: '127.0.0.1',
      PORT: String(PORT),
      NITRO_PORT: String(PORT),
      HEARTH_DATA: folder,
    },
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  for (let i = 0; i < 1200; i++) {
    if (
      await fetch(`${URL_}/api/health`).then(
        answer => answer.ok,
        () => false,
      )
    )
      return { child, tookMs: performance.now() - began }
    await new Promise(done => setTimeout(done, 20))
  }
  throw new Error('The server did not start.')
}

async function asked(paths: readonly string[]): Promise<number> {
  const began = performance.now()
  await Promise.all(paths.map(path => fetch(`${URL_}/api${path}`).then(answer => answer.arrayBuffer())))
  return performance.now() - began
}

/** Taps and lists one after the other while something goes on; the longest and the usual wait, ms. */
function meanwhile(): { stop(): Promise<{ readonly tap: number, readonly tapP95: number, readonly list: number }> } {
  let [going, n] = [true, 0]
  const [taps, lists]: [number[], number[]] = [[], []]
  const tapping = (async () => {
    while (going) {
      const began = performance.now()
      await fetch(`${URL_}/api/streams/tapping/observations`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          sentAt: Date.now(),
          observations: [
            { id: `t-${Date.now()}-${n}`, device: 'd', number: n++, deviceTime: Date.now(), kind: 'note', payload: {} },
          ],
        }),
      }).then(answer => answer.arrayBuffer())
      taps.push(performance.now() - began)
      await new Promise(done => setTimeout(done, 25))
    }
  })()
  const listing = (async () => {
    while (going) {
      lists.push(await asked(['/batches?limit=60']))
      await new Promise(done => setTimeout(done, 60))
    }
  })()
  return {
    async stop() {
      going = false
      await Promise.all([tapping, listing])
      return { tap: ms(Math.max(...taps)), tapP95: ms(percentile(taps, 0.95)), list: ms(Math.max(...lists)) }
    },
  }
}

async function timed<T>(child: ChildProcess, what: () => Promise<T>): Promise<Record<string, unknown>> {
  // What was written before must not be waited for now.
  spawnSync('sync')
  const wait = meanwhile()
  let [server, beside] = [0, 0]
  const watch = setInterval(() => {
    server = Math.max(server, rss(child.pid))
    beside = Math.max(beside, ...childrenOf(child.pid).map(rss))
  }, 250)
  const began = performance.now()
  const result = await what()
  const seconds = (performance.now() - began) / 1000
  clearInterval(watch)
  return {
    seconds: ms(seconds),
    ...(typeof result === 'number' ? { MB: ms(result / 1e6) } : {}),
    serverMB: server,
    besideMB: beside,
    longestWaitMs: await wait.stop(),
  }
}

/** Whoever takes something away is a process of its own: what is measured here is the wait of others. */
const TAKE = `
  import { createWriteStream } from 'node:fs'
  const [, url, to] = process.argv
  const out = to ? createWriteStream(to) : null
  let bytes = 0
  for await (const part of (await fetch(url)).body) {
    bytes += part.length
    if (out && !out.write(part)) await new Promise(done => out.once('drain', done))
  }
  out?.end()
  process.stdout.write(String(bytes))`

function download(path: string, to: string | null): Promise<number> {
  return new Promise((done, fail) => {
    const child = spawn(
      process.execPath,
      ['--input-type=module', '-e', TAKE, `${URL_}/api${path}`, ...(to === null ? [] : [to])],
      { stdio: ['ignore', 'pipe', 'inherit'] },
    )
    let said = ''
    child.stdout.on('data', (part: Buffer) => {
      said += String(part)
    })
    child.on('close', code => (code === 0 ? done(Number(said)) : fail(new Error(`${path} could not be taken`))))
  })
}

function upload(path: string, from: string): Promise<number> {
  return new Promise((done, fail) => {
    const sent = request(
      {
        host: '127.0.0.1',
        port: PORT,
        path: `/api${path}`,
        method: 'POST',
        headers: { 'content-type': 'application/gzip', 'content-length': statSync(from).size },
      },
      answer => {
        answer.resume()
        answer.on('end', () =>
          answer.statusCode === 200
            ? done(statSync(from).size)
            : fail(new Error(`restore answered ${answer.statusCode}`)),
        )
      },
    )
    sent.on('error', fail)
    createReadStream(from).pipe(sent)
  })
}

/** What houses of as many distinct cooks share. */
const cooked = new Map<number, ReturnType<typeof cookedTemplates>>()
function templatesOf(distinct: number): ReturnType<typeof cookedTemplates> {
  const known = cooked.get(distinct) ?? cookedTemplates(distinct)
  cooked.set(distinct, known)
  return known
}

for (const [count, distinct] of houses) {
  const folder = mkdtempSync(join(tmpdir(), 'yon-hearth-years-'))
  const file = join(tmpdir(), `yon-hearth-years-${count}.jsonl.gz`)
  const began = performance.now()
  const kept = keep === undefined ? null : join(keep, `${count}-${distinct ?? 12}`)
  if (kept && existsSync(join(kept, 'hearth.sqlite'))) cpSync(kept, folder, { recursive: true })
  else {
    await seedLedger(folder, count, templatesOf(distinct ?? 12))
    if (kept) cpSync(folder, kept, { recursive: true })
  }
  const found: Record<string, unknown> = {
    madeInS: Math.round((performance.now() - began) / 1000),
    databaseMB: ms(statSync(join(folder, 'hearth.sqlite')).size / 1e6),
    kBaBatch: ms(statSync(join(folder, 'hearth.sqlite')).size / 1e3 / count),
  }
  let { child, tookMs } = await start(folder)
  found.firstStartMs = ms(tookMs)
  // The first answers are slow by themselves; they say nothing of what goes on beside.
  for (let i = 0; i < 30; i++) await asked(['/batches?limit=60', '/clock'])
  // The copy of the day is made at the start; then it is quiet.
  await timed(child, () => new Promise(done => setTimeout(done, 4000))).then((one) => {
    found.dailyCopy = one
  })
  // Nothing but taps and lists: what the machine itself makes them wait.
  found.quiet = await timed(child, () => new Promise(done => setTimeout(done, 8000)))
  const questions: Record<string, (round: number) => readonly string[]> = {
    'list': () => ['/batches?limit=60'],
    'fault': () => ['/batches?limit=60&fault=greasy'],
    'any fault': () => ['/batches?limit=60&fault=any'],
    'dish': () => ['/batches?limit=60&dish=winter-market-carrot'],
    'fire, dish and fault': () => ['/batches?limit=60&fire=back&dish=brick-kiln-wheat&fault=dry'],
    'counts': round => [`/batches/tally?season=${['dec-feb', 'mar-may', 'jun-aug', 'sep-nov'][round % 4]}`],
    'compare four': round => [1, 2, 3, 4].map(k => `/batches/seed-${(round * 997 + k * 13) % count}`),
  }
  found.ms = Object.fromEntries(await (async () => {
    const rows: [string, unknown][] = []
    for (const [name, ask] of Object.entries(questions)) {
      const took: number[] = []
      for (let round = 0; round < ROUNDS; round++) took.push(await asked(ask(round)))
      rows.push([name, { p50: ms(percentile(took, 0.5)), p95: ms(percentile(took, 0.95)) }])
    }
    return rows
  })())
  found.csv = await timed(child, () => download('/batches/export.csv', null))
  found.jsonl = await timed(child, () => download('/batches/export.jsonl', null))
  // Who takes it away writes it elsewhere: what is written here is for the restore alone.
  found.backup = await timed(child, () => download('/backup', null))
  await download('/backup', file)
  child.kill('SIGKILL')
  await new Promise(done => setTimeout(done, 200));
  ({ child, tookMs } = await start(folder))
  found.startMs = ms(tookMs)
  child.kill('SIGKILL')
  const empty = mkdtempSync(join(tmpdir(), 'yon-hearth-years-empty-'));
  ({ child } = await start(empty))
  found.restore = await timed(child, () => upload('/backup/restore?putAside=1', file))
  child.kill('SIGKILL')
  for (const one of [folder, empty, file]) rmSync(one, { recursive: true, force: true })
  report[count] = found
  console.log(JSON.stringify({ [count]: found }, null, 1))
}
process.exit(0)
