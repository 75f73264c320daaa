// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { usePageFocus } from './pageFocus'

type Guard = Parameters<Parameters<typeof usePageFocus>[0]['afterEach']>[0]
let guard: Guard
let shown = (): void => undefined
const go = async (to: string, from: string, first = false): Promise<void> => {
  guard({ path: to }, { path: from, matched: first ? [] : [{}] })
  shown()
  await vi.advanceTimersByTimeAsync(10)
}
beforeEach(() => {
  vi.useFakeTimers()
  document.body.innerHTML = '<a id="link" href="#">Ledger</a><main id="main"><input id="own"></main>'
  document.getElementById('link')!.focus()
  usePageFocus({ afterEach: (one) => { guard = one } }, (one) => { shown = one })
})
afterEach(() => {
  vi.useRealTimers()
})

describe('the focus on the way to another page', () => {
  it('goes along to its main part', async () => {
    await go('/ledger', '/')
    expect(document.activeElement?.id).toBe('main')
  })

  it('stays where the browser has it on the first page, and where only the query changes', async () => {
    await go('/ledger', '/', true)
    await go('/ledger', '/ledger')
    expect(document.activeElement?.id).toBe('link')
  })

  it('waits until the new page stands, and goes there once', async () => {
    guard({ path: '/ledger' }, { path: '/', matched: [{}] })
    await vi.advanceTimersByTimeAsync(10)
    expect(document.activeElement?.id).toBe('link')
    document.body.innerHTML = '<a id="link" href="#">Ledger</a><main id="main"></main>'
    shown()
    await vi.advanceTimersByTimeAsync(10)
    expect(document.activeElement?.id).toBe('main')
    document.getElementById('link')!.focus()
    shown()
    await vi.advanceTimersByTimeAsync(10)
    expect(document.activeElement?.id).toBe('link')
  })

  it('stays where the page itself has put it', async () => {
    document.getElementById('own')!.focus()
    await go('/measure', '/')
    expect(document.activeElement?.id).toBe('own')
  })
})
