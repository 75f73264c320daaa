import { keysOf } from '../../core/records'
import { Worker } from 'node:worker_threads'
import type { JudgeReport } from '../../contracts/judge'
import { OTHER_LAWS } from '../../devices/otherLaws'
import type { Held, State, Verdict } from './judgeCook'
import { judgeSyrup } from './judgeSyrup'
import { judgeSlice, type Slice, type SliceResult } from './slice'

/** How much is judged. */
export interface Size {
  readonly cooks: number
  readonly wrong: number
  readonly flames: number
  readonly members: number
  readonly flameMembers: number
}
export const FULL: Size = { cooks: 2010, wrong: 160, flames: 450, members: 90, flameMembers: 200 }
export const QUICK: Size = { cooks: 60, wrong: 20, flames: 24, members: 60, flameMembers: 80 }

const SLICE = 20
const WORLDS = keysOf(OTHER_LAWS)

/**
 * Judges the forecast on imaginary cooks: its own laws and other ones, rivals, flame plan, syrup.
 *
 * @param size how much
 * @param workers threads; 1 judges in this one
 * @param script what a worker runs; it must answer a slice with its result
 * @returns the report, as `judge --json` prints it
 */
export async function judge(size: Size, workers: number, script: string): Promise<JudgeReport> {
  const cut = (world: Slice['world'], what: Slice['what'], count: number): Slice[] =>
    Array.from({ length: Math.ceil(count / SLICE) }, (_, i) => ({
      world,
      what,
      from: i * SLICE,
      to: Math.min(count, (i + 1) * SLICE),
      members: what === 'flames' ? size.flameMembers : size.members,
    }))
  const slices = [
    ...cut('own', 'cooks', size.cooks),
    ...WORLDS.flatMap(world => cut(world, 'cooks', size.wrong)),
    ...cut('own', 'flames', size.flames),
  ]
  const results = workers > 1 ? await share(slices, workers, script) : slices.map(judgeSlice)
  return report(results)
}

/** Every worker takes the next slice as it is done with the last. */
async function share(slices: readonly Slice[], workers: number, script: string): Promise<SliceResult[]> {
  const results: SliceResult[] = []
  let next = 0
  await Promise.all(Array.from({ length: workers }, () => new Promise<void>((resolve, reject) => {
    const worker = new Worker(script, { workerData: { judge: true } })
    const give = (): void => {
      if (next < slices.length) return worker.postMessage(slices[next++])
      void worker.terminate()
      resolve()
    }
    worker.on('message', (result: SliceResult) => {
      results.push(result)
      give()
    })
    worker.on('error', reject)
    give()
  })))
  return results
}

function report(results: readonly SliceResult[]): JudgeReport {
  const of = (world: Slice['world']): Verdict[] =>
    results
      .filter(one => one.slice.world === world && one.slice.what === 'cooks')
      .sort((p, q) => p.slice.from - q.slice.from)
      .flatMap(one => one.verdicts)
  const own = of('own')
  const held = own.flatMap(one => one.held)
  const times = held.filter(one => one.of !== 'weight')
  const flames = results.flatMap(one => one.flames)
  const part = (keep: (one: (typeof flames)[number]) => boolean): number =>
    flames.filter(keep).length / Math.max(1, flames.length)
  const worlds = WORLDS.map((name) => {
    const verdicts = of(name)
    const windows = verdicts.flatMap(one => one.held)
    return {
      name,
      held: shareHeld(windows),
      roastMovedBy: movedBy(verdicts, own),
      byState: perState(windows, shareHeld),
      width: perState(windows, medianWidth),
    }
  })
  const rivalry = (name: 'roast' | 'wet') => {
    const found = own.flatMap(one => one.rivalry).filter(one => one.of === name)
    return {
      ours: median(found.map(one => one.ours)),
      oursFirst: median(found.map(one => one.oursFirst)),
      same: median(found.map(one => one.same)),
      scaled: median(found.map(one => one.scaled)),
    }
  }
  const weights = (state: 'first' | 'afterOne'): Held[] => held.filter(one => one.state === state)
  return {
    cooks: own.length,
    coverage: {
      own: shareHeld(times),
      wrong: worlds.map(one => one.held),
      byState: perState(times, shareHeld),
      byFamily: Object.fromEntries(
        [...new Set(times.map(one => one.family))].map(family => [
          family,
          shareHeld(times.filter(one => one.family === family)),
        ]),
      ),
      worlds,
    },
    width: perState(times, medianWidth),
    widthFromCook: perState(times, windows => median(windows.map(one => one.widthFromCook))),
    weight: {
      first: medianWidth(weights('first')),
      afterOne: medianWidth(weights('afterOne')),
      heldFirst: shareHeld(weights('first')),
      heldAfterOne: shareHeld(weights('afterOne')),
    },
    rivals: { roast: rivalry('roast'), wet: rivalry('wet') },
    flamePlan: {
      reached: part(one => one.planned.reached),
      fixedMark: part(one => one.fixed.reached),
      burnt: part(one => one.planned.burnt),
      burntFixed: part(one => one.fixed.burnt),
      roasts: flames.length,
      met: part(one => one.met),
      reachedWhereMet:
        part(one => one.met && one.planned.reached)
        / Math.max(
          1e-9,
          part(one => one.met),
        ),
    },
    syrup: judgeSyrup(),
  }
}

const shareHeld = (windows: readonly Held[]): number =>
  windows.filter(one => one.held).length / Math.max(1, windows.length)
const medianWidth = (windows: readonly Held[]): number => median(windows.map(one => one.width))
function perState(windows: readonly Held[], of: (some: readonly Held[]) => number): JudgeReport['width'] {
  const known = (state: State): number => of(windows.filter(one => one.state === state && one.of !== 'weight'))
  return { none: known('none'), boil: known('boil'), boilAroma: known('boilAroma'), boilTwoTaps: known('boilTwoTaps') }
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((p, q) => p - q)
  return sorted[Math.floor(sorted.length / 2)] ?? Number.NaN
}

/**
 * How far a world moves the end of the roast on the same inputs, in the median and as a share: 0.2 is a fifth later or
 * earlier.
 */
function movedBy(verdicts: readonly Verdict[], own: readonly Verdict[]): number {
  const before = new Map(own.map(one => [one.seed, one.roastEndS]))
  return median(verdicts.flatMap((one): number[] => {
    const other = before.get(one.seed)
    return one.roastEndS !== null && other !== null && other !== undefined ? [one.roastEndS / other] : []
  })) - 1
}
