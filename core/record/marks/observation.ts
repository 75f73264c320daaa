/**
 * One thing a cook or a device has marked. Observations are only ever added: a correction or a taking back is itself an
 * observation that names the one it replaces. Times are milliseconds since 1970.
 */
export interface Observation {
  /** Made by the device that saw it; the same id twice is the same observation. */
  readonly id: string
  readonly device: string
  /** The device's own running number, rising. */
  readonly number: number
  /** The device's clock when it was marked. */
  readonly deviceTime: number
  /** The device's clock when it was sent, once it has been. */
  readonly sentAt?: number
  /** The server's clock when it was received, once it has been. */
  readonly receivedAt?: number
  /** An open string: kinds that are not known here are kept, shown as unknown and passed over. */
  readonly kind: string
  readonly payload: Readonly<Record<string, unknown>>
}
