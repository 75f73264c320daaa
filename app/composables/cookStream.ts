import { onScopeDispose } from 'vue'
import type { StoredObservation } from '../../contracts/observation'
import { followStored } from '../clients/followed'
import { onAcknowledged } from '../clients/sync/outbox'

/**
 * Follows a stream: what other devices mark comes in as it is stored, what this one marks as it is acknowledged.
 *
 * @param stream id of the stream
 * @param receive called with stored observations
 * @param caughtUp called whenever the connection stands anew, to read what was missed
 * @param unseen whether it is followed on while nobody sees the page: at the fire it is, for it sounds
 */
export function followStream(
  stream: string,
  receive: (stored: readonly StoredObservation[]) => void,
  caughtUp: () => void,
  unseen = false,
): void {
  onScopeDispose(
    onAcknowledged((of, stored) => {
      if (of === stream) receive(stored)
    }),
  )
  followStored(stream, receive, caughtUp, unseen)
}
