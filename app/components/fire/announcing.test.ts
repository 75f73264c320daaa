import { mount } from '@vue/test-utils'
import { defineComponent, h, nextTick, ref } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { CueCode } from '../../../core/cook/guidance/cue'
import type { LateLevel } from '../../../core/cook/guidance/lateOf'
import { MEANING_WORDS } from '../../../words/sounds'
import { MEANINGS } from '../../composables/sounds'
import { eventually } from '../../../test/support/eventually'

interface Note { readonly hz: number }
const notes: Note[] = []
const spoken: string[] = []
class FakeContext {
  state = 'running'
  currentTime = 0
  destination = {}
  resume() {
    return Promise.resolve()
  }
  createGain() {
    const gain = {
      gain: { setValueAtTime: () => undefined, linearRampToValueAtTime: () => undefined },
      connect: () => gain,
    }
    return gain
  }
  createOscillator() {
    const frequency = { value: 0 }
    return {
      frequency,
      connect: (to: unknown) => to,
      start: () => notes.push({ hz: frequency.value }),
      stop: () => undefined,
    }
  }
}

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout'] })
  vi.resetModules()
  localStorage.clear()
  notes.length = spoken.length = 0
  vi.stubGlobal('AudioContext', FakeContext)
  vi.stubGlobal('SpeechSynthesisUtterance', class {
    constructor(readonly text: string) {}
  })
  vi.stubGlobal('speechSynthesis', {
    speak: (one: { text: string }) => spoken.push(one.text),
    cancel: () => spoken.push('—'),
  })
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

async function announced() {
  const { useAnnouncing } = await import('../../composables/announcing')
  const cue = ref<CueCode | null>('roast')
  const words = ref('Keep it moving, low flame')
  const reachable = ref(true)
  const late = ref<LateLevel | null>(null)
  let found: ReturnType<typeof useAnnouncing> | null = null
  mount(defineComponent({
    setup() {
      found = useAnnouncing(cue, words, reachable, late)
      return () => h('p')
    },
  }))
  window.dispatchEvent(new Event('pointerdown'))
  vi.runAllTimers()
  return { cue, words, reachable, late, announcing: found! as ReturnType<typeof useAnnouncing> }
}
const heard = (): string => notes.splice(0).map(one => one.hz).join(' ')

describe('sounds and spoken cues', () => {
  it('sound each meaning in its own way, and most cues not at all', async () => {
    const { cue, reachable, announcing } = await announced()
    const sounds: string[] = []
    for (const code of ['pour-soon', 'pour-now', 'light-other', 'asked', 'burnt'] as const) {
      cue.value = code
      await nextTick()
      sounds.push(heard())
    }
    reachable.value = false
    await nextTick()
    sounds.push(heard())
    announcing.marked()
    sounds.push(heard())
    expect(new Set(sounds).size).toBe(7)
    expect(sounds.every(Boolean)).toBe(true)
    cue.value = 'roast'
    await nextTick()
    expect(heard()).toBe('')
  })

  it('sound what is late at once and again, sooner the later it is', async () => {
    const { late } = await announced()
    late.value = 1
    await nextTick()
    const once = heard()
    expect(once).not.toBe('')
    vi.advanceTimersByTime(59_000)
    expect(heard()).toBe('')
    vi.advanceTimersByTime(2000)
    expect(heard()).toBe(once)
    late.value = 3
    await nextTick()
    expect(heard()).toBe(once)
    vi.advanceTimersByTime(31_000)
    expect(heard().split(once).length - 1).toBe(2)
    late.value = null
    await nextTick()
    vi.advanceTimersByTime(200_000)
    expect(heard()).toBe('')
  })

  it('can each be heard by itself, also while all are off', async () => {
    const { announcing } = await announced()
    announcing.quiet()
    const tunes = MEANINGS.map((meaning) => {
      announcing.hear(meaning)
      return heard()
    })
    expect(new Set(tunes).size).toBe(MEANINGS.length)
    expect(tunes.every(Boolean)).toBe(true)
    for (const meaning of MEANINGS) expect(MEANING_WORDS[meaning]).toBeTruthy()
  })

  it('speak only where it was asked for, and what now at any time', async () => {
    const { words, announcing } = await announced()
    words.value = 'Watch the colour'
    await nextTick()
    expect(spoken).toEqual([])
    announcing.whatNow()
    announcing.speech.value = true
    words.value = 'Flame off, then pour'
    await nextTick()
    expect(spoken.filter(text => text !== '—')).toEqual(['Watch the colour', 'Flame off, then pour'])
  })

  it('are all off at a touch, and stay off on this device', async () => {
    const { cue, words, announcing } = await announced()
    announcing.speech.value = true
    announcing.quiet()
    spoken.length = 0
    cue.value = 'pour-now'
    words.value = 'Flame off, then pour'
    await nextTick()
    expect([heard(), spoken]).toEqual(['', []])
    expect([localStorage.getItem('yon-hearth.sounds'), localStorage.getItem('yon-hearth.speech')]).toEqual([
      'false',
      'false',
    ])
  })
})

describe('the screen kept awake', () => {
  it('says how: by a moving picture where there is no lock, and that it cannot where there is neither', async () => {
    const { useAwake } = await import('../../composables/awake')
    const running = ref(false)
    let state: ReturnType<typeof useAwake> | null = null
    const wrapper = mount(defineComponent({
      setup() {
        state = useAwake(running)
        return () => h('p')
      },
    }))
    expect(state!.value).toBe('off')
    running.value = true
    await eventually(() => expect(['none', 'picture']).toContain(state!.value))
    running.value = false
    await nextTick()
    expect(state!.value).toBe('off')
    wrapper.unmount()
  })
})
