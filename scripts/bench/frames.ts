import type { CDPSession, Page } from '@playwright/test'

/**
 * What counts as script, style and layout in a browser's own trace; microtasks among them, which its summary counters
 * leave out.
 */
const WORK = new Set([
  'FunctionCall',
  'EvaluateScript',
  'RunMicrotasks',
  'FireAnimationFrame',
  'EventDispatch',
  'TimerFire',
  'ParseHTML',
  'UpdateLayoutTree',
  'Layout',
  'IntersectionObserverController::computeIntersections',
  'ResizeObserverController::gatherObservations',
])
const FRAME = 'BeginMainThreadFrame'

interface TraceEvent {
  readonly name: string
  readonly ph: string
  readonly ts: number
  readonly dur?: number
  readonly tid: number
  readonly pid: number
}

/**
 * Script, style and layout of every frame while something is done, from the browser's trace (Chromium's timeline
 * events).
 *
 * @param page it is done on
 * @param act what is done
 * @returns ms of each frame, in order of time
 */
export async function framesOf(page: Page, act: () => Promise<void>): Promise<number[]> {
  const wire = await page.context().newCDPSession(page)
  const events = await traced(wire, act)
  await wire.detach()
  const main = mostFrames(events)
  const begun = events.filter(one => one.name === FRAME && key(one) === main).map(one => one.ts).sort((p, q) => p - q)
  const work = events
    .filter(one => key(one) === main && one.ph === 'X' && WORK.has(one.name))
    .map(one => [one.ts, one.ts + (one.dur ?? 0)] as const)
    .sort((p, q) => p[0] - q[0])
  const frames = begun.slice(0, -1).map(() => 0)
  let done = 0
  for (const [from, to] of work) {
    // What lies within another is counted once.
    const [start, end] = [Math.max(from, done), to]
    if (end <= start) continue
    done = end
    const frame = begun.findLastIndex(at => at <= start)
    if (frame >= 0 && frame < frames.length) frames[frame]! += (end - start) / 1000
  }
  return frames
}

const key = (one: TraceEvent): string => `${one.pid}/${one.tid}`

/** The thread on which frames begin. */
function mostFrames(events: readonly TraceEvent[]): string {
  const counts = new Map<string, number>()
  for (const one of events) if (one.name === FRAME) counts.set(key(one), (counts.get(key(one)) ?? 0) + 1)
  return [...counts].sort((p, q) => q[1] - p[1])[0]?.[0] ?? ''
}

async function traced(wire: CDPSession, act: () => Promise<void>): Promise<TraceEvent[]> {
  const events: TraceEvent[] = []
  wire.on('Tracing.dataCollected', ({ value }) => void events.push(...value as unknown as TraceEvent[]))
  await wire.send('Tracing.start', {
    transferMode: 'ReportEvents',
    traceConfig: {
      includedCategories: [
        '-*',
        'devtools.timeline',
        'disabled-by-default-devtools.timeline.frame',
        'disabled-by-default-devtools.timeline',
      ],
    },
  })
  await act()
  const complete = new Promise<void>(done => wire.once('Tracing.tracingComplete', () => done()))
  await wire.send('Tracing.end')
  await complete
  return events
}
