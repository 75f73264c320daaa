import type { DishCard } from '../../formulation/dish/dish'
import type { DayDish, ServedHow, Stands, VesselKind, Wish } from '../problem/day'

/** Steps of a dish as they were derived when it was put on the day. */
export type Steps = Pick<DayDish, 'activities' | 'lags' | 'holds' | 'hotPour' | 'sink' | 'ready'> & {
  /** Null where it does not perish; absent in days of older versions, which did not ask. */
  readonly stands?: Stands | null | undefined
}

/** A dish on a day. */
export interface SpreadDish {
  readonly id: string
  readonly card: DishCard
  readonly baseG: number
  readonly meal: string
  readonly serve: ServedHow
  /** True where its thickened milk is boiled down at home, as a step of the day. */
  readonly thickens?: boolean | undefined
  /** True where it perishes and stands in the cold until its meal. */
  readonly chills?: boolean | undefined
  readonly steps: Steps
  /** Colours the food takes from its first fire to its end, hex. */
  readonly colours: readonly string[]
  /** Step at whose start it turns; null where nothing turns. */
  readonly turn: string | null
}

/** Somebody with hands on the day. */
export interface Hands {
  readonly id: string
  readonly name: string
  /** False for a helper who may grate but not stand at the fire. */
  readonly roasts: boolean
  readonly away: readonly { readonly from: number, readonly to: number, readonly why: string }[]
}

/** The plan a household goes by. */
export interface SpreadPlan {
  readonly starts: Readonly<Record<string, number>>
  readonly late: Readonly<Record<string, number>>
  readonly cost: number
  readonly bound: number
  readonly proven: boolean
  /** How much more room than usual its steps were given, for what may take longer: 1 is usual. */
  readonly room: number
  /** Minute after which nobody could start for a meal, by meal; only where that is proven. */
  readonly latest: Readonly<Record<string, number>>
  readonly tries: {
    readonly tries: number
    readonly lateTries: number
    readonly pours: number
    readonly coldPours: number
  } | null
  /** Least that any plan waits and heats again, null where that is not proven. */
  readonly least?: { readonly waitMin: number | null, readonly reheats: number | null } | undefined
}

/** What is going on or done of a step; minutes. */
export interface StepProgress { readonly step: string, readonly begun: number | null, readonly ended: number | null }

/** A day of cooking as a household keeps it; minutes from 00:00 of the eve. */
export interface Spread {
  readonly id: string
  readonly revision: number
  readonly name: string
  /** Calendar date of minute 0, ISO 8601. */
  readonly eve: string
  readonly meals: readonly { readonly id: string, readonly name: string, readonly at: number }[]
  readonly dishes: readonly SpreadDish[]
  readonly hands: readonly Hands[]
  /** Every night from and to, minutes of the day, when all are asleep; null where nobody sleeps. */
  readonly nights: { readonly from: number, readonly to: number } | null
  readonly fires: readonly { readonly id: string, readonly name: string }[]
  readonly vessels: readonly {
    readonly id: string
    readonly name: string
    readonly kind: VesselKind
    readonly litres?: number | undefined
  }[]
  readonly washMin: number
  readonly wishes: readonly Wish[]
  /** Steps done once for two dishes: `from`'s step serves `for` as well. */
  readonly shared: readonly { readonly step: string, readonly from: string, readonly for: string }[]
  readonly promises: readonly {
    readonly id: string
    readonly whom: string
    readonly dish: string | null
    readonly what: string
    readonly at: number
    readonly given: boolean
  }[]
  readonly plan: SpreadPlan | null
  readonly doings: readonly StepProgress[]
  /** Cooks that were taken to the fire, by dish. */
  readonly cooks: readonly { readonly dish: string, readonly cook: string }[]
}
