import { useEventListener, useLocalStorage, useTimeoutFn } from '@vueuse/core'
import { computed, watch, type Ref } from 'vue'
import type { CueCode } from '../../core/cook/guidance/cue'
import type { LateLevel } from '../../core/cook/guidance/lateOf'
import { play, wakeSounds, type Meaning } from './sounds'

/** What each cue sounds like as it comes; those that are left out come quietly. */
const SOUND_OF: Readonly<Partial<Record<CueCode, Meaning>>> = {
  'take-out': 'now',
  'turn-down': 'now',
  'pour-now': 'now',
  'pour-stop': 'now',
  'off-now': 'now',
  'rested': 'now',
  'next': 'now',
  'pour-soon': 'soon',
  'watch': 'soon',
  'enrich-soon': 'soon',
  'light-other': 'other',
  'asked': 'asked',
  'burnt': 'stop',
}

/** The sound of what is late comes again after so long, by how late it is, ms. */
const AGAIN_MS: Readonly<Record<LateLevel, number>> = { 1: 60_000, 2: 30_000, 3: 15_000 }

/** Waking the sounds takes a moment of the page's own: the first touch is drawn before it, real ms. */
const AFTER_MS = 200

/**
 * Says and sounds the cues of a cook: a sound for each meaning, and the words where they are wanted. All of it is off
 * at a touch, and remembered on this device.
 *
 * @param cue what the moment asks for, or null
 * @param words how it is said
 * @param reachable whether the hearth answers
 * @param late how late it is; null where nothing is
 * @returns the switches, `whatNow` to hear the cue once, `quiet` for all off and the sounds on again
 */
export function useAnnouncing(
  cue: Readonly<Ref<CueCode | null>>,
  words: Readonly<Ref<string>>,
  reachable: Readonly<Ref<boolean>>,
  late: Readonly<Ref<LateLevel | null>>,
) {
  const sounds = useLocalStorage('yon-hearth.sounds', true)
  const speech = useLocalStorage('yon-hearth.speech', false)
  useEventListener(['pointerdown', 'keydown'], () => void setTimeout(wakeSounds, AFTER_MS))
  const hush = (): void => window.speechSynthesis?.cancel()
  const speak = (text: string): void => {
    if (!text || typeof SpeechSynthesisUtterance === 'undefined') return
    hush()
    window.speechSynthesis?.speak(new SpeechSynthesisUtterance(text))
  }
  watch(cue, (code, before) => {
    const meaning = code === null || before === null ? undefined : SOUND_OF[code]
    if (sounds.value && meaning) play(meaning)
  })
  // What is late is heard at once and again, sooner the later it is.
  const again = useTimeoutFn(
    () => {
      if (late.value === null) return
      if (sounds.value) play('late')
      again.start()
    },
    computed(() => AGAIN_MS[late.value ?? 1]),
    { immediate: false },
  )
  watch(late, (level, before) => {
    again.stop()
    if (level === null) return
    if (sounds.value && (before === null || level > before)) play('late')
    again.start()
  })
  watch(words, (text, before) => {
    if (speech.value && before) speak(text)
  })
  watch(reachable, here => {
    if (sounds.value && !here) play('away')
  })
  return {
    sounds,
    speech,
    canSpeak: typeof window !== 'undefined' && 'speechSynthesis' in window,
    /** The sound of a mark that was taken. */
    marked(): void {
      if (sounds.value) play('marked')
    },
    /** Lets a sound be heard by itself, so that it is known at the fire. */
    hear(meaning: Meaning): void {
      wakeSounds()
      play(meaning)
    },
    whatNow(): void {
      speak(words.value)
    },
    /** All off; once they are, the sounds on again. */
    quiet(): void {
      if (!sounds.value && !speech.value) {
        wakeSounds()
        sounds.value = true
        return
      }
      sounds.value = false
      speech.value = false
      hush()
    },
  }
}
