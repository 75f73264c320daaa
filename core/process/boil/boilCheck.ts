import type { FireKind } from '../../materials/fire/fireKinds'
import type { Vessel } from '../../materials/vessel/vessel'

/**
 * A boil check: a known weight of water in a pan on one mark, timed to the boil. Times in s from when the pan went on
 * the fire, temperatures in °C, weights in g. What was not read is null.
 */
export interface BoilCheck {
  readonly id: string
  readonly fire: { readonly id: string, readonly kind: FireKind, readonly mark: string, readonly watts: number }
  readonly pan: { readonly id: string, readonly vessel: Vessel, readonly massGuessed: boolean }
  readonly lid: boolean
  readonly waterG: number
  readonly fromC: number
  /** When bubbles broke all over. */
  readonly boilS: number
  /** A thermometer read on the way. */
  readonly half: { readonly timeS: number, readonly tempC: number } | null
  /** Boiled on for this long, and how much lighter it was then. */
  readonly boiledOn: { readonly seconds: number, readonly lostG: number } | null
  /** What the thermometer said at the boil. */
  readonly atBoilC: number | null
  readonly airC: number
  readonly altitudeM: number
  /** ms since 1970. */
  readonly when: number
}
