import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { MEANINGS, type Meaning } from './sounds'

interface Note { readonly hz: number, readonly from: number, readonly to: number, readonly loudest: number }

/** What an audio context was asked to play. */
class Heard {
  static last: Heard | null = null
  state = 'suspended'
  currentTime = 10
  destination = {}
  readonly notes: Note[] = []
  constructor() { Heard.last = this }
  resume(): Promise<void> {
    this.state = 'running'
    return Promise.resolve()
  }

  private loudest = 0
  createGain() {
    this.loudest = 0
    const ramp = (value: number): void => { this.loudest = Math.max(this.loudest, value) }
    return { gain: { setValueAtTime: ramp, linearRampToValueAtTime: ramp }, connect: (to: unknown) => to }
  }

  createOscillator() {
    const frequency = { value: 0 }
    let from = 0
    return {
      frequency, connect: (to: unknown) => to, start: (at: number) => { from = at },
      stop: (at: number) => { this.notes.push({ hz: frequency.value, from, to: at, loudest: this.loudest }) },
    }
  }
}

let sounds: typeof import('./sounds')

beforeEach(async () => {
  vi.resetModules()
  Heard.last = null
  vi.stubGlobal('AudioContext', Heard)
  sounds = await import('./sounds')
})
afterEach(() => vi.unstubAllGlobals())

function heard(meaning: Meaning): readonly Note[] {
  sounds.wakeSounds()
  Heard.last!.notes.length = 0
  sounds.play(meaning)
  return [...Heard.last!.notes]
}

describe('sounds at the fire', () => {
  it('are silent before the first touch, and where the browser has none', async () => {
    sounds.play('now')
    expect(Heard.last).toBeNull()
    vi.unstubAllGlobals()
    vi.resetModules()
    const without = await import('./sounds')
    without.wakeSounds()
    expect(() => without.play('now')).not.toThrow()
  })

  it('are one context, woken once', () => {
    sounds.wakeSounds()
    const first = Heard.last
    sounds.wakeSounds()
    expect(Heard.last).toBe(first)
    expect(first!.state).toBe('running')
  })

  it('differ for each meaning in their notes', () => {
    const tunes = MEANINGS.map(meaning =>
      heard(meaning)
        .map(note => `${note.hz}:${(note.to - note.from).toFixed(2)}`)
        .join(' '),
    )
    expect(new Set(tunes).size).toBe(MEANINGS.length)
  })

  it('can be told apart without pitch: by how many notes there are, how long, or which way they go', () => {
    const shape = (meaning: Meaning): string => {
      const notes = heard(meaning)
      const way = notes.length < 2 ? 'one' : Math.sign(notes.at(-1)!.hz - notes[0]!.hz).toString()
      return `${notes.length} ${way} ${notes.map(note => (note.to - note.from > 0.2 ? 'long' : 'short')).join(',')}`
    }
    expect(new Set(MEANINGS.map(shape)).size).toBe(MEANINGS.length)
  })

  it.each(MEANINGS)('%s: one note after another, from now on, none loud enough to startle', (meaning) => {
    const notes = heard(meaning)
    expect(notes[0]!.from).toBe(10)
    for (const [i, note] of notes.entries()) {
      expect(note.to).toBeGreaterThan(note.from)
      if (i > 0) expect(note.from).toBeGreaterThan(notes[i - 1]!.to)
      expect(note.loudest).toBeGreaterThan(0)
      expect(note.loudest).toBeLessThanOrEqual(0.2)
    }
    expect(notes.at(-1)!.to - 10).toBeLessThan(1)
  })
})
