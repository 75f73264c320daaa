// @vitest-environment happy-dom
import { effectScope, nextTick, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { FIRST_KITCHEN } from '../../book/firstKitchen'
import { LessonSchema } from '../../contracts/lesson'
import { useBoilChecking, type BoilChecking } from './boilChecking'

let scope: EffectScope
let nowMs = 0
vi.mock('../clients/hearthClock', () => ({ hearthNow: () => nowMs }))
vi.mock('./hearthTime', async () => {
  const { computed, ref } = await import('vue')
  const tick = ref(0)
  return { useHearthTime: () => computed(() => tick.value + nowMs) }
})
beforeEach(() => {
  nowMs = 1_795_000_000_000
  localStorage.clear()
  scope = effectScope()
})
afterEach(() => scope.stop())

let made = 0
const checking = (): BoilChecking => scope.run(() => useBoilChecking({
  pans: () => FIRST_KITCHEN.pans, fires: () => FIRST_KITCHEN.fires, settings: () => undefined,
}, () => `id-${++made}`))!
const later = (seconds: number): void => {
  nowMs += seconds * 1000
}

describe('a boil check', () => {
  it('lays the first pan and fire out, and expects a window that less water shortens', () => {
    const check = checking()
    check.begin()
    expect(check.step.value).toBe('set-up')
    const before = check.expected.value!
    expect(before.early).toBeLessThan(before.late)
    check.choose({ waterG: 350 })
    expect(check.expected.value!.middle).toBeLessThan(0.8 * before.middle)
  })

  it('goes from the fire to the boil to the scale, and becomes a lesson that the hearth takes', () => {
    const check = checking()
    check.begin()
    check.light()
    expect(check.step.value).toBe('heating')
    later(200)
    check.read(60)
    later(220)
    check.boils()
    check.read(98.5)
    later(240)
    check.off()
    expect(check.step.value).toBe('weigh')
    check.weighed(55)
    const lesson = check.lesson()
    expect(LessonSchema.safeParse(lesson).error?.issues ?? []).toEqual([])
    expect(lesson).toMatchObject({
      kind: 'boil-check',
      check: { boilS: 420, half: { timeS: 200, tempC: 60 }, boiledOn: { seconds: 240, lostG: 55 }, atBoilC: 98.5 },
    })
  })

  it('is kept on the device from tap to tap, and put away when it is done', async () => {
    const first = checking()
    first.begin()
    first.light()
    await nextTick()
    const again = checking()
    expect(again.step.value).toBe('heating')
    expect(again.state.value).toEqual(first.state.value)
    again.end()
    await nextTick()
    expect(localStorage.getItem('yon-hearth.boil')).toBeNull()
  })

  it('is no lesson before it boils, nor where it boiled at once or never', () => {
    const check = checking()
    check.begin()
    expect(check.lesson()).toBeNull()
    check.light()
    later(6000)
    check.boils()
    expect(check.lesson()).toBeNull()
    expect(check.state.value).not.toBeNull()
  })

  it('takes nothing that is broken from the device', () => {
    localStorage.setItem('yon-hearth.boil', '{"id":3')
    expect(checking().state.value).toBeNull()
  })
})
