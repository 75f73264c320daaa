import { defineNitroPlugin } from 'nitropack/runtime'
import { theHearth, whyNot } from '../http/theHearth'

/** Opens the hearth with the server, so that what stands against it is said at once, and closes it with it. */
export default defineNitroPlugin((nitro) => {
  theHearth().catch(async (error: unknown) => {
    console.error(await whyNot(error))
    process.exit(1)
  })
  nitro.hooks.hook('close', async () => {
    const hearth = await theHearth().catch(() => null)
    await hearth?.close()
  })
})
