// @vitest-environment happy-dom
import { effectScope, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useFireKeys, type FireHands } from './fireKeys'

let scope: EffectScope
const names = ['act', 'close', 'takeBack', 'everything', 'wrong', 'far', 'whatNow', 'quiet'] as const
const hands = Object.fromEntries(names.map(name => [name, vi.fn()])) as Record<
  (typeof names)[number],
  ReturnType<typeof vi.fn>
>

beforeEach(() => {
  for (const hand of Object.values(hands)) hand.mockReset()
  scope = effectScope()
  scope.run(() => useFireKeys(hands as unknown as FireHands))
})
afterEach(() => {
  scope.stop()
  document.body.innerHTML = ''
})
function press(key: string, more: KeyboardEventInit = {}): KeyboardEvent {
  const event = new KeyboardEvent('keydown', {
    key,
    code: key === ' ' ? 'Space' : `Key${key.toUpperCase()}`,
    bubbles: true,
    cancelable: true,
    ...more,
  })
  window.dispatchEvent(event)
  return event
}
const pressed = (): string[] => names.filter(name => hands[name].mock.calls.length > 0)
function focus(tag: 'input' | 'textarea' | 'button' | 'a'): void {
  const element = document.createElement(tag)
  if (element instanceof HTMLAnchorElement) element.href = '#'
  document.body.append(element)
  element.focus()
}

describe('keys at the fire', () => {
  it('do nothing as letters once those are switched off; Space, numbers and Esc stay', () => {
    scope.stop()
    scope = effectScope()
    const { letters } = scope.run(() => useFireKeys(hands as unknown as FireHands))!
    letters.value = false
    for (const key of ['z', 'm', 'x', 'f', 'w', 'q']) press(key)
    expect(pressed()).toEqual([])
    press('Escape')
    press('2')
    expect(pressed()).toEqual(['act', 'close'])
    letters.value = true
  })

  it('press the likeliest action on Space, once for a key that is held down, without scrolling the page', () => {
    expect(press(' ').defaultPrevented).toBe(true)
    press(' ', { repeat: true })
    press(' ', { repeat: true })
    expect(hands.act.mock.calls).toEqual([[0]])
  })

  it('press the others by their number', () => {
    for (const key of ['1', '2', '5']) press(key)
    for (const key of ['0', '6']) press(key)
    expect(hands.act.mock.calls).toEqual([[0], [1], [4]])
  })

  it.each([
    ['Escape', 'close'],
    ['z', 'takeBack'],
    ['m', 'everything'],
    ['x', 'wrong'],
    ['f', 'far'],
    ['w', 'whatNow'],
    ['q', 'quiet'],
  ] as const)('%s does one thing: %s', (key, name) => {
    press(key)
    expect(pressed()).toEqual([name])
  })

  it('leave alone what belongs to the browser, and letters that mean nothing', () => {
    press('z', { ctrlKey: true })
    press('f', { metaKey: true })
    press('w', { altKey: true })
    press('k')
    expect(pressed()).toEqual([])
  })

  it.each(['input', 'textarea'] as const)('type into a field (%s) and do nothing else', (tag) => {
    focus(tag)
    for (const key of [' ', 'z', '1', 'Escape']) press(key)
    expect(pressed()).toEqual([])
  })

  it.each(['button', 'a'] as const)('let Space press what is focused (%s), and keep the letters', (tag) => {
    focus(tag)
    expect(press(' ').defaultPrevented).toBe(false)
    press('x')
    expect(pressed()).toEqual(['wrong'])
  })

  it('are free again once the fire is left', () => {
    scope.stop()
    press(' ')
    expect(pressed()).toEqual([])
  })
})
