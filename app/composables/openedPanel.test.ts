// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { defineComponent, h, nextTick, ref, useTemplateRef } from 'vue'
import { describe, expect, it } from 'vitest'
import { useOpenedPanel } from './openedPanel'

const Page = defineComponent({
  setup() {
    const open = ref(false)
    const panel = useTemplateRef<HTMLElement>('panel')
    useOpenedPanel(panel, () => open.value)
    const toggle = (): void => {
      open.value = !open.value
    }
    return () =>
      h('main', [
        h('button', { id: 'opens', onClick: toggle }, 'Open'),
        open.value
          ? h('section', { ref: 'panel' }, [h('h2', 'Panel'), h('button', { id: 'close', onClick: toggle }, 'Close')])
          : null,
      ])
  },
})
const twice = async (): Promise<void> => {
  await nextTick()
  await nextTick()
}

describe('a panel that opens', () => {
  it('takes the focus to its heading, and gives it back to its button', async () => {
    const page = mount(Page, { attachTo: document.body })
    const opens = page.get<HTMLElement>('#opens')
    opens.element.focus()
    await opens.trigger('click')
    await twice()
    expect(document.activeElement?.textContent).toBe('Panel')
    page.get<HTMLElement>('#close').element.focus()
    await page.get('#close').trigger('click')
    await twice()
    expect(document.activeElement?.id).toBe('opens')
    page.unmount()
  })
})
