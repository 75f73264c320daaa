import type { RememberedCook } from '../../core/cook/batch/rememberBatch'
import { Anything, ask } from '../clients/api'
import { hearthNow } from '../clients/hearthClock'

/**
 * Puts a remembered batch in the ledger. The same id again does nothing.
 *
 * @param id of the batch
 * @param cook its plan and what is known of it
 * @throws where the hearth refuses it or is away; nothing of it is half kept
 */
export async function sendRemembered(id: string, { plan, observations }: RememberedCook): Promise<void> {
  await ask('PUT', `/cooks/${id}`, Anything, { ...plan, id })
  await ask('POST', `/streams/${id}/observations`, Anything, {
    sentAt: hearthNow(),
    observations: observations.map(({ kind, payload, deviceTime }, i) => ({
      id: `${id.slice(0, 20)}-${i}`,
      device: 'memory',
      number: i + 1,
      kind,
      payload,
      deviceTime,
    })),
  })
}
