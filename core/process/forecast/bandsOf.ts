import { itemAt } from '../../maths/table/itemAt'
import { memberValues } from '../belief/memberValues'
import { drawnEvenly } from '../../maths/random/drawnEvenly'
import type { ConditionedEnsemble } from '../ensemble/conditionEnsemble'
import type { ForecastBand } from '../../record/plan/forecast'
import type { Window } from '../../maths/random/window'
import { pointOf } from './pointsOf'
import type { Program } from '../engine/program'
import { ensembleRecord } from '../engine/record'
import { simulate } from '../engine/simulate'
import type { TracePoint } from '../engine/trace'
import { windowOf } from './windowOf'

/** So many members are followed along the whole cook: the 10th and 90th percentile of them lie three deep. */
const FOLLOWED = 30
/** Moments of the bands, evenly over the cook. */
const MOMENTS = 32
/** Moments are kept at least this far apart while a member is followed, s. */
const LEAST_APART_S = 4

/**
 * What the pan is forecast to hold along the cook, every number as a window: members drawn evenly by their weights are
 * followed from the start, and read at the same moments of the clock. A member that is done stays as it was.
 *
 * @param program what is run
 * @param ensemble weighed members
 * @param untilS the last moment, s since the start
 * @returns bands in order of time, one of them now where the cook has begun
 */
export function bandsOf(
  program: Program,
  ensemble: Pick<ConditionedEnsemble, 'columns' | 'normals' | 'weights'>,
  untilS: number,
): ForecastBand[] {
  const apartS = untilS / MOMENTS
  const everyS = Math.max(LEAST_APART_S, apartS / 3)
  const times = Array.from({ length: MOMENTS + 1 }, (_, i) => i * apartS)
  if (program.nowS > 0 && program.nowS < untilS) times[Math.round(program.nowS / apartS)] = program.nowS
  const runs = drawnEvenly(ensemble.weights, FOLLOWED).map(index => {
    const member = memberValues(ensemble.columns, ensemble.normals, index)
    const points: TracePoint[] = []
    simulate(
      program,
      member,
      ensembleRecord(1, program.stages.length, program.queries.length, program.sides.length),
      0,
      { everyS, points },
    )
    return momentsAt(points, times).map(moment => pointOf(program, member, moment))
  })
  return times.map((timeS, k) =>
    bandAt(
      timeS,
      runs.map(run => itemAt(run, k)),
    ),
  )
}

/** The last moment of a run not after each of the times; its first where there is none. */
function momentsAt(points: readonly TracePoint[], times: readonly number[]): TracePoint[] {
  let at = 0
  return times.map((timeS) => {
    while (at + 1 < points.length && itemAt(points, at + 1).timeS <= timeS + 1e-6) at++
    return itemAt(points, at)
  })
}

function bandAt(timeS: number, points: readonly ReturnType<typeof pointOf>[]): ForecastBand {
  const even = new Float64Array(points.length).fill(1 / points.length)
  const of = (value: (point: ReturnType<typeof pointOf>) => number): Window => windowOf(points.map(value), even)
  const byLightness = points.map(point => point.colour).sort((p, q) => p.lightness - q.lightness)
  const colourAt = (share: number) =>
    itemAt(byLightness, Math.min(byLightness.length - 1, Math.floor(share * byLightness.length)))
  return {
    timeS,
    tempC: of(point => point.tempC),
    contentG: of(point => point.contentG),
    volumeMl: of(point => point.volumeMl),
    freeG: of(point => point.waterG - point.heldG),
    boundG: of(point => point.heldG),
    fatOutG: of(point => point.fatOutG),
    stiffness: of(point => point.stiffness),
    aroma: of(point => point.aroma),
    colour: { dark: colourAt(0.1), middle: colourAt(0.5), light: colourAt(0.9) },
  }
}
