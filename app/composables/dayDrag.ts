import { ref, type Ref } from 'vue'

/** What of a drawn day a drag needs: its width in drawing units, and the minute at a place. */
interface Drawn {
  readonly width: number
  readonly scale: { minute(x: number): number }
}

/** What comes of a pointer or a key. */
interface Moves {
  /** A dish was picked to be looked at. */
  pick(what: string): void
  /** A dish is moved by minutes; `done` once it is let go. */
  move(dish: string, minutes: number, done: boolean): void
}

/** A dish in the hand, and where it was taken. */
export interface DayDrag { readonly dish: string, readonly fromX: number, readonly fromMin: number, moved: boolean }

/** Arrow keys move by so much, min; a pointer that moves less than this is a tap, drawing units. */
const STEP_MIN = 5
const TAP_UNITS = 6

/**
 * Moves dishes along a drawn day, by pointer and by keys.
 *
 * @param svg the drawing
 * @param view as it is laid out
 * @param moves what comes of it
 * @returns what is held, and the handlers of a dish
 */
export function useDayDrag(svg: Readonly<Ref<SVGSVGElement | null>>, view: () => Drawn, moves: Moves) {
  const drag = ref<DayDrag | null>(null)
  function unitsOf(event: PointerEvent): number {
    const box = svg.value!.getBoundingClientRect()
    return (event.clientX - box.left) * view().width / box.width
  }
  return {
    drag,
    down(event: PointerEvent, dish: string): void {
      if (event.button !== 0) return
      (event.currentTarget as Element).setPointerCapture(event.pointerId)
      const x = unitsOf(event)
      drag.value = { dish, fromX: x, fromMin: view().scale.minute(x), moved: false }
    },
    moving(event: PointerEvent): void {
      const held = drag.value
      if (!held) return
      const x = unitsOf(event)
      if (!held.moved && Math.abs(x - held.fromX) < TAP_UNITS) return
      held.moved = true
      moves.move(held.dish, view().scale.minute(x) - held.fromMin, false)
    },
    up(event: PointerEvent): void {
      const held = drag.value
      drag.value = null
      if (!held) return
      if (held.moved) moves.move(held.dish, view().scale.minute(unitsOf(event)) - held.fromMin, true)
      else moves.pick(held.dish)
    },
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
