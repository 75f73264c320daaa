import { uptime } from 'node:os'

/** The hearth's clock: every part of the product asks this one. */
export interface HearthClock {
  /** ms since 1970 */
  now(): number
  /** How many of its seconds pass in one real one. */
  readonly rate: number
  /** Takes the machine's time again, where it was held because that was set while something cooked. */
  follow?(): void
}

/** The clocks of a machine. */
export interface MachineClocks {
  /** Its time of day, ms since 1970: may be set. */
  real(): number
  /** Runs evenly, ms; stands still while the machine sleeps. */
  steady(): number
  /** Since the machine was started, sleep counted, ms; never set. */
  sinceStart(): number
}

const MACHINE: MachineClocks = { real: Date.now, steady: () => performance.now(), sinceStart: () => uptime() * 1000 }

/**
 * The clock that the environment asks for: `HEARTH_CLOCK_RATE` (0.01 to 100 000, default 1) and, for another rate than
 * one, `HEARTH_CLOCK_ANCHOR`, the real moment in ms at which both clocks agree, so that a restarted server goes on.
 *
 * @param env the environment
 * @param machine its clocks
 * @returns the clock
 */
export function clockFrom(
  env: Readonly<Record<string, string | undefined>>,
  machine: MachineClocks = MACHINE,
): HearthClock {
  const wanted = Number(env.HEARTH_CLOCK_RATE ?? 1)
  const rate = wanted >= 0.01 && wanted <= 100_000 ? wanted : 1
  if (rate === 1) return heldClock(machine)
  const given = Number(env.HEARTH_CLOCK_ANCHOR)
  const anchor = Number.isFinite(given) && given > 0 ? given : machine.real()
  return { now: () => Math.round(anchor + (machine.real() - anchor) * rate), rate }
}

/** Less than this is no setting of a clock but how it is read, ms. */
const LEAST_SET_MS = 1500

/**
 * The machine's time, but going on evenly where that is set (by hand, or by the network once a machine without a clock
 * of its own has found it): minutes on the fire stay minutes. Sleep of the machine is time that passes.
 *
 * @param machine its clocks
 * @returns the clock; `follow` takes the machine's time again
 */
export function heldClock(machine: MachineClocks): HearthClock {
  let last = { real: machine.real(), steady: machine.steady() }
  let startedAt = last.real - machine.sinceStart()
  /** How far behind the machine's time this one is. */
  let behindMs = 0
  return {
    rate: 1,
    now() {
      const next = { real: machine.real(), steady: machine.steady() }
      const apartMs = (next.real - last.real) - (next.steady - last.steady)
      last = next
      // The two move apart when the machine sleeps or its time is set; what counts sleep too tells which.
      if (Math.abs(apartMs) >= LEAST_SET_MS) {
        const setMs = next.real - machine.sinceStart() - startedAt
        if (Math.abs(setMs) >= LEAST_SET_MS) {
          startedAt += setMs
          behindMs += setMs
          console.warn(
            `The machine's clock was set by ${Math.round(setMs / 1000)} s. The hearth goes on by the old time until nothing is cooked; times that are marked stay right.`,
          )
        }
      }
      return Math.round(next.real - behindMs)
    },
    follow() {
      if (behindMs === 0) return
      behindMs = 0
      console.warn('The hearth goes by the machine\'s clock again.')
    },
  }
}
