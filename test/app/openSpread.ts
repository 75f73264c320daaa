import { createPinia, setActivePinia } from 'pinia'
import { effectScope, ref, type EffectScope } from 'vue'
import { afterEach, beforeEach, vi } from 'vitest'
import { FIRST_KITCHEN } from '../../book/firstKitchen'
import { INGREDIENTS } from '../../book/ingredients'
import { askPlanner } from '../../app/clients/planner'
import { ask } from '../../app/clients/api'
import { followSpread } from '../../app/clients/followed'
import { useSpreadDay, type SpreadDay } from '../../app/composables/spreadDay'
import type { Kitchen } from '../../contracts/kitchen'
import type { PlannerAnswer } from '../../contracts/planner'
import type { Evidence } from '../../core/materials/belief/reading'
import { dayOf } from '../../core/day/spread/dayOf'
import { paddedDay } from '../../core/day/problem/paddedDay'
import { DaySolver } from '../../core/day/planning/solveDay'
import type { Spread } from '../../core/day/spread/spread'
import { exampleSpread } from '../support/spreads'

vi.mock('../../app/clients/planner', () => ({ askPlanner: vi.fn(), plannerFailed: ref(false) }))
vi.mock('../../app/clients/forecaster', () => ({ askForecast: vi.fn(() => Promise.resolve(null)) }))
vi.mock('../../app/composables/cookStream', () => ({ followStream: vi.fn() }))
vi.mock('../../app/clients/followed', async importActual => ({
  ...(await importActual<object>()),
  followSpread: vi.fn(),
}))
vi.mock('../../app/clients/hearthClock', () => ({ hearthNow: () => NOON }))
vi.mock('../../app/clients/api', async importActual => ({ ...await importActual<object>(), ask: vi.fn() }))

/** Noon of the eve of the example day. */
const NOON = new Date(2026, 10, 28, 12).getTime()

const solver = new DaySolver(paddedDay(dayOf(exampleSpread(), 720)))
for (let i = 0; i < 60 && !solver.done; i++) solver.step(() => false)

/** The best plan of the example day. */
export const PLAN = { ...solver.plan!, bound: solver.bound, proven: true, room: 1 }

const TRIES = {
  tries: 400,
  lateTries: 3,
  meals: 400,
  lateMeals: 3,
  pours: 800,
  coldPours: 0,
  waitedBases: 0,
  spanMin: 90,
  tightest: [],
}

/**
 * A day that is opened on a device, with a hearth that keeps it, a planner that is asked but does not plan, and the
 * clock at noon of the eve. Imported before what is tried with it, as it puts its own in the place of what those ask.
 */
export class OpenSpread {
  readonly planner = vi.mocked(askPlanner)
  readonly hearth = vi.mocked(ask)
  readonly stopped = vi.fn()
  scope: EffectScope = effectScope()
  /** What the hearth has. */
  kept: Spread = exampleSpread()
  /** Tells the last question an answer. */
  tell: (answer: PlannerAnswer) => void = () => undefined

  constructor(private readonly kitchen: Kitchen | null = null) {
    beforeEach(() => {
      vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
      localStorage.clear()
      this.scope = effectScope()
      this.kept = exampleSpread({ revision: 3 })
      this.stopped.mockReset()
      this.planner.mockReset().mockImplementation((_, say) => {
        this.tell = say
        return this.stopped
      })
      this.hearth.mockReset().mockImplementation((method, _, schema, body) => {
        if (method === 'PUT') this.kept = { ...body as Spread, revision: (body as Spread).revision + 1 }
        return Promise.resolve(schema!.parse(JSON.parse(JSON.stringify(this.kept))))
      })
    })
    afterEach(() => {
      this.scope.stop()
      vi.useRealTimers()
    })
  }

  /** Opens the day and waits for its first question to the planner. */
  async open(): Promise<SpreadDay> {
    const state = this.scope.run(() =>
      useSpreadDay('day-1', {
        kitchen: ref(this.kitchen),
        evidence: ref<readonly Evidence[]>([]),
        ingredients: INGREDIENTS,
      }),
    )!
    await state.load()
    await vi.advanceTimersByTimeAsync(100)
    return state
  }

  /** Leaves it and opens it anew, on the same page. */
  async openInAnotherView(): Promise<SpreadDay> {
    this.scope.stop()
    this.scope = effectScope()
    return this.open()
  }

  /** Opens it as another device or a reload would. */
  async openAgain(): Promise<SpreadDay> {
    this.scope.stop()
    this.scope = effectScope()
    setActivePinia(createPinia())
    return this.open()
  }

  /** What was sent to the hearth. */
  puts(): Spread[] {
    return this.hearth.mock.calls.filter(([method]) => method === 'PUT').map(call => call[3] as Spread)
  }

  /** Another device has changed the day: the page is told. */
  changedElsewhere(change: Partial<Spread>): void {
    this.kept = { ...this.kept, ...change, revision: this.kept.revision + 1 }
    vi.mocked(followSpread).mock.lastCall?.[1](this.kept.revision)
  }

  /** The planner finds the best plan. */
  answer(): void {
    this.tell({ type: 'plan', ticket: 1, plan: PLAN, done: false, seconds: 0.1 })
    this.tell({ type: 'tries', ticket: 1, tries: TRIES })
    this.tell({ type: 'plan', ticket: 1, plan: PLAN, done: true, seconds: 0.4 })
    this.tell({ type: 'latest', ticket: 1, latest: { m1: 2480 }, least: { waitMin: 12, reheats: 0 } })
  }
}

/** The kitchen a house begins with. */
export const KITCHEN: Kitchen = FIRST_KITCHEN
