import { defineNitroPlugin } from 'nitropack/runtime'
import { theHearth } from '../http/theHearth'

/** Opens the hearth with the server, so that a folder that cannot be written is said at once, and closes it with it. */
export default defineNitroPlugin((nitro) => {
  theHearth().catch((error: unknown) => {
    console.error(error instanceof Error ? error.message : String(error))
    process.exit(1)
  })
  nitro.hooks.hook('close', async () => {
    const hearth = await theHearth().catch(() => null)
    await hearth?.close()
  })
})
