import { COLOUR_STEPS } from '../../formulation/signs/signIds'
import type { LiveCook } from '../marks/liveCook'

/**
 * Whether a sign was marked; of colours, that one or any darker.
 *
 * @param cook the replayed cook
 * @param sign a sign or a colour step
 * @returns true where it was
 */
export function hasShown(cook: LiveCook, sign: string): boolean {
  const step = COLOUR_STEPS.findIndex(one => one === sign)
  return (
    cook.signs.some(tap => tap.what === sign)
    || (step >= 0
      && [...cook.signs, ...cook.looks].some(one => COLOUR_STEPS.findIndex(known => known === one.what) >= step))
  )
}
