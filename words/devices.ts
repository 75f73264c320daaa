import type { DeviceKind } from '../core/cook/readings/reading'

/** Devices by kind. */
export const DEVICE_WORDS: Readonly<Record<DeviceKind, string>> = {
  scale: 'scale',
  thermometer: 'probe',
  camera: 'camera',
}
