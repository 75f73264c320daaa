// What the commands share: install if needed, build if needed, run, say clearly what is wrong.
import { spawn, spawnSync } from 'node:child_process'
import { existsSync, readdirSync, statSync } from 'node:fs'
import { createServer } from 'node:net'
import { networkInterfaces } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..')
const SOURCES = [
  'app',
  'book',
  'contracts',
  'core',
  'public',
  'server',
  'words',
  'workers',
  'nuxt.config.ts',
  'package-lock.json',
]

/** Runs a command in the project and ends the process with its code if it fails. */
export function must(command, args, env = {}) {
  const done = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } })
  if (done.status !== 0) process.exit(done.status ?? 1)
}

/** Path of a tool that came with the packages. */
export const tool = name => join(ROOT, 'node_modules', '.bin', name)

const time = path => (existsSync(path) ? statSync(path).mtimeMs : 0)

function newest(path) {
  if (!existsSync(path)) return 0
  if (!statSync(path).isDirectory()) return time(path)
  return Math.max(time(path), ...readdirSync(path).map(name => newest(join(path, name))))
}

/** The database driver as it is compiled for this machine. */
const DRIVER = join(ROOT, 'node_modules', 'sqlite3', 'build', 'Release', 'node_sqlite3.node')
const INSTALLING = 'Installing packages (a few minutes the first time: the database driver is compiled) …'

/** As its own makefile compiles it: more takes half as long again, for nothing that a household would notice. */
const COMPILED = { CFLAGS: '-O2' }

function isInstalled() {
  const kept = join(ROOT, 'node_modules', '.package-lock.json')
  return time(kept) >= time(join(ROOT, 'package-lock.json')) && existsSync(tool('nuxt')) && existsSync(DRIVER)
}

/** Installs the packages when they are missing or older than the lock. */
export function ensureInstalled() {
  if (isInstalled()) return
  console.log(INSTALLING)
  must('npm', ['ci', '--no-audit', '--no-fund'], COMPILED)
}

/**
 * The same, but for the database driver: what is promised is that it is compiled; what needs none can be done
 * meanwhile.
 */
export function installWithDriverAside() {
  if (isInstalled()) return Promise.resolve()
  console.log(INSTALLING)
  must('npm', ['ci', '--no-audit', '--no-fund', '--ignore-scripts'])
  must('npm', ['rebuild', 'esbuild'])
  const compiling = spawn('npm', ['rebuild', 'sqlite3'], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, ...COMPILED },
  })
  return new Promise(resolve => compiling.on('exit', code => (code === 0 ? resolve() : process.exit(code ?? 1))))
}

/** Makes the generated types anew. */
export function ensureTypes() {
  must(tool('nuxt'), ['prepare'])
}

/** What is generated for a build lies by itself: types and tests read what was prepared while it is made. */
const BUILDING = { HEARTH_BUILDING: '.nuxt/building' }

function isBuilt() {
  const built = time(join(ROOT, '.output', 'nitro.json'))
  return built > 0 && built >= Math.max(...SOURCES.map(name => newest(join(ROOT, name))))
}

/** Builds when the build is missing or older than the sources. */
export function ensureBuilt() {
  if (isBuilt()) return
  console.log('Building …')
  must(tool('nuxt'), ['build'], BUILDING)
}

/** The same, beside other work: resolves to what was said where it did not come to be, and to nothing where it did. */
export function buildAside() {
  if (isBuilt()) return Promise.resolve('')
  return new Promise((resolve) => {
    const env = { ...process.env, ...BUILDING, FORCE_COLOR: '0' }
    const child = spawn(tool('nuxt'), ['build'], { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'], env })
    let said = ''
    child.stdout.on('data', (text) => { said += text })
    child.stderr.on('data', (text) => { said += text })
    child.on('close', code => resolve(code === 0 ? '' : said || `it ended with ${code}`))
  })
}

/** Answers whether a port of a host is free. */
export function portIsFree(port, host) {
  return new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, host, () => probe.close(() => resolve(true)))
  })
}

/** Starts the built server in a folder and stays with it. */
export async function serve(folder, say) {
  const open = process.argv.includes('--house') || process.env.HEARTH_HOUSE === '1'
  const host = process.env.HOST ?? (open ? '0.0.0.0' : '127.0.0.1')
  if (!open && !['127.0.0.1', '::1', 'localhost'].includes(host)) {
    console.error(
      `HOST is ${host}, which would let the whole network in. Nothing was started. To open the hearth to the house, with a passphrase: npm ${say.command === 'start' ? 'start' : `run ${say.command}`} -- --house`,
    )
    process.exit(1)
  }
  const port = Number(process.env.PORT ?? 3000)
  if (!(Number.isInteger(port) && port > 0 && port < 65536)) {
    console.error(
      `PORT is ${process.env.PORT}, which is no port. Nothing was started. Set PORT to a number from 1 to 65535.`,
    )
    process.exit(1)
  }
  if (!(await portIsFree(port, host))) {
    console.error(
      `Port ${port} on ${host} is taken by something else. Nothing was started or changed. Choose another: PORT=${port + 1} npm run ${say.command}`,
    )
    process.exit(1)
  }
  const asked = process.argv.indexOf('--take-copy')
  if (asked > 0 && !process.argv[asked + 1]) {
    console.error('Say which copy is to be taken: --take-copy 2026-11-28. Nothing was started or changed.')
    process.exit(1)
  }
  const wishes = {
    ...(process.argv.includes('--forget-passphrase') ? { HEARTH_FORGET_PASSPHRASE: '1' } : {}),
    ...(asked > 0 ? { HEARTH_TAKE_COPY: process.argv[asked + 1] } : {}),
    HEARTH_COMMAND: say.command === 'start' ? 'npm start' : `npm run ${say.command}`,
  }
  const server = spawn(process.execPath, [join(ROOT, '.output', 'server', 'index.mjs')], {
    cwd: ROOT,
    stdio: 'inherit',
    env: {
      ...process.env,
      HOST: host,
      PORT: String(port),
      NITRO_HOST: host,
      NITRO_PORT: String(port),
      HEARTH_DATA: folder,
      ...(open ? { HEARTH_HOUSE: '1' } : {}),
      ...wishes,
    },
  })
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
  server.on('exit', code => process.exit(code ?? 0))
  if (open) {
    const own = Object.values(networkInterfaces()).flat().filter(one => one && !one.internal && one.family === 'IPv4')
    console.log(
      `\nOpen to the house: ${own.map(one => `http://${one.address}:${port}/`).join(' ') || 'no network was found'}\nThe passphrase is set, and a code to scan shown, under Kitchen, House network.`,
    )
  }
  console.log(
    `\n${say.title}: http://${host === '0.0.0.0' ? 'localhost' : host}:${port}/\nThe database is in ${folder}. Stop with Ctrl+C.\n`,
  )
}
