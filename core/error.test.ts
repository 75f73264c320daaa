import { expect, it } from 'vitest'
import { CoreError } from './error'

it('a refusal of the core says its name, what is wrong, where, and what would have been accepted', () => {
  const error = new CoreError('out-of-range', 'cupVolumeMl.fullG', { given: 0, min: 1 })
  expect(`${error.name}: ${error.message}`).toBe('CoreError: out-of-range at cupVolumeMl.fullG {"given":0,"min":1}')
  expect(new CoreError('cannot-work', 'there').limits).toEqual({})
})
