import { computed, shallowRef, watch } from 'vue'
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
import { boilAfter, BoilStateSchema, boilStepOf, type BoilChoices, type BoilEvent, type BoilState } from './boilState'

const KEPT = 'yon-hearth.boil'

/** How long it is boiled on before it is weighed, s. */
export const BOIL_ON_S = 240

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
  const state = shallowRef<BoilState | null>(recall())
  const now = useHearthTime(200)
  watch(state, (value) => {
    if (value) keepText(KEPT, JSON.stringify(value))
    else dropText(KEPT)
  })
  const happened = (event: BoilEvent): void => {
    state.value = boilAfter(state.value, event)
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
  const step = computed(() => boilStepOf(state.value))
  const sinceS = (fromMs: number | null | undefined): number =>
    fromMs == null ? 0 : Math.max(0, (now.value - fromMs) / 1000)
  return {
    state, pan, fire, mark, step,
    /** Changes what is chosen, until it is lit. */
    choose: (choices: Partial<BoilChoices>): void => happened({ is: 'chosen', choices }),
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
      happened({
        is: 'laid-out',
        id: newId(),
        choices: {
          pan: chosenPan.id,
          fire: chosenFire.id,
          mark: middle?.id ?? '',
          lid: true,
          waterG: 700,
          fromC: roomC.value - 2,
        },
      })
    },
    light: (): void => happened({ is: 'lit', atMs: hearthNow() }),
    boils: (): void => happened({ is: 'boils', atMs: hearthNow() }),
    off: (): void => happened({ is: 'off', atMs: hearthNow() }),
    /** A thermometer, on the way or at the boil, °C. */
    read: (tempC: number): void => happened({ is: 'read', atMs: now.value, tempC }),
    /** How much lighter it is after it boiled on, g. */
    weighed: (lostG: number): void => happened({ is: 'weighed', lostG }),
    end: (): void => happened({ is: 'ended' }),
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

function recall(): BoilState | null {
  try {
    const kept = BoilStateSchema.safeParse(keptJson(KEPT))
    return kept.success ? kept.data : null
  }
  catch {
    return null
  }
}
