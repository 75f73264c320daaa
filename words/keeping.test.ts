import { describe, expect, it } from 'vitest'
import { keepingText, type KeepingState } from './keeping'

const well: KeepingState = { waiting: 0, reachable: true, setAside: 0, keeping: 'device', outside: false }

describe('what is safe, and where', () => {
  it('is said of the hearth only where all of it is there', () => {
    expect(keepingText(well)).toBe('kept on the hearth')
    const others: Partial<KeepingState>[] = [
      { waiting: 1 },
      { reachable: false },
      { setAside: 1 },
      { outside: true },
      { waiting: 2, keeping: 'full' },
      { waiting: 2, keeping: 'denied', reachable: false },
    ]
    for (const other of others) expect(keepingText({ ...well, ...other })).not.toBe('kept on the hearth')
  })

  it('says that the page must stay open where the device cannot keep anything', () => {
    expect(keepingText({ ...well, waiting: 3, reachable: false, keeping: 'full' })).toBe(
      "hearth away: 3 held on this page only (this device's storage is full): leave it open",
    )
    expect(keepingText({ ...well, waiting: 1, keeping: 'denied' })).toContain('storage is denied')
    expect(keepingText({ ...well, setAside: 2 })).toBe(
      'the rest is kept on the hearth; 2 refused and set aside on this device',
    )
    expect(keepingText({ ...well, outside: true, waiting: 4 })).toBe('outside the house: 4 kept here')
  })
})
