import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { defineComponent, h, ref } from 'vue'
import { useDrag, type Dragged } from '../composables/dragging'

/** A thing that can be taken hold of, measured by the page. */
const draggable = (dragged: Dragged) => mount(defineComponent({
  setup() {
    const root = ref<HTMLElement | null>(null)
    useDrag(root, { within: () => document.body, ...dragged })
    return () => h('div', { ref: root }, [h('span', { class: 'part' })])
  },
}), { attachTo: document.body })
const mouse = (target: EventTarget, type: string, clientX: number, clientY: number) =>
  target.dispatchEvent(new MouseEvent(type, { bubbles: true, cancelable: true, view: window, clientX, clientY }))

describe('a drag', () => {
  it('says where it was taken, how far it went, and where it was let go', () => {
    const heard: string[] = []
    const thing = draggable({
      start: (_, x, y) => heard.push(`taken ${x},${y}`), by: (dx, dy) => heard.push(`by ${dx},${dy}`), end: (x, y, givenUp) => heard.push(`let go ${x},${y} ${givenUp}`),
    })
    mouse(thing.element, 'mousedown', 10, 20)
    mouse(window, 'mousemove', 13, 15)
    mouse(window, 'mousemove', 13, 5)
    mouse(window, 'mouseup', 13, 5)
    mouse(window, 'mousemove', 90, 90)
    expect(heard).toEqual(['taken 10,20', 'by 3,-5', 'by 0,-10', 'let go 13,5 false'])
    thing.unmount()
  })

  it('takes hold only of the parts that were named', () => {
    const taken: string[] = []
    const thing = draggable({ parts: '.part', start: part => taken.push(part.className) })
    mouse(thing.element, 'mousedown', 1, 1)
    mouse(window, 'mouseup', 1, 1)
    mouse(thing.get('.part').element, 'mousedown', 1, 1)
    mouse(window, 'mouseup', 1, 1)
    expect(taken).toEqual(['part'])
    thing.unmount()
  })
})
