import { computed, readonly, shallowReactive, shallowRef, type ComputedRef, type Ref } from 'vue'
import { isForLater } from '../api'

/** How a lane stands: nothing to do, at work, or waiting until the hearth is back. */
export type LaneState = 'idle' | 'working' | 'away'

/**
 * One errand of this device at the hearth, such as the marks of one stream or one day: one request at a time, tried
 * again after longer and longer where the hearth is away, whatever stands with the others.
 */
export interface Lane {
  readonly state: Readonly<Ref<LaneState>>
  /** Works so many ms from now, real ms; together with what was asked for already. */
  soon(afterMs: number): void
  /** Works once nothing was asked for so long, real ms; where the hearth is away, when it is tried again. */
  afterPause(ms: number): void
  /** Works at once, after what is under way; resolves when that is over, done or not. */
  now(): Promise<void>
}

/**
 * What a round of work came to: nothing is left, more can be done at once, or nothing moved though something is left.
 */
export type Round = 'done' | 'more' | 'stuck'

/** After a failure it is tried again, each time after twice as long, real ms. */
const FIRST_RETRY_MS = 2000
const LAST_RETRY_MS = 60_000

/** Every lane with what tries it at once. */
const lanes = shallowReactive(new Map<Lane, () => void>())

/** Whether the hearth answered whoever asked it last. */
export const isReachable: ComputedRef<boolean> = computed(() =>
  [...lanes.keys()].every(lane => lane.state.value !== 'away'),
)

/** The connection may stand again: whatever waits is tried at once. */
export function tryNow(): void {
  for (const anew of [...lanes.values()]) anew()
}

/**
 * A lane.
 *
 * @param round one round of work; it throws what is for later, and takes what is refused for good upon itself
 * @returns the lane; it lasts as long as the page
 */
export function laneOf(round: () => Promise<Round>): Lane {
  const state = shallowRef<LaneState>('idle')
  let timer: ReturnType<typeof setTimeout> | null = null
  let dueAt = Infinity
  let retryMs = FIRST_RETRY_MS
  let working: Promise<void> | null = null
  let again = false

  function rest(): void {
    if (timer) clearTimeout(timer)
    timer = null
    dueAt = Infinity
  }

  function wait(ms: number): void {
    if (Date.now() + ms >= dueAt) return
    rest()
    dueAt = Date.now() + ms
    timer = setTimeout(() => void now(), ms)
  }

  async function work(): Promise<void> {
    let came: Round
    try {
      came = await round()
    }
    catch (error) {
      if (!isForLater(error)) throw error
      came = 'stuck'
    }
    if (came === 'stuck') {
      state.value = 'away'
      wait(retryMs)
      retryMs = Math.min(LAST_RETRY_MS, retryMs * 2)
      return
    }
    retryMs = FIRST_RETRY_MS
    state.value = 'idle'
    if (came === 'more') again = true
  }

  async function now(): Promise<void> {
    rest()
    if (working) {
      again = true
      return working
    }
    if (state.value === 'idle') state.value = 'working'
    working = rounds().finally(() => working = null)
    return working
  }

  async function rounds(): Promise<void> {
    do {
      again = false
      await work()
    } while (again && state.value !== 'away')
  }

  const lane: Lane = {
    state: readonly(state), now,
    soon(ms) {
      if (working) again = true
      else wait(ms)
    },
    afterPause(ms) {
      if (state.value === 'away') return
      rest()
      wait(ms)
    },
  }
  lanes.set(lane, () => {
    retryMs = FIRST_RETRY_MS
    if (state.value === 'away') void now()
  })
  return lane
}
