import { networkFrom, type Network } from '../services/network'

let network: Network | null = null

/**
 * How this process stands to the network.
 *
 * @returns what its environment says, read once
 */
export function theNetwork(): Network {
  network ??= networkFrom(process.env)
  return network
}
