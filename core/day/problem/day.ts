/** How a dish is served; weights and windows of the objective are given by it. */
export type ServedHow = 'hot' | 'warm' | 'room' | 'cold'

/**
 * Kind of a vessel or machine that is held while steps go on. A large heavy pan also serves where a heavy one is
 * needed.
 */
export type VesselKind = 'heavy' | 'heavyL' | 'pot' | 'ppan' | 'grinder' | 'tray' | 'cold'

/**
 * Shortest, likely and longest duration of a step, whole minutes; what shortest and longest mean is said by the day's
 * `spans`.
 */
export type Durations = readonly [shortest: number, likely: number, longest: number]

/** One step of a dish that is not interrupted once begun. */
export interface Activity {
  readonly id: string
  readonly dur: Durations
  /** Hands it takes: none, half a person (now and then), or one whole person. */
  readonly hands: 0 | 0.5 | 1
  /** Fires it takes. */
  readonly burner: 0 | 1
  /** 1 if it takes the grinder. */
  readonly grinder?: 0 | 1
  /** True if it does not count as time in the kitchen, such as washing lentils for a soak the evening before. */
  readonly night?: boolean
  /** True where a pan or liquid is hot in it: only who may stand at the fire does it. */
  readonly hot?: boolean
  /** Who may do it, as indices of cooks; everybody where it is absent. */
  readonly cooks?: readonly number[]
}

/**
 * A least and a longest time between the end of one step and the start of another, minutes; a longest of null is open.
 */
export interface Lag {
  readonly from: string
  readonly to: string
  readonly min: number
  readonly max: number | null
  /** Why: soak, set, cool, grated, paste, hotbase… */
  readonly kind: string
}

/** A vessel of a kind that is held from the start of one step to the end of another. */
export interface Hold {
  readonly need: VesselKind
  readonly first: string
  readonly last: string
}

/** A liquid that must be hot at the pour: at most `max` minutes after it is ready, or heated again. */
export interface HotPour {
  readonly heat: string
  readonly pour: string
  readonly max: number
  readonly reheat: { readonly dur: Durations, readonly maxWait: number }
}

/**
 * The end of a step from which on a dish stands outside the cold, and most minutes until its meal; minutes that would
 * warm it through after it stood in the cold, where it does not.
 */
export interface Stands { readonly from: string, readonly most: number, readonly warms?: Durations }

/** One dish of a day. */
export interface DayDish {
  readonly id: string
  readonly template: string
  readonly meal: string
  readonly serve: ServedHow
  /** The last step; the dish is on the table `ready` minutes after its end. */
  readonly sink: string
  readonly ready: number
  readonly activities: readonly Activity[]
  readonly lags: readonly Lag[]
  readonly holds: readonly Hold[]
  readonly hotPour?: HotPour
  /** What perishes stands no longer than this; absent for what does not. */
  readonly stands?: Stands
}

/** A time in which a cook, or all of them, have no hands to give, minutes. */
export interface Away {
  readonly cook: number | 'all'
  readonly from: number
  readonly to: number
  readonly why: string
}

/** What a plan is judged by, in minutes' worth. */
export interface DayWeights {
  readonly late: number
  readonly span: number
  readonly reheat: number
  readonly early: Readonly<Record<ServedHow, number>>
  readonly stale: Readonly<Record<ServedHow, number>>
  readonly window: Readonly<Record<ServedHow, number>>
  readonly maxEarly: Readonly<Record<ServedHow, number>>
}

/** A lag between steps of two dishes, each named `dish.activity`: what is made once for both. */
export type Link = Lag

/** A step held at a start, or kept out of a span of time; named `dish.activity`, minutes. */
export type Wish =
  | { readonly kind: 'pin', readonly step: string, readonly start: number }
  | { readonly kind: 'forbid', readonly step: string, readonly from: number, readonly to: number }

/**
 * A day of cooking, schema 1 of `docs/formats.md` and more: all times are whole minutes from 00:00 of the first day.
 * What is absent of `links`, `washMin` and `wishes` is as if it were empty or 0.
 */
export interface Day {
  readonly id: string
  /** Nothing is planned before this minute. */
  readonly now: number
  /** Nothing is planned after this minute. */
  readonly horizon: number
  readonly cooks: number
  readonly burners: number
  readonly away: readonly Away[]
  readonly vessels: readonly { readonly id: string, readonly kind: VesselKind, readonly litres?: number }[]
  readonly meals: readonly { readonly id: string, readonly at: number }[]
  readonly weights: DayWeights
  readonly dishes: readonly DayDish[]
  readonly links?: readonly Link[]
  /** Minutes in which a vessel is washed between two dishes; nobody's hands are counted for it. */
  readonly washMin?: number
  readonly wishes?: readonly Wish[]
  /**
   * Whether shortest and longest are the ends of a triangle around the likely, as in schema 1, or its 10th and 90th
   * percentile.
   */
  readonly spans?: 'triangle' | 'percentiles'
}

/** Start minute of every step by `dish.activity`; a dish's liquid that is heated again has `dish.reheat`. */
export type Starts = Readonly<Record<string, number>>
