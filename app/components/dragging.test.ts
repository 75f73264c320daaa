import { mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { defineComponent, h, ref } from 'vue'
import { useDayDrag } from '../composables/dayDrag'
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

/** A finger, as browsers that can be touched tell of it. */
const touch = (target: EventTarget, type: string, clientX: number, clientY: number) =>
  target.dispatchEvent(
    Object.assign(new Event(type, { bubbles: true, cancelable: true }), {
      view: window,
      touches: [],
      changedTouches: [{ identifier: 7, target, clientX, clientY }],
    }),
  )

describe('a drag by a finger', () => {
  beforeEach(() => Object.defineProperty(navigator, 'maxTouchPoints', { value: 5, configurable: true }))
  afterEach(() => Object.defineProperty(navigator, 'maxTouchPoints', { value: 0, configurable: true }))

  it('goes as one by a mouse does, and says where the system has taken the touch away', () => {
    const heard: string[] = []
    const thing = draggable({
      start: (_, x, y) => heard.push(`taken ${x},${y}`),
      by: (dx, dy) => heard.push(`by ${dx},${dy}`),
      end: (_, __, givenUp) => heard.push(`let go ${givenUp}`),
    })
    for (const last of ['touchend', 'touchcancel']) {
      touch(thing.element, 'touchstart', 10, 20)
      touch(thing.element, 'touchmove', 14, 20)
      touch(thing.element, last, 14, 20)
    }
    expect(heard).toEqual(['taken 10,20', 'by 4,0', 'let go false', 'taken 10,20', 'by 4,0', 'let go true'])
    thing.unmount()
  })

  it('on a day puts a dish back that the system takes away, and picks none', () => {
    const heard: string[] = []
    const view = mount(defineComponent({
      setup() {
        const root = ref<SVGSVGElement | null>(null)
        useDayDrag(root, () => ({ scale: { minute: (x: number) => x } }), {
          pick: dish => heard.push(`picked ${dish}`),
          move: (dish, minutes, done) => heard.push(`${dish} ${minutes} ${done}`),
        })
        // Measured by the page: the drawing's own units need a browser.
        return () => h('div', { ref: root }, [h('span', { 'data-dish': 'd1' })])
      },
    }), { attachTo: document.body })
    const dish = view.get('span').element
    touch(dish, 'touchstart', 100, 0)
    touch(dish, 'touchcancel', 100, 0)
    expect(heard).toEqual([])
    touch(dish, 'touchstart', 100, 0)
    touch(dish, 'touchmove', 130, 0)
    touch(dish, 'touchcancel', 130, 0)
    expect(heard).toEqual(['d1 30 false', 'd1 0 true'])
    touch(dish, 'touchstart', 100, 0)
    touch(dish, 'touchend', 100, 0)
    expect(heard.at(-1)).toBe('picked d1')
    view.unmount()
  })
})

describe('a drag', () => {
  it('says where it was taken, how far it went, and where it was let go', () => {
    const heard: string[] = []
    const thing = draggable({
      start: (_, x, y) => heard.push(`taken ${x},${y}`),
      by: (dx, dy) => heard.push(`by ${dx},${dy}`),
      end: (x, y, givenUp) => heard.push(`let go ${x},${y} ${givenUp}`),
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
