import { DeviceLineSchema, type DeviceLine } from '../../contracts/device'
import type { ProblemCode } from '../../contracts/problem'
import { PROBLEMS } from '../../words/problems'
import { isLoopback } from '../services/network'
import { fieldsOf } from './problem'
import { isForeign } from './houseGuard'
import { theHearth } from './theHearth'
import { theNetwork } from './theNetwork'
import { askerOf, SESSION_COOKIE } from './whoAsks'

/** Longest message, characters. */
const MOST_MESSAGE = 200_000

type Hello = Extract<DeviceLine, { type: 'hello' }>

/** One end of a device's connection: what it said it is, and how to answer it. */
export interface DeviceWire {
  hello: Hello | null
  send(line: unknown): void
}

/**
 * Whether a device's connection may stand: the same questions as for every request, asked of its first headers.
 *
 * @param address of the other end
 * @param headers of the upgrade
 * @returns the code of the problem, or null
 */
export async function socketGuard(address: string | undefined, headers: Headers): Promise<ProblemCode | null> {
  const network = theNetwork()
  const host = headers.get('host') ?? ''
  if (!network.knows(host)) return 'wrong-host'
  if (!network.open && !isLoopback(address)) return 'not-from-here'
  if (isForeign(headers.get('origin') ?? undefined, host)) return 'other-origin'
  const secret = new RegExp(`(?:^|;\\s*)${SESSION_COOKIE}=([^;]+)`).exec(headers.get('cookie') ?? '')?.[1]
  const { here } = await askerOf(address, secret)
  return here === 'stranger' ? 'enter-first' : null
}

/**
 * A message of a device: one or more lines of JSON. Each is answered by a line: what was taken, or what is wrong with it.
 *
 * @param wire the connection; who it is, is kept in it
 * @param text what it sent
 */
export async function hearDevice(wire: DeviceWire, text: string): Promise<void> {
  if (text.length > MOST_MESSAGE) return wire.send(problem('body-too-large'))
  for (const line of text.split('\n')) {
    if (line.trim() !== '') await hearLine(wire, line)
  }
}

async function hearLine(wire: DeviceWire, line: string): Promise<void> {
  let value: unknown
  try {
    value = JSON.parse(line)
  }
  catch {
    return wire.send(problem('not-json'))
  }
  const parsed = DeviceLineSchema.safeParse(value)
  if (!parsed.success) return wire.send({ ...problem('body-not-understood'), fields: fieldsOf(parsed.error) })
  if (parsed.data.type === 'hello') {
    wire.hello = parsed.data
    return wire.send({ type: 'welcome', device: parsed.data.device })
  }
  if (!wire.hello) return wire.send({ ...problem('body-not-understood'), fields: [{ path: 'type', message: 'hello comes first' }] })
  const { device, kind, name, cook, vessel } = wire.hello
  try {
    const { devices } = await theHearth()
    wire.send({ type: 'taken', ...await devices.take({ device, kind, name, cook, vessel, sentAt: parsed.data.sentAt, readings: parsed.data.readings }) })
  }
  catch (error) {
    console.error(error)
    wire.send(problem('went-wrong'))
  }
}

/** A problem as a line. */
export function problem(code: ProblemCode) {
  const { status, title, detail } = PROBLEMS[code]
  return { type: 'problem' as const, code, status, title, detail }
}
