import { z } from 'zod'
import { ClockSchema } from '../../contracts/clock'
import { ask } from './api'
import { keepText, keptJson } from './sync/storage'

const KEPT = 'yon-hearth.clock'
const KeptSchema = z.object({ ahead: z.number(), rate: z.number() })

/** The one clock of the page: the hearth's time at a moment of this device's steady clock, and its rate. */
let anchor = { hearth: Date.now(), steady: performance.now(), rate: 1 }

/** Where a page stands without the hearth: the device's clock and the difference and rate last known. */
function recall(): void {
  const kept = KeptSchema.safeParse(keptJson(KEPT))
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

export async function readClock(): Promise<void> {
  const asked = performance.now()
  try {
    const { now, rate } = await ask('GET', '/clock', ClockSchema)
    const steady = (asked + performance.now()) / 2
    putRight({ hearth: now, steady, rate })
    keepText(KEPT, JSON.stringify({ ahead: now - Date.now(), rate }))
  }
  catch {
    // Once it was right, it goes on evenly: the device's own clock may have been set since.
    if (!known) recall()
  }
  known = true
}

let known = false

/** Leaps that were taken for sleep, ms of the hearth's time: when the page's clock stood after one, and by how much. */
interface Leap { readonly afterMs: number, readonly byMs: number }
let leaps: Leap[] = []
/** More of them than this are not told apart. */
const MOST_LEAPS = 8
type PutRight = (right: (atMs: number) => number) => void
const rightListeners = new Set<PutRight>()

/**
 * Hears when the clock of the page was put right after it had leapt.
 *
 * @param listener is told how a time of the page is put right, ms
 */
export function onClockPutRight(listener: PutRight): void {
  rightListeners.add(listener)
}

/** Less than this is the journey of the answer and no fault of the clock, ms of real time. */
const LEAST_FAULT_MS = 1500

function putRight(next: typeof anchor): void {
  const before = hearthNow()
  anchor = next
  const wrongMs = before - hearthNow()
  const taken = leaps
  leaps = []
  if (taken.length === 0 || Math.abs(wrongMs) < LEAST_FAULT_MS * next.rate) return
  const untrue = falseLeaps(taken, wrongMs)
  for (const tell of rightListeners)
    tell(atMs => atMs - untrue.reduce((sum, leap) => sum + (atMs >= leap.afterMs ? leap.byMs : 0), 0))
}

/** Which of the leaps were no sleep: those that together come closest to how wrong the clock was. */
function falseLeaps(taken: readonly Leap[], wrongMs: number): Leap[] {
  let best: { readonly leaps: Leap[], readonly offMs: number } = { leaps: [], offMs: Math.abs(wrongMs) }
  for (let set = 1; set < 2 ** taken.length; set++) {
    const some = taken.filter((_, i) => (set >> i) % 2 === 1)
    const offMs = Math.abs(some.reduce((sum, leap) => sum + leap.byMs, 0) - wrongMs)
    if (offMs < best.offMs) best = { leaps: some, offMs }
  }
  return best.leaps
}

let last = { wall: Date.now(), steady: performance.now() }

/**
 * Looks whether the device slept, or its clock was set: then its two clocks have moved apart. Having slept, the page
 * goes on by the device's clock at once, and by the hearth's as soon as it answers; what was marked in between is put
 * right then.
 *
 * @returns true where something was noticed
 */
export function noticeClock(): boolean {
  const now = { wall: Date.now(), steady: performance.now() }
  const apartMs = (now.wall - last.wall) - (now.steady - last.steady)
  last = now
  // A hearth that runs at another rate is no kitchen: its clock is somebody's to move.
  if (anchor.rate !== 1 || Math.abs(apartMs) < LEAST_FAULT_MS) return false
  // A clock that was set back says nothing of how long anything took.
  if (apartMs > 0) {
    anchor = { ...anchor, hearth: anchor.hearth + apartMs * anchor.rate }
    leaps = [...leaps, { afterMs: hearthNow(), byMs: apartMs * anchor.rate }].slice(-MOST_LEAPS)
  }
  void readClock()
  return true
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

/**
 * Whether the clock is held for a mark that is drawn first.
 *
 * @returns true while it is not to be drawn anew
 */
export function clockIsHeld(): boolean {
  return performance.now() < heldUntil
}
