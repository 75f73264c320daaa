import type { Spread, SpreadDish } from '../../core/day/spread/spread'
import { exampleCard } from './exampleCard'

/** A dish of two steps before its pour and one after, as a day keeps it. */
export function exampleDish(id: string, meal = 'm1'): SpreadDish {
  return {
    id, card: exampleCard(id), baseG: 180, meal, serve: 'hot', colours: ['#f0dfb0', '#c89a55'], turn: 'pour',
    steps: {
      activities: [
        { id: 'grate', dur: [8, 10, 14], hands: 1, burner: 0 },
        { id: 'roast', dur: [10, 12, 16], hands: 1, burner: 1, hot: true },
        { id: 'sweet-water', dur: [6, 7, 9], hands: 0, burner: 1 },
        { id: 'pour', dur: [6, 8, 11], hands: 1, burner: 1, hot: true },
      ],
      lags: [
        { from: 'grate', to: 'roast', min: 20, max: 60, kind: 'soak' },
        { from: 'roast', to: 'pour', min: 0, max: 5, kind: 'hotbase' },
      ],
      holds: [
        { need: 'heavy', first: 'roast', last: 'pour' },
        { need: 'pot', first: 'sweet-water', last: 'pour' },
      ],
      hotPour: { heat: 'sweet-water', pour: 'pour', max: 10, reheat: { dur: [2, 3, 4], maxWait: 60 } },
      sink: 'pour',
      ready: 5,
    },
  }
}

/** A day of two dishes for one meal at 19:00. */
export function exampleSpread(more: Partial<Spread> = {}): Spread {
  return {
    id: 'day-1',
    revision: 0,
    name: 'Sunday',
    eve: '2026-11-28',
    meals: [{ id: 'm1', name: 'Dinner', at: 1440 + 19 * 60 }],
    dishes: [exampleDish('d1'), exampleDish('d2')],
    hands: [
      { id: 'h1', name: 'You', roasts: true, away: [] },
      { id: 'h2', name: 'Ilan', roasts: false, away: [] },
    ],
    nights: { from: 1350, to: 390 },
    fires: [
      { id: 'f1', name: 'Front fire' },
      { id: 'f2', name: 'Back fire' },
    ],
    vessels: [
      { id: 'v1', name: 'Iron pan', kind: 'heavy' },
      { id: 'v2', name: 'Wide pan', kind: 'heavyL' },
      { id: 'v3', name: 'Milk pot', kind: 'pot' },
      { id: 'v4', name: 'Small pot', kind: 'pot' },
    ],
    washMin: 5,
    wishes: [],
    shared: [],
    promises: [{ id: 'p1', whom: 'Aunt Meru', dish: 'd1', what: '12 balls', at: 1440 + 1080, given: false }],
    plan: null,
    doings: [],
    cooks: [],
    ...more,
  }
}
