import '#nitro-internal-pollyfills'
import { toNodeListener } from 'h3'
import { useNitroApp } from 'nitropack/runtime'
import { frontDoor } from './http/frontDoor'

/** How long an end may take, ms: what is acknowledged is on disk anyway. */
const ENDING_MS = 5000

const nitro = useNitroApp()
const door = frontDoor(toNodeListener(nitro.h3App))
const port = Number(process.env.NITRO_PORT ?? process.env.PORT ?? 3000)
const host = process.env.NITRO_HOST ?? process.env.HOST ?? '127.0.0.1'

for (const kind of ['unhandledRejection', 'uncaughtException'] as const)
  process.on(kind, (error: unknown) => console.error(error))
door.server.on('error', (error) => {
  console.error(`The hearth cannot listen on ${host}, port ${port}: ${error.message}. Nothing was changed.`)
  process.exit(1)
})
door.server.listen(port, host, () => console.log(`Listening on http://${host}:${port}`))

let ending = false
for (const signal of ['SIGTERM', 'SIGINT'] as const) {
  process.on(signal, () => {
    if (ending) return
    ending = true
    setTimeout(() => process.exit(0), ENDING_MS).unref()
    void Promise.allSettled([door.close(), nitro.hooks.callHook('close')]).then(() => process.exit(0))
  })
}
