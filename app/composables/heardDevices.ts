import { onScopeDispose, readonly, shallowRef } from 'vue'
import { z } from 'zod'
import { HeardDeviceSchema, type HeardDevice } from '../../contracts/device'
import { Anything, ask } from '../clients/api'
import { hearthNow } from '../clients/hearthClock'

const DevicesSchema = z.object({ devices: z.array(HeardDeviceSchema) })
const EVERY_MS = 5000
/** A device that was silent for so long is not shown, ms of the hearth. */
const SILENT_MS = 60_000

/**
 * Devices that speak to the hearth now.
 *
 * @returns those heard of lately, and how to say where one stands; it stops with its scope
 */
export function useHeardDevices() {
  const devices = shallowRef<readonly HeardDevice[]>([])
  const load = async (): Promise<void> => {
    const found = await ask('GET', '/devices', DevicesSchema).catch(() => null)
    if (found) devices.value = found.devices.filter(one => hearthNow() - one.heardAt < SILENT_MS)
  }
  void load()
  const timer = setInterval(() => void load(), EVERY_MS)
  onScopeDispose(() => clearInterval(timer))
  return {
    devices: readonly(devices),
    async link(device: string, cook: string, vessel: string): Promise<void> {
      await ask('PUT', `/devices/${device}`, Anything, { cook, vessel }).catch(() => undefined)
      await load()
    },
  }
}
