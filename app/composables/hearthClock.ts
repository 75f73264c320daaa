import { onScopeDispose, readonly, ref, type Ref } from 'vue'
import { z } from 'zod'
import { ClockSchema } from '../../contracts/clock'
import { ask } from './api'

const KEPT = 'yon-hearth.clock'
const KeptSchema = z.object({ ahead: z.number(), rate: z.number() })

/** The one clock of the page: the hearth's time at a moment of this device's steady clock, and its rate. */
let anchor = { hearth: Date.now(), steady: performance.now(), rate: 1 }

/** Where a page stands without the hearth: the device's clock and the difference and rate last known. */
function recall(): void {
  const kept = KeptSchema.safeParse(JSON.parse(localStorage.getItem(KEPT) ?? 'null'))
  if (!kept.success) return
  if (kept.data.rate === 1) anchor = { hearth: Date.now() + kept.data.ahead, steady: performance.now(), rate: 1 }
}

/**
 * The hearth's time.
 *
 * @returns ms since 1970
 */
export function hearthNow(): number {
  return Math.round(anchor.hearth + (performance.now() - anchor.steady) * anchor.rate)
}

/**
 * How many of the hearth's seconds pass in one real one.
 *
 * @returns the rate, 1 in a kitchen
 */
export function hearthRate(): number {
  return anchor.rate
}

/**
 * Sets the page's clock by the hearth's; half the journey is taken off. Where the hearth cannot be reached the
 * difference last known is used. It is done once; whoever needs a right clock waits for it.
 */
export function setHearthClock(): Promise<void> {
  setting ??= readClock()
  return setting
}

let setting: Promise<void> | null = null

async function readClock(): Promise<void> {
  const asked = performance.now()
  try {
    const { now, rate } = await ask('GET', '/clock', ClockSchema)
    const steady = (asked + performance.now()) / 2
    anchor = { hearth: now, steady, rate }
    localStorage.setItem(KEPT, JSON.stringify({ ahead: now - Date.now(), rate }))
  }
  catch {
    recall()
  }
}

/** Until then the clock is not drawn anew, ms of the steady clock. */
let heldUntil = 0

/**
 * Holds the drawing of the clock for a moment: a mark is drawn first.
 *
 * @param forMs how long, ms of the hearth's clock
 */
export function holdClock(forMs: number): void {
  heldUntil = performance.now() + forMs / Math.max(1, anchor.rate)
}

/** A clock that runs faster is drawn oftener, but no oftener than this, real ms. */
const LEAST_MS = 40

/**
 * The hearth's time as it passes, for drawing.
 *
 * @param everyMs how often it moves, real ms
 * @returns ms since 1970, readonly; it stops with its scope
 */
export function useHearthTime(everyMs = 200): Readonly<Ref<number>> {
  const now = ref(hearthNow())
  const timer = setInterval(() => {
    if (performance.now() >= heldUntil) now.value = hearthNow()
  }, Math.max(LEAST_MS, everyMs / hearthRate()))
  onScopeDispose(() => clearInterval(timer))
  return readonly(now)
}
