import { PassphraseSchema } from '../../../contracts/house'
import { readJson, route } from '../../http/route'
import { whoAsks } from '../../http/whoAsks'

/** Sets the household's passphrase; every other session ends. */
export default route(async (hearth, event) => {
  const { passphrase } = await readJson(event, PassphraseSchema)
  await hearth.house.setPassphrase(passphrase, (await whoAsks(event)).session)
  return { set: true }
})
