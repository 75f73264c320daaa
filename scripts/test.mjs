// npm test: everything, in one command; closes with one line summed over all runners.
import { spawn, spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { BROWSER, SHELL } from './chromium.mjs'
import { buildAside, ensureTypes, installWithDriverAside, ROOT, tool } from './house.mjs'

const driver = installWithDriverAside()
ensureTypes()
ensureChromium()

let passed = 0
let failed = 0
/** Names of what failed, said again at the end: what a long run printed in its middle is easily lost. */
const fallen = []
const reports = join(ROOT, 'test-results')
rmSync(reports, { recursive: true, force: true })
mkdirSync(reports, { recursive: true })

// Two at a time; what each says is printed once it is done. None of them may write what another reads: the generated
// types are there already.
const checks = [
  ['types', tool('vue-tsc'), ['-b']],
  ['lint', tool('eslint'), ['.', '--max-warnings', '0']],
  ['types of the core', tool('tsc'), ['-b', 'core']],
  [
    'rooms',
    tool('depcruise'),
    [
      '--config',
      '.dependency-cruiser.mjs',
      'app',
      'book',
      'cli',
      'contracts',
      'core',
      'demo',
      'devices',
      'server',
      'words',
      'workers',
    ],
  ],
  ['circles of the core', tool('depcruise'), ['--config', '.dependency-cruiser.circles.mjs', 'core']],
]
const lanes = [checkNext(), checkNext()]
// The longest of them goes on beside the tests, and tests that need no database beside the compiling of its driver.
await Promise.race(lanes)
await vitest('unit tests', 'core.json', ['core', 'components', 'components alone'])
await Promise.all([...lanes, driver])
// What the browser tests need is made meanwhile, the build and the house that they copy: each of the three often waits.
const demo = join(mkdtempSync(join(tmpdir(), 'yon-hearth-tests-')), 'demo')
const building = buildAside()
const cooking = quietly(process.execPath, ['scripts/run.mjs', 'demo/makeDemo.ts', demo])
await vitest('unit and server tests', 'unit.json', ['unit', 'server'])
const unbuilt = await building
if (unbuilt) {
  console.log(`\n— build\n${unbuilt}`)
  fall(1, 'the build could not be made')
}
const cooked = await cooking
if (cooked.status !== 0) {
  console.log(`\n— demo house\n${cooked.said}`)
  fall(1, 'the demo house could not be made')
}
if (!unbuilt) await run('browser tests', tool('playwright'), ['test'], { DEMO_OF_TESTS: demo })
rmSync(dirname(demo), { recursive: true, force: true })
count('browser.json', browserReport)

if (fallen.length > 0) console.log(`\nFailed:\n${fallen.map(each => `  ${each}`).join('\n')}`)
console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed === 0 ? 0 : 1)

/** Runs one after another what says itself how far it is. */
function run(name, command, args, env = {}) {
  console.log(`\n— ${name}`)
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd: ROOT,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, FORCE_COLOR: '0', ...env },
    })
    child.on('error', resolve)
    child.on('close', resolve)
  })
}

async function vitest(name, file, projects) {
  await run(name, tool('vitest'), [
    'run',
    ...projects.flatMap(each => ['--project', each]),
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${join(reports, file)}`,
  ])
  count(file, unitReport)
}

async function checkNext() {
  for (let next = checks.shift(); next; next = checks.shift()) {
    const [name, command, args] = next
    const { status, said } = await quietly(command, args)
    console.log(`\n— ${name}\n${said}`)
    if (status === 0) passed++
    else fall(1, name)
  }
}

function quietly(command, args) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd: ROOT,
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, FORCE_COLOR: '0' },
    })
    let said = ''
    child.stdout.on('data', (text) => { said += text })
    child.stderr.on('data', (text) => { said += text })
    child.on('error', error => resolve({ status: 1, said: String(error) }))
    child.on('close', status => resolve({ status, said }))
  })
}

/** A runner whose report is missing has failed. */
function count(file, read) {
  const path = join(reports, file)
  if (!existsSync(path)) return fall(1, `${file} was not written`)
  const [good, bad, names] = read(JSON.parse(readFileSync(path, 'utf8')))
  passed += good
  fall(bad, ...names)
}

function fall(times, ...names) {
  failed += times
  if (times > 0) fallen.push(...names)
}

function unitReport(report) {
  const names = report.testResults.flatMap(file => [
    ...file.assertionResults
      .filter(each => each.status === 'failed')
      .map(each => `${file.name}: ${each.fullName}: ${firstLine(each.failureMessages[0])}`),
    ...(file.status === 'failed' && file.assertionResults.every(each => each.status !== 'failed')
      ? [`${file.name}: ${firstLine(file.message)}`]
      : []),
  ])
  const unseen = report.success === false && report.numFailedTests === 0
  return [
    report.numPassedTests,
    report.numFailedTests + (unseen ? 1 : 0),
    unseen && names.length === 0 ? ['the unit tests as a whole'] : names,
  ]
}

function browserReport(report) {
  const names = [...specsOf(report)]
    .filter(spec => !spec.ok || spec.tests.some(test => test.status === 'flaky'))
    .map(spec => `${spec.file}: ${spec.title}`)
  const errors = report.errors ?? []
  return [
    report.stats.expected,
    report.stats.unexpected + report.stats.flaky + errors.length,
    [...names, ...errors.map(each => firstLine(each.message))],
  ]
}

function* specsOf(suite) {
  yield* suite.specs ?? []
  for (const inner of suite.suites ?? []) yield* specsOf(inner)
}

function firstLine(said = '') {
  return said.split('\n', 1)[0]
}

/**
 * The headless shell draws no window around a page, and so takes a tenth of the time for a new one; the whole browser
 * serves where there is no shell.
 */
function ensureChromium() {
  if (process.env.CHROMIUM || existsSync(SHELL)) return
  console.log('Installing Chromium\'s headless shell from Debian\'s packages …')
  const install = what => `apt-get update && apt-get install -y --no-install-recommends ${what}`
  const asRoot = command =>
    (process.getuid?.() === 0
      ? spawnSync('sh', ['-c', command], { stdio: 'inherit' })
      : spawnSync('sudo', ['-n', 'sh', '-c', command], { stdio: 'inherit' })
    ).status === 0
  if (asRoot(install('chromium-headless-shell')) || existsSync(BROWSER) || asRoot(install('chromium'))) return
  console.error(
    `Chromium is needed for the browser tests. Install it as root and run npm test again:\n  ${install('chromium-headless-shell')}`,
  )
  process.exit(1)
}
