import { useEventListener, useLocalStorage } from '@vueuse/core'
import type { Ref } from 'vue'

/** What the keys of the fire screen do. */
export interface FireHands {
  /** Presses the big action at a place, 0 the first. */
  readonly act: (place: number) => void
  /** Back to the moment. */
  readonly close: () => void
  readonly takeBack: () => void
  readonly everything: () => void
  readonly wrong: () => void
  readonly far: () => void
  readonly whatNow: () => void
  readonly quiet: () => void
}

const LETTERS: Readonly<Record<string, Exclude<keyof FireHands, 'act'>>> = {
  Escape: 'close', z: 'takeBack', m: 'everything', x: 'wrong', f: 'far', w: 'whatNow', q: 'quiet',
}

/**
 * Keys of the fire screen: Space for what is waited for, numbers for the others, a letter for the rest. A key typed
 * into a field, or held down with another, does nothing here; Space on a button presses that button. The letters can be
 * switched off, for who speaks to the machine (WCAG 2.1.4), and that is remembered on this device.
 *
 * @param hands what they do
 * @returns whether letters do anything
 */
export function useFireKeys(hands: FireHands): { readonly letters: Ref<boolean> } {
  const letters = useLocalStorage('yon-hearth.letters', true)
  useEventListener('keydown', (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return
    const focused = document.activeElement
    if (focused instanceof HTMLInputElement || focused instanceof HTMLTextAreaElement) return
    if (event.code === 'Space') {
      if (focused instanceof HTMLButtonElement || focused instanceof HTMLAnchorElement) return
      event.preventDefault()
      if (!event.repeat) hands.act(0)
    }
    else if (/^[1-5]$/.test(event.key)) hands.act(Number(event.key) - 1)
    else {
      const what = LETTERS[event.key]
      if (what && (letters.value || event.key === 'Escape')) hands[what]()
    }
  })
  return { letters }
}
