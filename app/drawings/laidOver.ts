import type { BatchSummary } from '../../core/cook/batch/summary'
import { archOf, placeOf, type ArchShape, type ArchPoint } from './arch'
import { archStrokes, type StoneStroke } from './archStrokes'

/** Where batches are laid upon one another. */
export const ALIGNED = ['fire', 'turn', 'end'] as const
export type Aligned = (typeof ALIGNED)[number]

/** One batch as a ring among the others. */
export interface Ring {
  readonly stones: readonly StoneStroke[]
  readonly joints: readonly (readonly [ArchPoint, ArchPoint])[]
  /** Its own turning point, inner to outer. */
  readonly turn: readonly [ArchPoint, ArchPoint]
  readonly inset: number
}

/** Batches laid over one another on one arch, the first outermost. */
export interface LaidOver {
  readonly rings: readonly Ring[]
  /** The time that stands at the crown, and the whole span, s of the common time. */
  readonly crownS: number
  readonly endS: number
}

type Times = Pick<BatchSummary, 'stones' | 'keystoneS' | 'endS'>

const endOf = (batch: Times): number => Math.max(batch.endS ?? 0, batch.stones.at(-1)?.toS ?? 1)
const turnOf = (batch: Times): number =>
  batch.keystoneS ?? batch.stones[Math.floor(batch.stones.length / 2)]?.toS ?? endOf(batch) / 2

/**
 * Lays up to four batches over one another: each a ring inside the one before, all at the same pace, moved so that the
 * fire, the turning point or the end stands at the same place.
 *
 * @param batches their stones and times, s
 * @param aligned at which moment they coincide
 * @param shape of the arch; its stone is the thickness of one ring
 * @param step from ring to ring, drawing units
 * @returns rings
 */
export function laidOver(batches: readonly Times[], aligned: Aligned, shape: ArchShape, step: number): LaidOver {
  const latest = (of: (batch: Times) => number): number => Math.max(1, ...batches.map(of))
  const shiftOf = (batch: Times): number =>
    aligned === 'fire' ? 0 : aligned === 'turn' ? latest(turnOf) - turnOf(batch) : latest(endOf) - endOf(batch)
  const crownS = aligned === 'turn' ? latest(turnOf) : batches[0] ? turnOf(batches[0]) + shiftOf(batches[0]) : 1
  const endS = latest(batch => endOf(batch) + shiftOf(batch))
  const arch = archOf(shape)
  return {
    crownS, endS: Math.max(endS, crownS + 1),
    rings: batches.map((batch, i) => {
      const by = shiftOf(batch)
      const stones = batch.stones.map(stone => ({ ...stone, fromS: stone.fromS + by, toS: stone.toS + by }))
      const times = { keystoneS: crownS, endS: Math.max(endS, crownS + 1) }
      const { stones: strokes, joints } = archStrokes(shape, stones, times, i * step)
      const at = placeOf(turnOf(batch) + by, times)
      return {
        stones: strokes,
        joints,
        turn: [arch.at(at, -i * step - shape.stone / 2), arch.at(at, -i * step + shape.stone / 2)],
        inset: i * step,
      }
    }),
  }
}
