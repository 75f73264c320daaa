import { ENGLISH } from './english'
import { INDIC } from './indic'

/**
 * Texts as people paste them, with what each line means: `id 200g`, `id 180ml` (by its density), `id 3pc` (pieces as
 * bought), several joined by `+`; `?` where a person could not know either and must be asked; `-` where it holds no
 * ingredient. A cup is one of 240 ml.
 */
export const PASTED_TEXTS = `${ENGLISH.trim()}\n\n${INDIC.trim()}`
