import type { Yields } from '../../materials/composition/ingredient'
import type { Preparation } from '../dish/choices'
import { requireRange } from '../../requireRange'

/** What to buy and what becomes of it on the way into the pan, g. */
export interface PreparedWeight {
  /** As bought, unpeeled, dry. */
  readonly asBoughtG: number
  /** Peeled and trimmed, or dry. */
  readonly preparedG: number
  /** Soaked and drained, for what is soaked; else as `preparedG`. */
  readonly soakedG: number
  /** Ground, as it goes into the pan. */
  readonly groundG: number
}

/**
 * The weights an ingredient goes through while it is got ready: peeling and trimming, soaking gain, loss in grinding
 * and draining.
 *
 * @param preparedG weight the dish counts: peeled produce, dry lentils; g, 0 to 50 000
 * @param yields the ingredient's, corrections in it
 * @param preparation how it is prepared
 * @returns g at each step
 * @throws CoreError `out-of-range`
 * @example preparedWeight(930, { prepared: 0.86, soakGain: 0, ground: 1 }, 'grated').asBoughtG // 1081
 */
export function preparedWeight(preparedG: number, yields: Yields, preparation: Preparation): PreparedWeight {
  requireRange('preparedWeight.preparedG', preparedG, 0, 50000)
  const soaks = preparation === 'raw-paste' || preparation === 'fine-paste' || preparation === 'cooked-puree'
  const grinds = preparation === 'raw-paste' || preparation === 'fine-paste' || preparation === 'dry-ground'
  // What is lost in grinding is bought on top, so that the dish's dry weight reaches the pan.
  const dry = grinds ? preparedG / yields.ground : preparedG
  const soakedG = soaks ? dry * (1 + yields.soakGain) : dry
  return {
    asBoughtG: dry / yields.prepared,
    preparedG: dry,
    soakedG,
    groundG: grinds ? soakedG * yields.ground : soakedG,
  }
}
