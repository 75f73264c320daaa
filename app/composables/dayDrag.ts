import { ref, type Ref } from 'vue'
import { useDrag } from './dragging'

/** What of a drawn day a drag needs: the minute at a place. */
interface Drawn {
  readonly scale: { minute(x: number): number }
}

/** What comes of a hand or a key. */
interface Moves {
  /** A dish was picked to be looked at. */
  pick(what: string): void
  /** A dish is moved by minutes; `done` once it is let go. */
  move(dish: string, minutes: number, done: boolean): void
}

/** A dish in the hand, and where it was taken. */
export interface DayDrag { readonly dish: string, readonly fromX: number, readonly fromMin: number, moved: boolean }

/** Arrow keys move by so much, min; what moves less than this is a tap, drawing units. */
const STEP_MIN = 5
const TAP_UNITS = 6

/**
 * Moves dishes along a drawn day, by hand and by keys. Parts of the drawing that can be taken carry `data-dish`.
 *
 * @param svg the drawing
 * @param view as it is laid out
 * @param moves what comes of it
 * @returns what is held, and the handler of keys
 */
export function useDayDrag(svg: Readonly<Ref<SVGSVGElement | null>>, view: () => Drawn, moves: Moves) {
  const drag = ref<DayDrag | null>(null)
  useDrag(svg, {
    parts: '[data-dish]',
    within: () => svg.value!,
    start(part, x) {
      const dish = part.getAttribute('data-dish')
      if (dish) drag.value = { dish, fromX: x, fromMin: view().scale.minute(x), moved: false }
    },
    by(_, __, x) {
      const held = drag.value
      if (!held || (!held.moved && Math.abs(x - held.fromX) < TAP_UNITS)) return
      held.moved = true
      moves.move(held.dish, view().scale.minute(x) - held.fromMin, false)
    },
    end(x, _, givenUp) {
      const held = drag.value
      drag.value = null
      if (!held) return
      if (!held.moved && !givenUp) moves.pick(held.dish)
      // What the system takes away goes back to where it was taken.
      else if (held.moved) moves.move(held.dish, givenUp ? 0 : view().scale.minute(x) - held.fromMin, true)
    },
  })
  return {
    drag,
    key(event: KeyboardEvent, dish: string): void {
      const way = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0
      if (way !== 0) {
        event.preventDefault()
        moves.move(dish, way * (event.shiftKey ? 1 : STEP_MIN), true)
      }
      else if (event.key === 'Enter' || event.key === ' ') {
        event.preventDefault()
        moves.pick(dish)
      }
    },
  }
}
