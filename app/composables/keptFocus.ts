import { onBeforeUpdate, onUpdated, type Ref } from 'vue'

/**
 * Keeps the focus on the same thing while a drawing is made anew: an element that is moved among its neighbours, or
 * made again elsewhere, loses it, and a key pressed then would reach nothing.
 *
 * @param root of the drawing
 * @param attribute that names what an element stands for, such as `data-step`
 */
export function useKeptFocus(root: Readonly<Ref<Element | null>>, attribute: string): void {
  let held: string | null = null
  onBeforeUpdate(() => {
    const at = document.activeElement
    held = at && root.value?.contains(at) ? at.getAttribute(attribute) : null
  })
  onUpdated(() => {
    if (held === null || root.value?.contains(document.activeElement)) return
    const again = [...(root.value?.querySelectorAll<HTMLElement | SVGElement>(`[${attribute}]`) ?? [])].find(
      one => one.getAttribute(attribute) === held,
    )
    again?.focus()
  })
}
