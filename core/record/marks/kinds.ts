import { AFTER_KINDS } from './afterFire'

/** Kinds this version acts on. */
export const KNOWN_KINDS = [
  'cook.started', 'stage.began', 'sign.seen', 'looks.like', 'flame.changed', 'lid.changed', 'vessel.lit',
  'off.fire', 'weighed', 'temperature', 'depth.measured', 'uptake.seen', 'release.heard', 'added', 'repaired', 'forgotten', 'kept.back', 'rest.poured',
  'unstirred', 'slip', 'not.yet', 'perceived', 'checked', 'reading.unsure', 'step.done', 'note', 'cook.finished', 'outcome', ...AFTER_KINDS, 'corrected', 'withdrawn',
] as const
export type KnownKind = (typeof KNOWN_KINDS)[number]
