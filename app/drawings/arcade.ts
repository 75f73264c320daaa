import { pathRound } from 'd3-path'
import type { Day, Starts } from '../../core/day/problem/day'
import { stepsOf, type PlannedStep } from '../../core/day/problem/lanesOf'
import { THICKENED } from '../../core/day/spread/thickenedMilk'
import type { DayScale } from './dayScale'

/** One stone of an arch over the clock: its outline and colour. */
export interface ArcadeStone { readonly path: string, readonly colour: string }

/** One dish over the clock. */
export interface ArcadeRow {
  readonly dish: string
  /** Ground its arch stands on, and its top. */
  readonly ground: number
  readonly top: number
  readonly stones: readonly ArcadeStone[]
  /** Feet and crown of the arch, drawing units; null where nothing stands on a fire. */
  readonly arch: {
    readonly left: number
    readonly right: number
    readonly crown: number
    readonly turnMin: number | null
  } | null
  /** Steps away from the arch, on the ground. */
  readonly blocks: readonly { readonly step: string, readonly from: number, readonly to: number }[]
  /** Waits: soaking, setting, cooling. */
  readonly waits: readonly {
    readonly from: number
    readonly to: number
    readonly kind: string
    readonly until: number
  }[]
  readonly fireMin: { readonly from: number, readonly to: number } | null
}

/** Height of a row and space above an arch, drawing units; thickness of its stones; how many there are. */
const ABOVE = 10
const STONE = 13
const STONES = 22
/** Waits shorter than this are not drawn, minutes. */
const SHORTEST_WAIT = 15
/** Waits that are shown, and not those of somebody being busy elsewhere. */
const SHOWN = new Set(['soak', 'drain', 'wash-dry', 'cool-whole', 'cool', 'set', 'milk', 'rest'])

/** Steps on a fire or in a pan of their own, beside the cooking of the dish. */
const BESIDE: ReadonlySet<string> = new Set([
  'reheat',
  'nuts',
  'nuts-last',
  'melt',
  'grate-2',
  'steep',
  'roast-whole',
  THICKENED.step,
])

/**
 * Lays the dishes of a plan out as arches on the clock: feet at the first and last minute on the fire, the crown over
 * the turning point.
 *
 * @param day the day the plan was made for
 * @param starts start minutes
 * @param scale the clock
 * @param looks colours along the arch and the step at which it turns, by dish
 * @param rowHeight drawing units
 * @param above room above the first row
 */
export function arcadeOf(
  day: Day,
  starts: Starts,
  scale: DayScale,
  looks: ReadonlyMap<string, { readonly colours: readonly string[], readonly turn: string | null }>,
  rowHeight: number,
  above = 0,
): ArcadeRow[] {
  const steps = stepsOf(day, starts)
  return day.dishes.map((dish, index) => {
    const mine = steps.filter(one => one.dish === dish.id)
    const look = looks.get(dish.id)
    const main = mainPan(dish, mine)
    const ground = above + (index + 1) * rowHeight
    const top = above + index * rowHeight + ABOVE
    const fireMin = main.length > 0 ? { from: main[0]!.from, to: Math.max(...main.map(one => one.to)) } : null
    const turnMin = mine.find(one => one.activity.id === look?.turn)?.from ?? null
    const arch = fireMin
      ? {
          left: scale.x(fireMin.from),
          right: scale.x(fireMin.to),
          crown: scale.x(turnMin ?? (fireMin.from + fireMin.to) / 2),
          turnMin,
        }
      : null
    return {
      dish: dish.id,
      ground,
      top,
      arch,
      fireMin,
      stones: arch ? stonesOf(arch, top, ground, look?.colours ?? []) : [],
      blocks: mine
        .filter(one => !main.includes(one))
        .map(one => ({ step: one.step, from: scale.x(one.from), to: scale.x(one.to) })),
      waits: dish.lags.flatMap(lag => {
        const from = mine.find(one => one.activity.id === lag.from)?.to
        const to = mine.find(one => one.activity.id === lag.to)?.from
        return from === undefined || to === undefined || to - from < SHORTEST_WAIT || !SHOWN.has(lag.kind)
          ? []
          : [{ from: scale.x(from), to: scale.x(to), kind: lag.kind, until: to }]
      }),
    }
  })
}

/** Steps in the pan the dish is finished in. */
function mainPan(dish: Day['dishes'][number], mine: readonly PlannedStep[]): PlannedStep[] {
  const hold = dish.holds
    .filter(one => (one.need === 'heavy' || one.need === 'heavyL') && !BESIDE.has(one.first))
    .at(-1)
  const first = mine.find(one => one.activity.id === hold?.first)
  const last = mine.find(one => one.activity.id === hold?.last)
  if (!first || !last) return []
  const aside = new Set([dish.hotPour?.heat, ...BESIDE])
  return mine.filter(
    one =>
      one.from >= first.from
      && one.to <= last.to
      && one.activity.hands > 0
      && !aside.has(one.activity.id)
      && (one.activity.burner > 0 || (one !== last && one.activity.hot === true)),
  )
}

function stonesOf(
  arch: NonNullable<ArcadeRow['arch']>,
  top: number,
  ground: number,
  colours: readonly string[],
): ArcadeStone[] {
  const width = arch.right - arch.left
  const thick = Math.min(STONE, width / 3.2)
  const shades = colours.length > 0 ? colours : ['#8a93a3']
  const outer = (share: number): [number, number] => pointOf(arch.left, arch.right, top, ground, share)
  const inner = (share: number): [number, number] =>
    pointOf(arch.left + thick, arch.right - thick, top + thick, ground, share)
  return Array.from({ length: STONES }, (_, i) => {
    const a = i / STONES
    const b = (i + 1) / STONES
    const pen = pathRound(1)
    const quarter = (share: number): number => a + (b - a) * share
    pen.moveTo(...outer(a))
    for (const share of [0.25, 0.5, 0.75, 1]) pen.lineTo(...outer(quarter(share)))
    for (const share of [1, 0.75, 0.5, 0.25, 0]) pen.lineTo(...inner(quarter(share)))
    pen.closePath()
    return {
      path: pen.toString(),
      colour: shades[Math.min(shades.length - 1, Math.floor(((i + 0.5) / STONES) * shades.length))]!,
    }
  })
}

/** A place along an arch of two legs and a half ellipse. */
function pointOf(left: number, right: number, top: number, ground: number, share: number): [number, number] {
  const half = (right - left) / 2
  const bow = Math.min(ground - top, Math.max(half * 0.9, (ground - top) * 0.55))
  const leg = ground - top - bow
  const curve = Math.PI * Math.sqrt((half * half + bow * bow) / 2)
  const along = share * (2 * leg + curve)
  if (along < leg) return [left, ground - along]
  if (along > leg + curve) return [right, top + bow + (along - leg - curve)]
  const angle = Math.PI * (along - leg) / curve
  return [left + half - half * Math.cos(angle), top + bow - bow * Math.sin(angle)]
}
