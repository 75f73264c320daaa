import { drag, type D3DragEvent } from 'd3-drag'
import { select } from 'd3-selection'
import { onMounted, onUpdated, type Ref } from 'vue'

/**
 * What comes of a drag; places and ways in the units of what it is measured by: of a drawing its own, of the page px.
 */
export interface Dragged {
  /** By what it is measured; the parent of what is dragged otherwise. */
  within?: () => Element
  /** Which parts can be dragged, as a selector within the drawing; the drawing itself otherwise. */
  parts?: string
  /** It is taken hold of. */
  start?: (part: Element, x: number, y: number) => void
  /** It is moved: so far since the last time, and now there. */
  by?: (dx: number, dy: number, x: number, y: number) => void
  /** It is let go there; `given` up where the touch was taken away by the system. */
  end?: (x: number, y: number, givenUp: boolean) => void
}
type Ends = D3DragEvent<Element, unknown, unknown>

/**
 * Drags by mouse and by touch, with what the browser does to touches (`touchcancel`), on parts that come and go.
 *
 * @param drawing what is dragged, or what holds it
 * @param dragged what comes of it
 */
export function useDrag(drawing: Readonly<Ref<Element | null>>, dragged: Dragged): void {
  const listening = new WeakSet<Element>()
  const behaviour = drag<Element, unknown>()
    .on('start', function (this: Element, event: Ends) {
      dragged.start?.(this, event.x, event.y)
    })
    .on('drag', (event: Ends) => dragged.by?.(event.dx, event.dy, event.x, event.y))
    .on('end', (event: Ends) => dragged.end?.(event.x, event.y, (event.sourceEvent as Event).type === 'touchcancel'))
  const { within } = dragged
  if (within) behaviour.container(() => within() as HTMLElement)
  function listen(): void {
    const root = drawing.value
    if (!root) return
    const parts = dragged.parts ? [...root.querySelectorAll(dragged.parts)] : [root]
    for (const part of parts) {
      if (listening.has(part)) continue
      listening.add(part)
      select<Element, unknown>(part).call(behaviour)
    }
  }
  onMounted(listen)
  onUpdated(listen)
}
