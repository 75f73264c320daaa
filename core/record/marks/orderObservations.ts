import type { Observation } from './observation'
import { isAhead } from './isAhead'

/** An observation with the moment it happened on the hearth's clock, ms. */
export interface TimedObservation {
  readonly observation: Observation
  readonly atMs: number
  /** True where its own time had not come when the hearth heard of it. */
  readonly ahead: boolean
}

/**
 * Puts observations of many devices into one order on one clock. A device's clock may be wrong by minutes: the
 * difference between its clock on sending and the server's on receipt corrects it (Cristian 1989, one way; the journey
 * is taken as zero). Within a device its own running number decides; between devices the corrected time, then the
 * device's name. The same id twice counts once.
 *
 * @param observations in any order
 * @returns each once, ordered, with its time in ms; within a device times never fall
 * @example orderObservations(stream).map(timed => timed.observation.kind)
 */
export function orderObservations(observations: readonly Observation[]): TimedObservation[] {
  const byId = new Map<string, Observation>()
  for (const one of observations) {
    const known = byId.get(one.id)
    if (!known || (known.receivedAt === undefined && one.receivedAt !== undefined)) byId.set(one.id, one)
  }
  const byDevice = new Map<string, Observation[]>()
  for (const one of byId.values()) {
    const list = byDevice.get(one.device)
    if (list) list.push(one)
    else byDevice.set(one.device, [one])
  }
  return [...byDevice.values()].flatMap(timeOneDevice).sort((p, q) =>
    p.atMs - q.atMs
    || (p.observation.device < q.observation.device ? -1 : p.observation.device > q.observation.device ? 1 : 0)
    || p.observation.number - q.observation.number)
}

function timeOneDevice(list: Observation[]): TimedObservation[] {
  let latest = Number.NEGATIVE_INFINITY
  return list.sort((p, q) => p.number - q.number).map((observation) => {
    const { deviceTime, sentAt, receivedAt } = observation
    const offset = sentAt !== undefined && receivedAt !== undefined ? receivedAt - sentAt : 0
    const ahead = isAhead(deviceTime + offset, receivedAt)
    const atMs = Math.max(latest, deviceTime + offset)
    // A time that had not come is none that the next one could not lie before.
    if (!ahead) latest = atMs
    return { observation, atMs, ahead }
  })
}
