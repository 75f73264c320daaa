import type { Doubts } from './doubt'
import type { Lab } from '../../materials/colour/lab'
import type { SignId } from '../../formulation/signs/signIds'
import type { Window } from '../../maths/random/window'

/** One moment of the middle run, as the arch draws it. */
export interface ForecastPoint {
  readonly timeS: number
  readonly stage: number
  readonly tempC: number
  readonly panC: number
  readonly colour: Lab
  readonly waterG: number
  readonly heldG: number
  readonly contentG: number
  readonly volumeMl: number
  /** How far to its aroma the roast is: 1 as it begins. */
  readonly aroma?: number | undefined
  /** Fat that the mass does not hold, g. */
  readonly fatOutG?: number | undefined
  /** 0 runs like water, 1 stands by itself. */
  readonly stiffness?: number | undefined
}

/** What the pan is forecast to hold at one moment of the clock, every number as a window. */
export interface ForecastBand {
  /** s since the start of the cook. */
  readonly timeS: number
  /** Of the content, °C. */
  readonly tempC: Window
  readonly contentG: Window
  readonly volumeMl: Window
  /** Water that runs, and water that swollen grain or raw tissue holds, g. */
  readonly freeG: Window
  readonly boundG: Window
  /** Fat that the mass does not hold, g. */
  readonly fatOutG: Window
  /** 0 runs like water, 1 stands by itself. */
  readonly stiffness: Window
  /** How far to its aroma the roast is: 1 as it begins. */
  readonly aroma: Window
  /** Colours of the darkest tenth, the middle and the lightest tenth. */
  readonly colour: { readonly dark: Lab, readonly middle: Lab, readonly light: Lab }
}

/** The other vessel: how long it needs, when to put it on, when it boils. */
export interface SideForecast {
  readonly vessel: string
  /** Index of the main-line stage at whose start it must be ready. */
  readonly meets: number
  /** s from cold until it is ready. */
  readonly needs: Window
  /** When to put it on, s since the start; null once it is on. */
  readonly lightS: number | null
  /** When it boils, s since the start; null until it is on. */
  readonly boils: Window | null
  /** How it stands now in the middle run, once it is on: °C, g, and g it held when it was put on. */
  readonly now?: { readonly tempC: number, readonly contentG: number, readonly heldG: number } | undefined
}

/** What a forecast rests on. */
export interface RestsOn {
  readonly taps: number
  readonly readings: number
  readonly batches: number
  readonly guessedVessels: readonly string[]
}

/**
 * What this pan, flame and base will do, as far as it is known. Times in s since the start of the cook, weights in g.
 */
export interface Forecast {
  readonly modelVersion: string
  /** Missing means physics; `usual-minutes` in forecasts of older versions. */
  readonly basis?: 'physics' | 'usual-minutes' | undefined
  readonly nowS: number
  readonly members: number
  readonly effective: number
  readonly signs: Partial<Record<SignId, Window>>
  /** When each main-line stage begins, and one more: when the last one ends. */
  readonly stages: readonly Window[]
  readonly sides: readonly SideForecast[]
  /** Content of the pan as it leaves the fire. */
  readonly finishedG: Window
  /** When to turn the flame down in the running stage, s since the start; null where it may stay. */
  readonly turnDownS: number | null
  /** Time from the wanted colour to brown if one turned away, flame as it stands, s; null where it does not come. */
  readonly leftAloneS: number | null
  readonly points: readonly ForecastPoint[]
  /** The pan along the cook in windows; missing from an outline and from forecasts of older versions. */
  readonly bands?: readonly ForecastBand[] | undefined
  readonly restsOn: RestsOn
  /** What does not fit together; only where it was asked for. */
  readonly doubts?: Doubts | undefined
  /** What the pan should weigh and be now, without its own weight; missing before the start. */
  readonly panNow?: { readonly contentG: Window, readonly tempC: Window } | undefined
}

/** What a mark moves at once; the rest of a forecast follows with new runs. */
export type Reweighed = Pick<Forecast, 'nowS' | 'effective' | 'signs' | 'stages' | 'sides' | 'restsOn'>
