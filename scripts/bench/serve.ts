import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { freePort } from '../../test/support/freePort'

/**
 * Starts a built server on a free port.
 *
 * @param root folder that holds `.output`
 * @param data folder of its database
 * @returns its port, and how to end it
 */
export async function serve(root: string, data: string): Promise<{ readonly port: number, end(): void }> {
  const port = await freePort()
  const server = spawn(process.execPath, [join(root, '.output/server/index.mjs')], {
    env: {
      ...process.env,
      NITRO_PORT: String(port),
      PORT: String(port),
      HOST: '127.0.0.1',
      NITRO_HOST: '127.0.0.1',
      HEARTH_DATA: data,
    },
    stdio: 'ignore',
  })
  for (
    let i = 0;
    i < 100
    && !(await fetch(`http://127.0.0.1:${port}/`).then(
      one => one.ok,
      () => false,
    ));
    i++
  )
    await new Promise(done => setTimeout(done, 100))
  return { port, end: () => void server.kill('SIGKILL') }
}
