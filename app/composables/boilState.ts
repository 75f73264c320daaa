import { z } from 'zod'

const Reading = z.strictObject({ timeS: z.number(), tempC: z.number() })
const ChoicesSchema = z.strictObject({
  pan: z.string(),
  fire: z.string(),
  mark: z.string(),
  lid: z.boolean(),
  waterG: z.number(),
  fromC: z.number(),
})
/** What is chosen before a boil check is lit. */
export type BoilChoices = z.infer<typeof ChoicesSchema>

/** A boil check as it is kept on the device; its step follows from what was marked. */
export const BoilStateSchema = ChoicesSchema.extend({
  id: z.string(),
  /** ms since 1970; null until then. */
  startedMs: z.number().nullable(),
  boiledMs: z.number().nullable(),
  offMs: z.number().nullable(),
  half: Reading.nullable(),
  atBoilC: z.number().nullable(),
  lostG: z.number().nullable(),
})
export type BoilState = z.infer<typeof BoilStateSchema>

/** Laid out, on the fire, boiling, off the fire. */
export type BoilStep = 'set-up' | 'heating' | 'boiling' | 'weigh'

/** What can happen to a boil check. Times in ms since 1970, temperatures in °C, weights in g. */
export type BoilEvent =
  | { readonly is: 'laid-out', readonly id: string, readonly choices: BoilChoices }
  | { readonly is: 'chosen', readonly choices: Partial<BoilChoices> }
  | { readonly is: 'lit' | 'boils' | 'off', readonly atMs: number }
  /** A thermometer: on the way, or at the boil. */
  | { readonly is: 'read', readonly atMs: number, readonly tempC: number }
  /** How much lighter it is after it boiled on. */
  | { readonly is: 'weighed', readonly lostG: number }
  | { readonly is: 'ended' }

/**
 * The step that a boil check stands at.
 *
 * @param state as it is kept; null where none is done
 * @returns the step; what is not lit is set up
 */
export function boilStepOf(state: BoilState | null): BoilStep {
  if (!state || state.startedMs === null) return 'set-up'
  if (state.boiledMs === null) return 'heating'
  return state.offMs === null ? 'boiling' : 'weigh'
}

/**
 * A boil check after something happened; what cannot happen at its step changes nothing.
 *
 * @param state as it was; null where none is done
 * @param event what happened
 * @returns as it is then
 */
export function boilAfter(state: BoilState | null, event: BoilEvent): BoilState | null {
  if (event.is === 'laid-out') {
    return {
      id: event.id, ...event.choices,
      startedMs: null, boiledMs: null, offMs: null, half: null, atBoilC: null, lostG: null,
    }
  }
  if (!state || event.is === 'ended') return null
  const step = boilStepOf(state)
  switch (event.is) {
    case 'chosen': return step === 'set-up' ? { ...state, ...event.choices } : state
    case 'lit': return step === 'set-up' ? { ...state, startedMs: event.atMs } : state
    case 'boils': return step === 'heating' ? { ...state, boiledMs: event.atMs } : state
    case 'off': return step === 'boiling' ? { ...state, offMs: event.atMs } : state
    case 'read': {
      if (step === 'set-up' || state.startedMs === null) return state
      const { tempC } = event
      return step === 'heating'
        ? { ...state, half: { timeS: Math.max(0, Math.round((event.atMs - state.startedMs) / 1000)), tempC } }
        : { ...state, atBoilC: tempC }
    }
    case 'weighed': return step === 'weigh' ? { ...state, lostG: event.lostG } : state
  }
}
