import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useArriving } from './arriving'

describe('a page that is coming', () => {
  beforeEach(() => {
    vi.useFakeTimers()
  })
  afterEach(() => {
    vi.useRealTimers()
  })

  it('is held back until all of it has come, and one that fails holds nothing back', async () => {
    let come = (): void => undefined
    const coming = useArriving([new Promise<void>((resolve) => {
      come = resolve
    }), Promise.reject(new Error('away'))])
    await vi.advanceTimersByTimeAsync(500)
    expect(coming.value).toBe(true)
    come()
    await vi.advanceTimersByTimeAsync(1)
    expect(coming.value).toBe(false)
  })

  it('shows what is there after a second and a half', async () => {
    const coming = useArriving([new Promise(() => undefined)])
    await vi.advanceTimersByTimeAsync(1499)
    expect(coming.value).toBe(true)
    await vi.advanceTimersByTimeAsync(2)
    expect(coming.value).toBe(false)
  })
})
