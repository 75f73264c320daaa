import type { FormItemRule } from 'element-plus'
import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { formRules, isHeld } from './formRules'

const Schema = z.strictObject({ name: z.string().min(1).max(5), price: z.number().gt(0).nullable(), day: z.iso.date() })
const rules = formRules(Schema, {
  name: { says: 'It needs a name.', read: typed => typed.trim() },
  price: { says: 'A price is a number above nothing.', read: typed => (typed === '' ? null : Number(typed)) },
})
/** What a rule says of what was typed; nothing where it is right. */
function told(field: string, typed: string): string | undefined {
  let says: string | undefined
  const rule = rules[field] as FormItemRule
  void rule.validator?.({} as never, typed, (error) => {
    says = error instanceof Error ? error.message : undefined
  }, {}, {})
  return says
}

describe('rules of a form', () => {
  it('hold each field against its own part of the contract, as it was read', () => {
    expect(told('name', ' ghee ')).toBeUndefined()
    expect(told('name', '   ')).toBe('It needs a name.')
    expect(told('name', 'thickened')).toBe('It needs a name.')
    expect(told('price', '')).toBeUndefined()
    expect(told('price', '0')).toBe('A price is a number above nothing.')
    expect(told('price', 'dear')).toBe('A price is a number above nothing.')
  })

  it('can say something else each time', () => {
    let known = 'ghee'
    const { name } = formRules(Schema, {
      name: { says: () => `${known} is there already.`, read: typed => (typed === known ? '' : typed) },
    })
    const said = (typed: string): string[] => {
      const all: string[] = []
      void (name as FormItemRule).validator?.(
        {} as never,
        typed,
        error => error instanceof Error && all.push(error.message),
        {},
        {},
      )
      return all
    }
    expect(said('ghee')).toEqual(['ghee is there already.'])
    known = 'milk'
    expect(said('ghee')).toEqual([])
    expect(said('milk')).toEqual(['milk is there already.'])
  })

  it('are the limits of what is kept one at a time, too', () => {
    expect(isHeld(Schema, { name: 'ghee', price: null })).toBe(true)
    expect(isHeld(Schema, { price: Number.NaN })).toBe(false)
    expect(isHeld(Schema, { name: 'ghee', price: -1 })).toBe(false)
  })

  it('are none for what is not typed', () => {
    expect(Object.keys(rules)).toEqual(['name', 'price'])
  })
})
