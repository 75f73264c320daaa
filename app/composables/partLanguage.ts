import english from 'element-plus/es/locale/lang/en.mjs'
import { PART_WORDS } from '../../words/parts'

type Groups = Readonly<Record<string, Readonly<Record<string, unknown>>>>
const theirs: Groups = english.el
const ours: Groups = PART_WORDS

/**
 * What the parts of the interface say by themselves, in our words; what we say nothing of stays as the package has it.
 */
export const PART_LANGUAGE: typeof english = {
  ...english,
  el: {
    ...english.el,
    ...Object.fromEntries(Object.entries(ours).map(([part, words]) => [part, { ...theirs[part], ...words }])),
  },
}
