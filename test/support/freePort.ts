import { createServer, type AddressInfo } from 'node:net'

/** A port of this machine that nobody listens on. */
export function freePort(): Promise<number> {
  return new Promise((done) => {
    const probe = createServer()
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo
      probe.close(() => done(port))
    })
  })
}
