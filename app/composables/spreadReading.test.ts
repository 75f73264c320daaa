// @vitest-environment happy-dom
import { describe, expect, it } from 'vitest'
import { OpenSpread, PLAN } from '../../test/app/openSpread'
import { useSpreadReading } from './spreadReading'

const day = new OpenSpread()

describe('what is said of a day', () => {
  it('says waits and reheats beside the least that any plan has', async () => {
    const state = await day.open()
    day.answer()
    const { waits } = day.scope.run(() => useSpreadReading(state))!
    const text = waits.value.join(' ')
    const long = Object.keys(PLAN.starts)
      .filter(step => step.endsWith('.pour'))
      .some(step => 2580 - 5 - PLAN.starts[step]! - 8 > 20)
    expect(text.includes('under its lid')).toBe(long)
    if (long) expect(text).toContain('wait less than 12 min together')
    expect(text).not.toContain('heated again')
    // The liquid of one dish is heated an hour before its pour, and again.
    const starts = {
      ...PLAN.starts,
      'd1.sweet-water': PLAN.starts['d1.pour']! - 50,
      'd1.reheat': PLAN.starts['d1.pour']! - 5,
    }
    day.tell({ type: 'plan', ticket: 1, plan: { ...PLAN, starts }, done: true, seconds: 1 })
    expect(waits.value.join(' ')).toContain('1 liquid is heated again; a longer day could do without.')
  })

  it('names it by its meals, counts what there is, and tells when each meal begins', async () => {
    const state = await day.open()
    day.answer()
    const { title, counts, date, mealsOf, names, said, pours, pinned, who, stepOf, slack } = day.scope.run(() =>
      useSpreadReading(state),
    )!
    expect(title.value).toBe('Sunday: to the table at 19:00')
    expect(date.value).toBe('Sunday 29 November')
    expect(counts.value).toBe('2 dishes, 2 pairs of hands, 2 fires')
    const meals = mealsOf(null)
    expect(meals).toHaveLength(1)
    expect(meals[0]).toMatchObject({ name: 'Dinner', latest: 2480, lateMin: 0 })
    expect(meals[0]!.begins).toBe(
      Math.min(
        ...Object.entries(PLAN.starts)
          .filter(([step]) => !step.includes('water'))
          .map(([, at]) => at),
      ),
    )
    // Once the day goes otherwise, it is told as it stands, and nothing of what was proven of the plan.
    const later = Object.fromEntries(Object.entries(PLAN.starts).map(([step, at]) => [step, at + 20]))
    const moved = mealsOf({ day: state.day.value!, repaired: { starts: later, late: {}, moved: ['d1.roast'] } })
    expect(moved[0]).toMatchObject({ latest: null, begins: meals[0]!.begins + 20 })
    expect(names.value.get('m1')).toBe('Dinner')
    expect(said.value.get('d1')!.says).toContain('hot, 180')
    expect([...pours.value]).toEqual(['d1.pour', 'd2.pour'])
    expect(pinned.value.size).toBe(0)
    expect(new Set(who.value.values())).toEqual(new Set(['You', 'Ilan']))
    expect(stepOf('d1')!.step).toBe('d1.pour')
    expect(stepOf('d1.roast')!.spans).toEqual([10, 12, 16])
    expect(stepOf('d9.roast')).toBeNull()
    expect(Object.keys(slack.value).length).toBeGreaterThan(0)
  })
})
