import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { freePort } from '../../test/support/freePort'

/** The browser of the figures, and how it is started. */
export const CHROMIUM = process.env.CHROMIUM ?? '/usr/bin/chromium'
export const ARGS = ['--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync']

/**
 * Starts a built server on a free port.
 *
 * @param root folder that holds `.output`
 * @param data folder of its database
 * @returns its port, and how to end it
 */
export async function serve(root: string, data: string): Promise<{ readonly port: number, end(): void }> {
  const port = await freePort()
  const server = spawn(process.execPath, [join(root, '.output/server/index.mjs')], { env: { ...process.env, NITRO_PORT: String(port), PORT: String(port), HOST: '127.0.0.1', NITRO_HOST: '127.0.0.1', HEARTH_DATA: data }, stdio: 'ignore' })
  for (let i = 0; i < 100 && !(await fetch(`http://127.0.0.1:${port}/`).then(one => one.ok, () => false)); i++) await new Promise(done => setTimeout(done, 100))
  return { port, end: () => void server.kill('SIGKILL') }
}
