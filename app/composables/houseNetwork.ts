import { readonly, ref, shallowRef } from 'vue'
import { z } from 'zod'
import { HouseStateSchema, SessionLineSchema, type HouseState, type SessionLine } from '../../contracts/house'
import { Anything, ask, Refused } from '../clients/api'

const SessionsSchema = z.object({ sessions: z.array(SessionLineSchema) })

/**
 * How the hearth stands to the house network, and who has entered.
 *
 * @returns the state, what was last said of it, and what can be done
 */
export function useHouseNetwork() {
  const state = shallowRef<HouseState | null>(null)
  const sessions = shallowRef<readonly SessionLine[]>([])
  const says = ref('')
  const trouble = ref('')
  const attempt = async (what: () => Promise<void>): Promise<void> => {
    says.value = trouble.value = ''
    try {
      await what()
    }
    catch (error) {
      trouble.value =
        error instanceof Refused
          ? error.problem.detail
          : 'The hearth cannot be reached. Nothing was changed. Try again.'
    }
  }
  const load = (): Promise<void> => attempt(async () => {
    state.value = await ask('GET', '/house', HouseStateSchema)
    sessions.value = (await ask('GET', '/house/sessions', SessionsSchema)).sessions
  })
  void load()
  return {
    state: readonly(state), sessions: readonly(sessions), says: readonly(says), trouble: readonly(trouble), load,
    setPassphrase: (passphrase: string, old: string | null): Promise<void> => attempt(async () => {
      await ask('PUT', '/house/passphrase', Anything, { passphrase, old })
      await load()
      says.value = 'The passphrase is set. Devices that had entered before have to enter it again.'
    }),
    end: (id: string): Promise<void> => attempt(async () => {
      await ask('DELETE', `/house/sessions/${id}`, Anything)
      await load()
      says.value = 'That device has to enter again.'
    }),
  }
}
