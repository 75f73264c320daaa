import { PassphraseSchema } from '../../../contracts/house'
import { MOST_SECRET, readJson, route } from '../../http/route'
import { aTry } from '../../http/tries'
import { whoAsks } from '../../http/whoAsks'

/** Sets the household's passphrase, the old one given where there is one; every other session ends. */
export default route(async (hearth, event) => {
  const { passphrase, old } = await readJson(event, PassphraseSchema, MOST_SECRET)
  const right = await aTry(hearth, event)
  await hearth.house.setPassphrase(passphrase, old, (await whoAsks(event)).session)
  await right()
  return { set: true }
})
