import type { DayWeights } from './day'

/** Weights of the objective in schema 1 (`docs/formats.md`), minutes' worth: set there, not measured. */
export const DAY_WEIGHTS: DayWeights = {
  late: 100, span: 1, reheat: 10,
  early: { hot: 0.3, warm: 0.1, room: 0.02, cold: 0.02 },
  stale: { hot: 5, warm: 3, room: 1, cold: 1 },
  window: { hot: 15, warm: 60, room: 720, cold: 480 },
  maxEarly: { hot: 240, warm: 360, room: 1440, cold: 720 },
}
