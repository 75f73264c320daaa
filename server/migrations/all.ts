import { foundation } from './2026-11-25-foundation'

/** Every migration in order. Only ever appended to. */
export const MIGRATIONS = [foundation]
