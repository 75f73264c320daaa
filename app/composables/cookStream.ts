import { onScopeDispose } from 'vue'
import { z } from 'zod'
import { StoredObservationSchema, type StoredObservation } from '../../contracts/observation'
import { onAcknowledged } from './outbox'

const PushedSchema = z.array(StoredObservationSchema)

/**
 * Follows a stream: what other devices mark comes in as it is stored, what this one marks as it is acknowledged.
 *
 * @param stream id of the stream
 * @param receive called with stored observations
 * @param caughtUp called whenever the connection stands anew, to read what was missed
 */
export function followStream(
  stream: string,
  receive: (stored: readonly StoredObservation[]) => void,
  caughtUp: () => void,
): void {
  const source = new EventSource(`/api/streams/${stream}/events`)
  source.onopen = caughtUp
  source.onmessage = (event: MessageEvent<string>) => {
    const parsed = PushedSchema.safeParse(JSON.parse(event.data))
    if (parsed.success) receive(parsed.data)
  }
  const stop = onAcknowledged((of, stored) => {
    if (of === stream) receive(stored)
  })
  onScopeDispose(() => {
    stop()
    source.close()
  })
}
