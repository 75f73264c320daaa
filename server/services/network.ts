import { hostname, networkInterfaces } from 'node:os'

/** How this process stands to the network, by its environment. */
export interface Network {
  /** True where it was opened to the house. */
  readonly open: boolean
  /** True where the machine itself needs no passphrase. */
  readonly machineTrusted: boolean
  readonly port: number
  /** Whether a Host header names the hearth. */
  knows(host: string): boolean
  /** Addresses for the telephones of the house. */
  addresses(): string[]
}

const LOOPBACK_NAMES = ['localhost', '127.0.0.1', '[::1]', '::1']

/**
 * How a process stands to the network: `HEARTH_HOUSE=1` opens it to the house, `HEARTH_HOSTS` names further hosts it
 * goes by (separated by commas), `HEARTH_MACHINE_TRUSTED=0` asks for the passphrase on the machine itself as well, as
 * behind a proxy.
 *
 * @param env the environment
 * @returns what follows from it
 */
export function networkFrom(env: Readonly<Record<string, string | undefined>>): Network {
  const open = env.HEARTH_HOUSE === '1'
  const port = Number(env.NITRO_PORT ?? env.PORT ?? 3000)
  const more = (env.HEARTH_HOSTS ?? '').split(',').map(one => one.trim().toLowerCase()).filter(Boolean)
  const own = (): string[] =>
    Object.values(networkInterfaces())
      .flatMap(list => list ?? [])
      .filter(one => !one.internal && one.family === 'IPv4')
      .map(one => one.address)
  const names = (): string[] => [
    ...LOOPBACK_NAMES,
    ...more,
    ...(open ? [...own(), hostname().toLowerCase(), `${hostname().toLowerCase()}.local`] : []),
  ]
  return {
    open, port,
    machineTrusted: env.HEARTH_MACHINE_TRUSTED !== '0',
    knows: host => names().includes(host.toLowerCase().replace(/:\d+$/, '')),
    addresses: () => (open ? own().map(address => `http://${address}:${port}/`) : []),
  }
}

/**
 * Whether an address is this machine's own loopback.
 *
 * @param address of the connection's other end
 * @returns true for 127.0.0.0/8 and ::1
 */
export function isLoopback(address: string | undefined): boolean {
  return address !== undefined && (address === '::1' || /^(::ffff:)?127\./.test(address))
}

/**
 * An address as tries and requests are counted by: of IPv6 its first 64 bits, which one household or machine may fill
 * at will (RFC 4291, 2.5.4).
 *
 * @param address of the connection's other end
 * @returns text that is the same for all addresses of one neighbour
 */
export function sameNeighbour(address: string | undefined): string {
  if (address === undefined) return ''
  const plain = address.replace(/^::ffff:/, '').split('%')[0] ?? ''
  if (!plain.includes(':')) return plain
  const [head = '', tail] = plain.split('::')
  const [front, back] = [head.split(':').filter(Boolean), (tail ?? '').split(':').filter(Boolean)]
  const filled =
    tail === undefined
      ? front
      : [...front, ...Array.from({ length: Math.max(0, 8 - front.length - back.length) }, () => '0'), ...back]
  return `${filled.slice(0, 4).map(part => Number.parseInt(part, 16).toString(16)).join(':')}::/64`
}
