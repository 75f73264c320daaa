import { theNetwork } from '../../http/theNetwork'
import { route } from '../../http/route'
import { whoAsks } from '../../http/whoAsks'
import type { HouseState } from '../../../contracts/house'

/** How the hearth stands to the house, as far as the asker may know it. */
export default route(async (hearth, event): Promise<HouseState> => {
  const network = theNetwork()
  const { here } = await whoAsks(event)
  return {
    open: network.open,
    hasPassphrase: await hearth.house.hasPassphrase(),
    here,
    addresses: here === 'stranger' ? [] : network.addresses(),
  }
})
