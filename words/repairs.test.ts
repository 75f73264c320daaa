import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../book/dishes'
import { INGREDIENTS } from '../book/ingredients'
import { mainLine } from '../core/formulation/dish/mainLine'
import { forecastCook } from '../core/process/forecast/forecastCook'
import { SLIPS, UPTAKE_PACES } from '../core/record/marks/kindsAtFire'
import { replay } from '../core/record/replay/replay'
import { FAULT_IDS } from '../core/cook/faults/faults'
import { repairOf } from '../core/cook/repair/repairOf'
import { marked, starterPlan } from '../test/support/plans'
import { LOST_WORDS, RECORD_WORDS, REPAIR_NOTES, SLIP_WORDS, UPTAKE_WORDS, WAY_WORDS } from './repairs'
import { CAUSE_WORDS } from './causes'
import { FAULT_WORDS } from './faults'
import { EXPECT_WORDS } from './stages'

describe('words for repairs', () => {
  it('are there for every fault, cause, way, note and loss that any starter dish can meet', () => {
    const pantry = Object.fromEntries(INGREDIENTS.map(row => [row.id, row.composition]))
    const used = new Set<string>()
    for (const { id } of STARTER_DISHES) {
      const plan = starterPlan(id)
      const line = mainLine(plan.dish)
      for (const upTo of [0, Math.floor(line.length / 2), line.length - 1]) {
        const marks = [
          marked(1, 0, 'cook.started'),
          ...line
            .slice(1, upTo + 1)
            .map((stage, i) => marked(i + 2, 200 * (i + 1), 'stage.began', { stage: stage.id })),
        ]
        const nowS = 200 * upTo + 30
        const forecast = forecastCook(plan, marks, nowS, 4)
        for (const fault of FAULT_IDS) {
          const repair = repairOf(plan, replay(plan, marks), forecast, nowS, fault, pantry)!
          expect(FAULT_WORDS[fault].seen).toBeTruthy()
          for (const { cause, record } of repair.causes)
            expect([CAUSE_WORDS[cause], RECORD_WORDS[record]].every(Boolean), cause).toBe(true)
          if (repair.lost) expect(LOST_WORDS[repair.lost], repair.lost).toBeTruthy()
          if (repair.expected) expect(EXPECT_WORDS[repair.expected], repair.expected).toBeTruthy()
          for (const { way, notes } of repair.remedies) {
            used.add(way)
            expect(WAY_WORDS[way]?.title.length ?? 99, way).toBeLessThanOrEqual(26)
            for (const note of notes) expect(REPAIR_NOTES[note], note).toBeTruthy()
          }
        }
      }
    }
    expect(used.size).toBeGreaterThan(20)
  })

  it('are there for slips and for how it is taken up', () => {
    for (const slip of SLIPS) expect(SLIP_WORDS[slip]).toBeTruthy()
    for (const pace of UPTAKE_PACES) expect(UPTAKE_WORDS[pace]).toBeTruthy()
  })
})
