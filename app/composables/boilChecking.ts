import { computed, shallowRef, watch } from 'vue'
import { z } from 'zod'
import { BoilCheckSchema } from '../../contracts/heart'
import type { Fire, Pan, Settings } from '../../contracts/kitchen'
import type { Lesson } from '../../contracts/lesson'
import { forecastBoil } from '../../core/process/boil/forecastBoil'
import { USUAL_ROOM_C } from '../../core/record/plan/usualRoom'
import { saturationTempC } from '../../core/materials/water/saturationTempC'
import { airPressurePa } from '../../core/materials/water/airPressurePa'
import { hearthNow } from '../clients/hearthClock'
import { useHearthTime } from './hearthTime'
import { dropText, keepText, keptJson } from '../clients/sync/storage'

const KEPT = 'yon-hearth.boil'

/** How long it is boiled on before it is weighed, s. */
export const BOIL_ON_S = 240

const Reading = z.strictObject({ timeS: z.number(), tempC: z.number() })
const StateSchema = z.strictObject({
  id: z.string(),
  pan: z.string(),
  fire: z.string(),
  mark: z.string(),
  lid: z.boolean(),
  waterG: z.number(),
  fromC: z.number(),
  /** ms since 1970; null until then. */
  startedMs: z.number().nullable(),
  boiledMs: z.number().nullable(),
  offMs: z.number().nullable(),
  half: Reading.nullable(),
  atBoilC: z.number().nullable(),
  lostG: z.number().nullable(),
})
type State = z.infer<typeof StateSchema>
export type BoilStep = 'set-up' | 'heating' | 'boiling' | 'weigh'

/** What of the kitchen a boil check needs. */
export interface BoilSources {
  readonly pans: () => readonly Pan[]
  readonly fires: () => readonly Fire[]
  readonly settings: () => Settings | undefined
}

/**
 * A boil check as it is done: kept on this device with every tap, so that a reload or a dead battery loses nothing.
 *
 * @param sources pans, fires and height of the house
 * @param newId makes ids
 * @returns state, clock, what is expected, and the taps
 */
export function useBoilChecking(sources: BoilSources, newId: () => string) {
  const state = shallowRef<State | null>(recall())
  const now = useHearthTime(200)
  watch(state, (value) => {
    if (value) keepText(KEPT, JSON.stringify(value))
    else dropText(KEPT)
  })
  const set = (values: Partial<State>): void => {
    if (state.value) state.value = { ...state.value, ...values }
  }
  const pan = computed(() => sources.pans().find(one => one.id === state.value?.pan) ?? null)
  const fire = computed(() => sources.fires().find(one => one.id === state.value?.fire) ?? null)
  const mark = computed(() => fire.value?.marks.find(one => one.id === state.value?.mark) ?? null)
  const altitudeM = computed(() => sources.settings()?.altitudeM ?? 0)
  const roomC = computed(() => sources.settings()?.roomC ?? USUAL_ROOM_C)
  const setUp = computed(() => {
    const one = state.value
    if (!one || !pan.value || !fire.value || !mark.value) return null
    const { innerDiameterMm, depthMm, massG, material } = pan.value
    return {
      id: one.id,
      fire: {
        id: fire.value.id,
        kind: fire.value.kind ?? ('gas' as const),
        mark: mark.value.id,
        watts: mark.value.watts,
      },
      pan: {
        id: pan.value.id,
        vessel: { innerDiameterMm, depthMm, massG, material },
        massGuessed: pan.value.massOrigin === 'guess',
      },
      lid: one.lid,
      waterG: one.waterG,
      fromC: one.fromC,
      airC: roomC.value,
      altitudeM: altitudeM.value,
      when: one.startedMs ?? hearthNow(),
    }
  })
  const step = computed((): BoilStep => {
    const one = state.value
    if (!one || one.startedMs === null) return 'set-up'
    if (one.boiledMs === null) return 'heating'
    return one.offMs === null ? 'boiling' : 'weigh'
  })
  const sinceS = (fromMs: number | null | undefined): number =>
    fromMs == null ? 0 : Math.max(0, (now.value - fromMs) / 1000)
  return {
    state, pan, fire, mark, step, set,
    clockS: computed(() =>
      step.value === 'heating'
        ? sinceS(state.value?.startedMs)
        : step.value === 'boiling'
          ? Math.max(0, BOIL_ON_S - sinceS(state.value?.boiledMs))
          : 0,
    ),
    boilingC: computed(() => saturationTempC(airPressurePa(altitudeM.value))),
    expected: computed(() => {
      try {
        return setUp.value ? forecastBoil(setUp.value) : null
      }
      catch {
        return null
      }
    }),
    /** Lays a new check out, with the first pan and fire where nothing was chosen. */
    begin(panId?: string, fireId?: string): void {
      const chosenFire = sources.fires().find(one => one.id === fireId) ?? sources.fires()[0]
      const chosenPan = sources.pans().find(one => one.id === panId) ?? sources.pans()[0]
      if (!chosenFire || !chosenPan) return
      const middle = chosenFire.marks[Math.floor(chosenFire.marks.length / 2)]
      state.value = {
        id: newId(),
        pan: chosenPan.id,
        fire: chosenFire.id,
        mark: middle?.id ?? '',
        lid: true,
        waterG: 700,
        fromC: roomC.value - 2,
        startedMs: null,
        boiledMs: null,
        offMs: null,
        half: null,
        atBoilC: null,
        lostG: null,
      }
    },
    light: (): void => set({ startedMs: hearthNow() }),
    boils: (): void => set({ boiledMs: hearthNow() }),
    off: (): void => set({ offMs: hearthNow() }),
    /** A thermometer on the way, °C. */
    read: (tempC: number): void => set({ half: { timeS: Math.round(sinceS(state.value?.startedMs)), tempC } }),
    end: (): void => {
      state.value = null
    },
    /** The check as it is taught; null where it cannot be: then nothing of it is lost. */
    lesson(): Lesson | null {
      const one = state.value
      if (!one || !setUp.value || one.startedMs === null || one.boiledMs === null) return null
      const check = BoilCheckSchema.safeParse({
        ...setUp.value,
        boilS: Math.max(10, (one.boiledMs - one.startedMs) / 1000),
        half: one.half,
        atBoilC: one.atBoilC,
        boiledOn:
          one.lostG === null || one.offMs === null
            ? null
            : { seconds: Math.round((one.offMs - one.boiledMs) / 1000), lostG: one.lostG },
      })
      return check.success
        ? {
            kind: 'boil-check',
            id: one.id,
            at: hearthNow(),
            pan: pan.value?.name ?? '',
            fire: fire.value?.name ?? '',
            mark: mark.value?.label ?? '',
            check: check.data,
          }
        : null
    },
  }
}
export type BoilChecking = ReturnType<typeof useBoilChecking>

function recall(): State | null {
  try {
    const kept = StateSchema.safeParse(keptJson(KEPT))
    return kept.success ? kept.data : null
  }
  catch {
    return null
  }
}
