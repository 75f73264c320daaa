import english from 'element-plus/es/locale/lang/en.mjs'
import { describe, expect, it } from 'vitest'
import { PART_WORDS } from '../../words/parts'
import { PART_LANGUAGE } from './partLanguage'

describe('what the parts say by themselves', () => {
  it('is said in our words, under keys that the package knows, and nothing of its own is lost', () => {
    const [theirs, ours]: Readonly<Record<string, object>>[] = [english.el, PART_LANGUAGE.el]
    for (const [part, words] of Object.entries(PART_WORDS)) {
      for (const [key, said] of Object.entries(words)) {
        expect(theirs![part], `${part}.${key}`).toHaveProperty(key)
        expect(ours![part], `${part}.${key}`).toHaveProperty(key, said)
      }
    }
    expect(PART_LANGUAGE.el.datepicker).toHaveProperty('month1', 'January')
    expect(Object.keys(PART_LANGUAGE.el)).toEqual(Object.keys(english.el))
  })
})
