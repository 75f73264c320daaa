/** What sounds mean at the fire; each has its own. */
export const MEANINGS = ['soon', 'now', 'late', 'stop', 'other', 'asked', 'marked', 'away'] as const
export type Meaning = (typeof MEANINGS)[number]

/**
 * Notes of each meaning, Hz and s: rising to look, three equal ones to act, two that jump up twice where it is late,
 * four falling ones to stop, two low ones for the other vessel, a fall for a lost connection.
 */
const NOTES: Readonly<Record<Meaning, readonly (readonly [hz: number, forS: number])[]>> = {
  marked: [[880, 0.06]],
  soon: [[523, 0.16], [659, 0.16]],
  now: [[784, 0.14], [784, 0.14], [784, 0.3]],
  late: [[698, 0.1], [988, 0.1], [698, 0.1], [988, 0.22]],
  stop: [[988, 0.12], [784, 0.12], [622, 0.12], [494, 0.12]],
  other: [[330, 0.22], [330, 0.22]],
  asked: [[587, 0.14], [880, 0.28]],
  away: [[440, 0.2], [294, 0.35]],
}
const GAP_S = 0.06
const LOUD = 0.16

let context: AudioContext | null = null

/**
 * Lets sounds be heard: browsers allow it only after a touch or a key.
 */
export function wakeSounds(): void {
  if (typeof AudioContext === 'undefined') return
  context ??= new AudioContext()
  if (context.state === 'suspended') void context.resume().catch(() => undefined)
}

/**
 * Plays the sound of a meaning; silently nothing where the browser has none or has not been touched yet.
 *
 * @param meaning what is to be heard
 */
export function play(meaning: Meaning): void {
  if (!context || context.state !== 'running') return
  let at = context.currentTime
  for (const [hz, forS] of NOTES[meaning]) {
    const note = context.createOscillator()
    const gain = context.createGain()
    note.frequency.value = hz
    gain.gain.setValueAtTime(0, at)
    gain.gain.linearRampToValueAtTime(LOUD, at + 0.02)
    gain.gain.linearRampToValueAtTime(0, at + forS)
    note.connect(gain).connect(context.destination)
    note.start(at)
    note.stop(at + forS)
    at += forS + GAP_S
  }
}
