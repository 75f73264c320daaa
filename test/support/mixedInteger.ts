import type { Activity, Day } from '../../core/day/problem/day'

/** Everything of a day that takes hands, fire or a vessel for a span that is known beforehand. */
interface Timed { readonly name: string, readonly length: number, readonly hands: number, readonly burner: number }

/**
 * A day of one cook as a time-indexed mixed-integer problem in the LP format of HiGHS: a yes or no for every step and
 * minute (Pritsker, Watters and Wolfe, 1969). Made for tests, with nothing of the planner in it.
 *
 * @param day with one cook, one meal, one vessel of each kind, and no large pans
 */
export function asMixedInteger(day: Day): string {
  const meal = day.meals[0]!.at
  const minutes = Array.from({ length: meal - day.now + 1 }, (_, i) => day.now + i)
  const steps = day.dishes.flatMap(dish =>
    dish.activities.map(activity => timed(`${dish.id}_${activity.id}`, activity)),
  )
  const again = day.dishes.flatMap(dish =>
    dish.hotPour
      ? [
          {
            name: `${dish.id}_reheat`,
            length: dish.hotPour.reheat.dur[1],
            hands: dish.activities.find(one => one.id === dish.hotPour!.heat)!.hands,
            burner: 1,
          },
        ]
      : [],
  )
  const rows: string[] = []
  const binaries: string[] = []
  const goes = (one: Timed): number[] => minutes.filter(minute => minute + one.length <= meal)
  const start = (one: Timed, sign = ''): string =>
    goes(one)
      .map(minute => `${sign || '+'} ${minute} ${one.name}_${minute}`)
      .join(' ')
  const of = (dish: string, id: string): Timed => [...steps, ...again].find(one => one.name === `${dish}_${id}`)!
  for (const one of steps) rows.push(`${goes(one).map(minute => `+ ${one.name}_${minute}`).join(' ')} = 1`)
  for (const one of again)
    rows.push(
      `${goes(one)
        .map(minute => `+ ${one.name}_${minute}`)
        .join(' ')} - r_${one.name} = 0`,
    )
  for (const one of [...steps, ...again]) binaries.push(...goes(one).map(minute => `${one.name}_${minute}`))
  binaries.push(...again.map(one => `r_${one.name}`))
  const BIG = 2 * meal
  const lag = (from: Timed, to: Timed, min: number, max: number | null, unless = ''): void => {
    rows.push(`${start(to)} ${start(from, '-')} >= ${from.length + min}`)
    if (max !== null)
      rows.push(`${start(to)} ${start(from, '-')} ${unless ? `- ${BIG} ${unless}` : ''} <= ${from.length + max}`)
  }
  for (const dish of day.dishes) {
    for (const one of dish.lags) lag(of(dish.id, one.from), of(dish.id, one.to), one.min, one.max)
    if (!dish.hotPour) continue
    const { heat, pour, max, reheat } = dish.hotPour
    const [from, to, warm] = [of(dish.id, heat), of(dish.id, pour), of(dish.id, 'reheat')]
    lag(from, to, 0, max, `r_${warm.name}`)
    rows.push(`${start(to)} ${start(from, '-')} <= ${from.length + Math.max(max, reheat.maxWait)}`)
    const or = (row: string, sense: string, right: number, way: number): number =>
      rows.push(`${row} ${way > 0 ? '-' : '+'} ${BIG} r_${warm.name} ${sense} ${right - way * BIG}`)
    or(`${start(to)} ${start(warm, '-')}`, '>=', warm.length, 1)
    or(`${start(to)} ${start(warm, '-')}`, '<=', warm.length + max, -1)
    or(`${start(warm)} ${start(from, '-')}`, '>=', from.length, 1)
  }
  for (const minute of minutes) {
    const going = (list: readonly Timed[], much: (one: Timed) => number): string =>
      list
        .filter(one => much(one) > 0)
        .flatMap(one =>
          goes(one)
            .filter(at => at <= minute && minute < at + one.length)
            .map(at => `+ ${much(one)} ${one.name}_${at}`),
        )
        .join(' ')
    const hands = going([...steps, ...again], one => 2 * one.hands)
    const fires = going([...steps, ...again], one => one.burner)
    const gone = day.away.some(away => away.from <= minute && minute < away.to)
    if (hands) rows.push(`${hands} <= ${gone ? 0 : 2}`)
    if (fires) rows.push(`${fires} <= ${gone ? 0 : day.burners}`)
    for (const kind of new Set(day.vessels.map(vessel => vessel.kind))) {
      const held = day.dishes
        .flatMap(dish =>
          [
            ...dish.holds,
            ...dish.activities
              .filter(one => one.grinder)
              .map(one => ({ need: 'grinder' as const, first: one.id, last: one.id })),
          ]
            .filter(hold => hold.need === kind)
            .map(hold => {
              const [first, last] = [of(dish.id, hold.first), of(dish.id, hold.last)]
              const begun = goes(first)
                .filter(at => at <= minute)
                .map(at => `+ ${first.name}_${at}`)
              const ended = goes(last)
                .filter(at => at + last.length <= minute)
                .map(at => `- ${last.name}_${at}`)
              return [...begun, ...ended].join(' ')
            }),
        )
        .filter(Boolean)
      if (held.length > 1)
        rows.push(`${held.join(' ')} <= ${day.vessels.filter(vessel => vessel.kind === kind).length}`)
    }
  }
  const costs: string[] = [`+ ${day.weights.span} first`]
  for (const dish of day.dishes) {
    const sink = of(dish.id, dish.sink)
    const table = meal - dish.ready - sink.length
    rows.push(`${start(sink)} <= ${table}`, `${start(sink)} >= ${table - day.weights.maxEarly[dish.serve]}`)
    for (const at of goes(sink).filter(minute => minute <= table)) {
      const early = table - at
      costs.push(
        `+ ${round(day.weights.early[dish.serve] * early + day.weights.stale[dish.serve] * Math.max(0, early - day.weights.window[dish.serve]))} ${sink.name}_${at}`,
      )
    }
    for (const activity of dish.activities.filter(one => one.hands > 0 && !one.night)) {
      const one = of(dish.id, activity.id)
      // Minutes present from its start to the meal.
      rows.push(
        `first ${goes(one)
          .map(
            at =>
              `- ${meal - at - day.away.reduce((sum, away) => sum + Math.max(0, Math.min(away.to, meal) - Math.max(away.from, at)), 0)} ${one.name}_${at}`,
          )
          .join(' ')} >= 0`,
      )
    }
  }
  for (const one of again) costs.push(`+ ${day.weights.reheat} r_${one.name}`)
  return `Minimize\n obj: ${costs.join('\n ')}\nSubject To\n${rows.map((row, i) => ` c${i}: ${row}`).join('\n')}\nBounds\n first >= 0\nBinary\n ${binaries.join('\n ')}\nEnd\n`
}

function timed(name: string, activity: Activity): Timed {
  return { name, length: activity.dur[1], hands: activity.hands, burner: activity.burner }
}

function round(value: number): number { return Math.round(value * 100) / 100 }
