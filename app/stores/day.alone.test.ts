// @vitest-environment happy-dom
import { describe, expect, it, vi } from 'vitest'
import { OpenSpread } from '../../test/app/openSpread'
import { Refused, Unreachable } from '../clients/api'

const day = new OpenSpread()

describe('what was changed', () => {
  it('is on this device at once and on the hearth soon after', async () => {
    const state = await day.open()
    state.change(was => ({ ...was, name: 'Sunday lunch' }), 'kept')
    expect(JSON.parse(localStorage.getItem('yon-hearth.spread.day-1')!)).toMatchObject({ name: 'Sunday lunch' })
    expect(day.puts()).toHaveLength(0)
    await vi.advanceTimersByTimeAsync(450)
    expect(day.puts()).toHaveLength(1)
    expect(localStorage.getItem('yon-hearth.spread.day-1')).toBeNull()
  })

  it('waits for the hearth, is sent when it is back, and is there after a reload', async () => {
    const state = await day.open()
    day.hearth.mockRejectedValueOnce(new Unreachable())
    state.change(was => ({ ...was, name: 'In the lift' }), 'kept')
    await vi.advanceTimersByTimeAsync(450)
    expect(state.trouble.value).toContain('kept on this device')
    expect(localStorage.getItem('yon-hearth.spread.day-1')).not.toBeNull()
    await vi.advanceTimersByTimeAsync(5100)
    expect(day.kept.name).toBe('In the lift')
    expect(state.trouble.value).toBe('')
    localStorage.setItem('yon-hearth.spread.day-1', JSON.stringify({ ...day.kept, name: 'Not sent yet' }))
    const again = await day.openAgain()
    expect(again.spread.value!.name).toBe('Not sent yet')
    await vi.advanceTimersByTimeAsync(450)
    expect(day.kept.name).toBe('Not sent yet')
  })

  it('gives way to what another device changed meanwhile, and says so', async () => {
    const state = await day.open()
    day.hearth.mockRejectedValueOnce(
      new Refused({
        type: 'about:blank',
        title: 'Changed meanwhile',
        status: 409,
        code: 'changed-meanwhile',
        detail: 'Another device changed this day.',
      } as ConstructorParameters<typeof Refused>[0]),
    )
    day.kept = { ...day.kept, name: 'From the tablet', revision: 9 }
    state.change(was => ({ ...was, name: 'From the phone' }), 'kept')
    await vi.advanceTimersByTimeAsync(450)
    expect(state.spread.value).toMatchObject({ name: 'From the tablet', revision: 9 })
    expect(state.trouble.value).toBe('Another device changed this day.')
    expect(state.canUndo.value).toBe(false)
  })

  it('stands over what another device changed while that is still read', async () => {
    const state = await day.open()
    day.changedElsewhere({ name: 'From the tablet' })
    await vi.advanceTimersByTimeAsync(0)
    expect(state.spread.value!.name).toBe('From the tablet')
    day.changedElsewhere({ name: 'From the tablet again' })
    state.change(was => ({ ...was, name: 'From the phone' }), 'kept')
    await vi.advanceTimersByTimeAsync(0)
    expect(state.spread.value!.name).toBe('From the phone')
  })

  it('can still be taken back after another view, as long as nobody else changed the day', async () => {
    const state = await day.open()
    const { name } = day.kept
    state.change(was => ({ ...was, name: 'Sunday lunch' }), 'kept')
    await vi.advanceTimersByTimeAsync(450)
    const again = await day.openInAnotherView()
    expect(again.spread.value!.name).toBe('Sunday lunch')
    again.undo()
    expect(again.spread.value!.name).toBe(name)
    await vi.advanceTimersByTimeAsync(450)
    expect(day.kept.name).toBe(name)
    again.change(was => ({ ...was, name: 'Mine' }), 'kept')
    await vi.advanceTimersByTimeAsync(450)
    day.kept = { ...day.kept, name: 'Theirs', revision: day.kept.revision + 1 }
    const last = await day.openInAnotherView()
    expect(last.spread.value!.name).toBe('Theirs')
    expect(last.canUndo.value).toBe(false)
  })

  it('is waited for as it stands, also where something older is under way', async () => {
    const state = await day.open()
    state.change(was => ({ ...was, name: 'First' }), 'kept')
    const first = state.saved()
    state.change(was => ({ ...was, name: 'Second' }), 'kept')
    await state.saved()
    expect(day.kept.name).toBe('Second')
    expect(day.puts().map(put => put.name)).toEqual(['First', 'Second'])
    await first
  })

  it('is opened from this device where the hearth is away', async () => {
    localStorage.setItem('yon-hearth.spread.day-1', JSON.stringify({ ...day.kept, name: 'Kept here' }))
    day.hearth.mockRejectedValue(new Unreachable())
    const state = await day.open()
    expect(state.spread.value!.name).toBe('Kept here')
    expect(state.trouble.value).toContain('cannot be reached')
  })
})
