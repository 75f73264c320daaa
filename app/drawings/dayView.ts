import type { Day, Starts } from '../../core/day/problem/day'
import { lanesOf, stepsOf, type Lanes, type LaneSpan } from '../../core/day/problem/lanesOf'
import { arcadeOf, type ArcadeRow } from './arcade'
import { dayScale, type DayScale } from './dayScale'

/** One lane under the arcade. */
export interface LaneRow {
  readonly key: string
  readonly name: string
  readonly kind: 'hands' | 'fire' | 'vessel'
  readonly y: number
  readonly height: number
  readonly spans: readonly (LaneSpan & {
    readonly x: number
    readonly width: number
    readonly top: number
    readonly tall: number
  })[]
}

/** A day as it is drawn. */
export interface DayView {
  readonly width: number
  readonly height: number
  readonly left: number
  /** True where the names of dishes stand above their arches. */
  readonly namesAbove?: boolean
  readonly scale: DayScale
  readonly rows: readonly ArcadeRow[]
  readonly rowHeight: number
  /** Where the arches end and the lanes begin. */
  readonly ground: number
  readonly lanes: readonly LaneRow[]
  readonly meals: readonly { readonly id: string, readonly at: number, readonly x: number }[]
}

/** Names of what a day's lanes are. */
export interface LaneNames {
  readonly hands: readonly string[]
  readonly fires: readonly string[]
  readonly vessels: ReadonlyMap<string, string>
}

/** Drawing units. */
const CLOCK = 34
const LANE = 27
const LANE_GAP = 5
const BELOW = 14
const RIGHT = 26

/**
 * Lays a day out: the clock, the arches, the lanes.
 *
 * @param day the problem the plan was made for, padded
 * @param starts start minutes
 * @param late minutes each meal is moved
 * @param looks colours and turning steps, by dish
 * @param names of hands, fires and vessels
 * @param width drawing units
 * @param left room for names
 * @param rowHeight of a dish
 * @param laid lanes, where they are not those of the starts
 */
export function dayView(
  day: Day,
  starts: Starts,
  late: Readonly<Record<string, number>>,
  looks: Parameters<typeof arcadeOf>[3],
  names: LaneNames,
  width: number,
  left: number,
  rowHeight: number,
  laid: Lanes = lanesOf(day, starts),
): DayView {
  const steps = stepsOf(day, starts)
  const meals = day.meals
    .filter(meal => day.dishes.some(dish => dish.meal === meal.id))
    .map(meal => ({ id: meal.id, at: meal.at + (late[meal.id] ?? 0) }))
  const scale = dayScale([...steps, ...meals.map(meal => ({ from: meal.at, to: meal.at }))], left, width - RIGHT)
  const rows = arcadeOf(day, starts, scale, looks, rowHeight, CLOCK)
  const ground = CLOCK + rows.length * rowHeight + BELOW
  const all = [
    ...laid.hands.map((spans, i) => ({ key: `hands-${i}`, name: names.hands[i] ?? '', kind: 'hands' as const, spans })),
    ...laid.fires.map((spans, i) => ({ key: `fire-${i}`, name: names.fires[i] ?? '', kind: 'fire' as const, spans })),
    ...laid.vessels.map(({ id, spans }) => ({
      key: `vessel-${id}`,
      name: names.vessels.get(id) ?? id,
      kind: 'vessel' as const,
      spans,
    })),
  ].filter(lane => lane.kind === 'hands' || lane.spans.length > 0)
  const lanes = all.map((lane, i): LaneRow => {
    const y = ground + LANE_GAP + i * (LANE + LANE_GAP)
    return {
      ...lane,
      y,
      height: LANE,
      spans: lane.spans.map(span => ({
        ...span,
        x: scale.x(span.from),
        width: Math.max(2, scale.x(span.to) - scale.x(span.from)),
        ...halves(lane.spans, span, y),
      })),
    }
  })
  return {
    width,
    left,
    scale,
    rows,
    rowHeight,
    ground,
    lanes,
    height: ground + LANE_GAP + all.length * (LANE + LANE_GAP) + 2,
    meals: meals.map(meal => ({ ...meal, x: scale.x(meal.at) })),
  }
}

/** Half a pair of hands takes half the lane; two such steps lie over one another. */
function halves(spans: readonly LaneSpan[], span: LaneSpan, y: number): { top: number, tall: number } {
  if (span.much >= 1) return { top: y, tall: LANE }
  const below = spans.some(
    other =>
      other !== span
      && other.much < 1
      && other.from < span.to
      && span.from < other.to
      && (other.from < span.from || (other.from === span.from && other.step < span.step)),
  )
  return { top: below ? y + LANE / 2 : y, tall: LANE / 2 }
}
