import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { stageDish } from '../stages/stageDish'
import { isStage, roleOfStage, STAGE_ROLES } from './stageRole'

describe('the role of a stage', () => {
  it('is known for every stage of the book, and nearly every role is played there', () => {
    const stages = STARTER_DISHES.flatMap(card => stageDish(card).stages)
    expect(stages.filter(stage => roleOfStage(stage) === null)).toEqual([])
    const played = new Set(stages.map(roleOfStage))
    expect(STAGE_ROLES.filter(role => !played.has(role))).toEqual([
      'liquid',
      'finish',
      'boil-soft',
      'sweet-juice',
      'hot-juice',
    ])
  })

  it('is that of the first base where another one is got ready, and a portion has its own', () => {
    expect(['soak-2', 'boil-soft-3', 'enrich-2', 'soften-2', 'roast'].map(id => roleOfStage({ id }))).toEqual([
      'soak',
      'boil-soft',
      'enrich-2',
      'soften-2',
      'roast',
    ])
    expect(['', 'later-version', 'roast-dry-too', 'toString'].map(id => roleOfStage({ id }))).toEqual([
      null,
      null,
      null,
      null,
    ])
  })

  it('is asked for by name', () => {
    expect([
      isStage({ id: 'swell' }, 'take-up', 'swell'),
      isStage({ id: 'take-up' }, 'swell'),
      isStage({ id: 'unknown' }, 'swell'),
    ]).toEqual([true, false, false])
  })
})
