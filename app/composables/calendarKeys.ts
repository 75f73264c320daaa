import { readonly, ref, shallowRef } from 'vue'
import { CalendarKeysSchema, MadeCalendarKeySchema, type CalendarKey } from '../../contracts/calendar'
import { Anything, ask, Refused } from '../clients/api'

/**
 * Addresses under which the calendar of the house can be followed.
 *
 * @returns what was given out, the address that was just made, and the ways to make one and take one back
 */
export function useCalendarKeys() {
  const keys = shallowRef<readonly CalendarKey[]>([])
  /** Path of the address that was just made: it is told once. */
  const made = ref('')
  const trouble = ref('')
  async function attempt(what: () => Promise<void>): Promise<void> {
    trouble.value = ''
    try {
      await what()
      keys.value = (await ask('GET', '/calendar/keys', CalendarKeysSchema)).keys
    }
    catch (error) {
      trouble.value =
        error instanceof Refused
          ? error.problem.detail
          : 'The hearth cannot be reached. Nothing was changed. Try again.'
    }
  }
  void attempt(async () => undefined)
  return {
    keys: readonly(keys), made: readonly(made), trouble: readonly(trouble),
    make: (name: string): Promise<void> => attempt(async () => {
      made.value = (await ask('POST', '/calendar/keys', MadeCalendarKeySchema, { name })).path
    }),
    drop: (id: string): Promise<void> => attempt(async () => {
      await ask('DELETE', `/calendar/keys/${id}`, Anything)
      made.value = ''
    }),
  }
}
