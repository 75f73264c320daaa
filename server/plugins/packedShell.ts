import { defineNitroPlugin } from 'nitropack/runtime'
import { packedText } from '../http/packed'

/** Sends the shell of a page compressed, as every file beside it is. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('render:response', async (response, { event }) => {
    if (typeof response.body === 'string') response.body = await packedText(event, response.body)
  })
})
