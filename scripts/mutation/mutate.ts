// npm run mutate [mutants a group, or again] [seed] [groups]: changes the core in small ways and looks whether its
// tests notice. Groups, with commas between, are the layers of the core and the four rooms that must hold most; all
// where none is named. What was sampled and what lived is kept by group in docs/mutation.json; `again` tries those of
// the sample that lived once more.
import { spawn } from 'node:child_process'
import { cpSync, mkdtempSync, readFileSync, readdirSync, realpathSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { cpus, tmpdir } from 'node:os'
import { dirname, join, relative } from 'node:path'
import { z } from 'zod'
import { cruise } from 'dependency-cruiser'
import { build } from 'esbuild'
import { seededRandom } from '../../core/maths/random/seededRandom'
import { itemAt } from '../../core/maths/table/itemAt'
import { cruised } from '../structureOf'
import { mutantsOf, type Mutant } from './mutantsOf'
import { keep, kept, type Came, type Tried } from './report'

const ROOT = '.'
const AGAIN = process.argv[2] === 'again'
const A_GROUP = AGAIN ? 0 : Number(process.argv[2] ?? 60)
const SEED = Number(process.argv[3] ?? 1)
const ONLY = process.argv[4]?.split(',')
/**
 * Files of tests run at once for a mutant, the nearest first, and most of their time where nothing is changed, ms: those
 * beyond it are left out, and what they would have noticed is taken to live. A run that lasts far longer is endless.
 */
const AT_ONCE = 8
const MOST_MS = 45_000
const ENDLESS_MS = 180_000
/** So long may all tests of the core take where nothing is changed, ms. */
const UNCHANGED_MS = 1_800_000
/** What the tests need beside the core. */
const ROOMS = [
  '.nuxt',
  'core',
  'contracts',
  'book',
  'words',
  'docs',
  'scripts',
  'devices',
  'cli',
  'app/drawings',
  'test',
  'workers',
  'server',
  'demo',
  'package.json',
  'tsconfig.json',
  'tsconfig.tools.json',
]

/** Rooms that are sampled for themselves beside their layers, and the paths that belong to them. */
const HELD_MOST: Readonly<Record<string, RegExp>> = {
  keeping: /^core\/process\/keeping\//,
  checker: /^core\/day\/problem\/(check|overbooked|presence|holdsOf|slackOf)/,
  faults: /^core\/cook\/faults\//,
  repair: /^core\/cook\/(repair|remedies)\//,
}

const files = readdirSync(join(ROOT, 'core'), { recursive: true, encoding: 'utf8' })
  .filter(one => one.endsWith('.ts') && !one.endsWith('.test.ts')).map(one => join('core', one)).sort()
const layerOf = (file: string): string => file.split('/').length > 2 ? file.split('/')[1]! : 'core'

/** Tests that reach each file, the nearest first. */
async function testsByFile(): Promise<ReadonlyMap<string, readonly string[]>> {
  const { output } = await cruise(['core', 'words', 'contracts', 'devices', 'cli', 'test/model/ranges.test.ts'], {
    tsPreCompilationDeps: false,
    doNotFollow: { path: 'node_modules' },
    enhancedResolveOptions: { extensions: ['.ts', '.js', '.json'] },
  })
  const importers = new Map<string, string[]>()
  for (const { source, dependencies } of cruised(output).modules) {
    for (const { resolved } of dependencies) importers.set(resolved, [...importers.get(resolved) ?? [], source])
  }
  return new Map(files.map((file) => {
    const seen = new Set([file])
    const tests: string[] = []
    for (let ring = [file]; ring.length > 0;) {
      ring = ring.flatMap(one => importers.get(one) ?? []).filter(one => !seen.has(one) && seen.add(one))
      // Of those as near, the ones that lie beside the file come first.
      tests.push(
        ...ring
          .filter(one => one.endsWith('.test.ts'))
          .sort((p, q) => Number(dirname(q) === dirname(file)) - Number(dirname(p) === dirname(file))),
      )
    }
    return [file, tests]
  }))
}

const mutantsIn = (file: string): Mutant[] => mutantsOf(file, readFileSync(join(ROOT, file), 'utf8'))
const ALL_GROUPS = [
  ...[...new Set(files.map(layerOf))].map(name => ({ name, of: files.filter(file => layerOf(file) === name) })),
  ...Object.entries(HELD_MOST).map(([name, path]) => ({ name, of: files.filter(file => path.test(file)) })),
]
const GROUPS = ALL_GROUPS.filter(({ name }) => ONLY === undefined || ONLY.includes(name)).map(({ name }) => name)

/** A sample of a group: the same for a seed, whatever other groups are tried. */
function sampled(name: string): Mutant[] {
  const place = ALL_GROUPS.findIndex(one => one.name === name)
  const random = seededRandom(1000 * SEED + place)
  const all = itemAt(ALL_GROUPS, place).of.flatMap(mutantsIn)
  return Array.from({ length: Math.min(A_GROUP, all.length) }, () =>
    all.splice(Math.floor(random() * all.length), 1)).flat()
}

/** Those of a group's kept sample that lived, where they stand now: in the same file, changed in the same way, nearest by line. */
function livedBefore(name: string): Mutant[] {
  return kept().mutants.filter(one => one.came === 'lived' && one.groups.includes(name)).map((one) => {
    const near = mutantsIn(one.file)
      .filter(({ was, is }) => was === one.was && is === one.is)
      .sort((p, q) => Math.abs(p.line - one.line) - Math.abs(q.line - one.line))[0]
    if (!near) throw new Error(`${one.file}:${one.line} ${one.was} → ${one.is} is not there any more: sample anew.`)
    return near
  })
}

/** Tests are put together with what they import before they run: a module at a time takes longer than most of them. */
const TOGETHER = 'together'
const SETTINGS = `export default { test: {
  include: ['${TOGETHER}/**/*.test.js'], isolate: false, testTimeout: 180000, hookTimeout: 180000, watch: false,
} }`

/** A copy of all that the tests need, in which files may be changed. */
function copied(): string {
  const folder = mkdtempSync(join(tmpdir(), 'yon-hearth-mutants-'))
  for (const room of ROOMS) cpSync(join(ROOT, room), join(folder, room), { recursive: true })
  symlinkSync(join(process.cwd(), 'node_modules'), join(folder, 'node_modules'))
  writeFileSync(join(folder, 'vitest.config.js'), SETTINGS)
  return folder
}

type Ran = 'passed' | 'failed' | 'endless'

async function run(
  folder: string,
  tests: readonly string[],
  leftMs: number,
  more: readonly string[] = [],
): Promise<Ran> {
  rmSync(join(folder, TOGETHER), { recursive: true, force: true })
  await build({
    absWorkingDir: folder,
    entryPoints: [...tests],
    outdir: TOGETHER,
    outbase: '.',
    bundle: true,
    format: 'esm',
    platform: 'node',
    packages: 'external',
    logLevel: 'silent',
  })
  return new Promise((resolve) => {
    const child = spawn(
      join(folder, 'node_modules/.bin/vitest'),
      ['run', '--bail', '1', '--reporter', 'dot', ...more],
      { cwd: folder, stdio: 'ignore', detached: true },
    )
    const timer = setTimeout(() => {
      process.kill(-child.pid!, 'SIGKILL')
      resolve('endless')
    }, leftMs)
    child.on('exit', (code) => {
      clearTimeout(timer)
      resolve(code === 0 ? 'passed' : 'failed')
    })
  })
}

const ReportSchema = z.object({
  testResults: z.array(z.object({ name: z.string(), startTime: z.number(), endTime: z.number() })),
})

/**
 * How long each file of tests takes where nothing is changed, ms.
 *
 * @throws Error where one fails: it would kill every mutant by itself
 */
async function lengths(folder: string, tests: readonly string[]): Promise<ReadonlyMap<string, number>> {
  const file = join(folder, 'lengths.json')
  if (await run(folder, tests, UNCHANGED_MS, ['--reporter', 'json', '--outputFile', file]) !== 'passed')
    throw new Error('The tests of the core do not pass where nothing is changed: nothing was tried.')
  return new Map(ReportSchema.parse(JSON.parse(readFileSync(file, 'utf8'))).testResults
    .map(({ name, startTime, endTime }) => [
      relative(join(realpathSync(folder), TOGETHER), name).replace(/\.js$/, '.ts'),
      endTime - startTime,
    ]))
}

/** Tests for a mutant: the nearest first, as many as may be. */
function chosen(near: readonly string[], lasts: ReadonlyMap<string, number>): string[] {
  let sum = 0
  return near.filter((test, i) => {
    const ms = lasts.get(test) ?? 0
    if (i > 0 && sum + ms > MOST_MS) return false
    sum += ms
    return true
  })
}

async function tryOne(folder: string, mutant: Mutant, tests: readonly string[]): Promise<Came> {
  const path = join(folder, mutant.file)
  const text = readFileSync(join(ROOT, mutant.file), 'utf8')
  writeFileSync(path, text.slice(0, mutant.from) + mutant.is + text.slice(mutant.to))
  try {
    for (let i = 0; i < tests.length; i += AT_ONCE) {
      const came = await run(folder, tests.slice(i, i + AT_ONCE), ENDLESS_MS, ['--maxWorkers', '1'])
      if (came !== 'passed') return came === 'failed' ? 'killed' : 'endless'
    }
    return 'lived'
  }
  finally {
    writeFileSync(path, text)
  }
}

/** Tries the mutants of a group, two at once, and keeps what came of them: a run that is cut off loses the group it is at. */
async function tryGroup(name: string): Promise<void> {
  const mutants = AGAIN ? livedBefore(name) : sampled(name)
  const tried: Tried[] = []
  let next = 0
  await Promise.all(folders.map(async (folder) => {
    while (next < mutants.length) {
      const mutant = itemAt(mutants, next++)
      const { file, line, was, is } = mutant
      const known = `${file} ${mutant.from} ${is}`
      const came = cameOf.get(known) ?? (await tryOne(folder, mutant, chosen(tests.get(file) ?? [], lasts)))
      cameOf.set(known, came)
      tried.push({ file, line, was, is, groups: [name], came })
      console.log(`${name} ${tried.length}/${mutants.length} ${came} ${file}:${line} ${was} → ${is}`.slice(0, 160))
    }
  }))
  const before = AGAIN ? kept().mutants.filter(one => one.came !== 'lived' && one.groups.includes(name)) : []
  const { killed, sampled: of, seed } = keep([...before, ...tried], name, AGAIN ? kept().groups[name]?.seed ?? SEED : SEED)
  console.log(`${name}: ${killed} of ${of} killed, seed ${seed}`)
}

const tests = await testsByFile()
const folders = cpus().map(copied)
const lasts = await lengths(itemAt(folders, 0), [...new Set([...tests.values()].flat())])
/** A mutant may be sampled for its layer and for its room. */
const cameOf = new Map<string, Came>()
for (const name of GROUPS) if (!AGAIN || kept().groups[name]) await tryGroup(name)
for (const folder of folders) rmSync(folder, { recursive: true, force: true })
