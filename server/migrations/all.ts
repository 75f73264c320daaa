import { foundation } from './2026-11-25-foundation'
import { book } from './2026-11-26-book'
import { lessons } from './2026-11-27-lessons'
import { house } from './2026-11-28-house'
import { ledger } from './2026-11-29-ledger'
import { spreads } from './2026-11-30-spreads'
import { proofs } from './2026-12-01-proofs'
import { settling } from './2026-12-02-settling'
import { outside } from './2026-12-03-outside'
import { calendar } from './2026-12-04-calendar'

/** Every migration in order. Only ever appended to. */
export const MIGRATIONS = [foundation, book, lessons, house, ledger, spreads, proofs, settling, outside, calendar]
