/**
 * A kind of fire: how long it takes to follow its mark, s, and how far its marks may be off before anything is known.
 */
export interface FireKindRow {
  readonly lagS: number
  /** One standard deviation of the logarithm of the power reaching a pan, the day's scatter included. */
  readonly spread: number
  /** Share of what the mark says that reaches the pan, where the mark is in watts. */
  readonly efficiency: number
  readonly basis: string
}

/** Fires by kind: gas marks, induction in watts or levels, a coil or plate that lags, wood and charcoal by eye. */
export const FIRE_KINDS = {
  gas: {
    lagS: 0,
    spread: 0.3,
    efficiency: 0.45,
    basis: 'estimate: domestic burners spread 25–35 % about their marks, 40–50 % reaches the pan',
  },
  induction: {
    lagS: 0,
    spread: 0.15,
    efficiency: 0.84,
    basis: 'estimate: rated power is kept, 80–90 % reaches the pan; pulsed on low levels',
  },
  coil: {
    lagS: 80,
    spread: 0.25,
    efficiency: 0.7,
    basis: 'estimate: a plate holds heat for a minute or two, 65–75 % reaches the pan',
  },
  wood: {
    lagS: 150,
    spread: 0.5,
    efficiency: 0.2,
    basis: 'estimate: small, middle and big by eye; embers hold for minutes',
  },
} as const satisfies Readonly<Record<string, FireKindRow>>

export type FireKind = keyof typeof FIRE_KINDS
export const FIRE_KIND_IDS = ['gas', 'induction', 'coil', 'wood'] as const satisfies readonly FireKind[]
