import { spawnSync } from 'node:child_process'
import { rmSync } from 'node:fs'
import { DEMO_FOLDER } from './hearth'

/** Cooks the demo house once for all browser tests, unless that was done already. */
export default function makeDemoOnce(): void {
  if (process.env.DEMO_OF_TESTS) return
  rmSync(DEMO_FOLDER, { recursive: true, force: true })
  const made = spawnSync(process.execPath, ['scripts/run.mjs', 'demo/makeDemo.ts', DEMO_FOLDER], { stdio: 'inherit' })
  if (made.status !== 0) throw new Error('The demo house could not be made.')
}
