import { z } from 'zod'
import { Id, Millis } from './ids'

/** Shortest and longest passphrase of a house. */
export const LEAST_PASSPHRASE = 8
export const MOST_PASSPHRASE = 200

/** A new passphrase, with the old one where there is one. */
export const PassphraseSchema = z.strictObject({
  passphrase: z.string().min(LEAST_PASSPHRASE).max(MOST_PASSPHRASE),
  old: z.string().max(MOST_PASSPHRASE).nullable().default(null),
})
/** The passphrase once more, before something is taken away for good. */
export const ProofSchema = z.strictObject({ passphrase: z.string().min(1).max(MOST_PASSPHRASE) })
export const EnterSchema = z.strictObject({
  passphrase: z.string().min(1).max(MOST_PASSPHRASE),
  name: z.string().max(60).default(''),
})

/** How the hearth stands to the house network, as the asker may know it. */
export const HouseStateSchema = z.strictObject({
  /** True where the hearth listens beyond this machine. */
  open: z.boolean(),
  /** True once a passphrase was set. */
  hasPassphrase: z.boolean(),
  /** What the asker is: on the machine itself, entered, or not. */
  here: z.enum(['machine', 'entered', 'stranger']),
  /** Addresses at which telephones in the house find it. */
  addresses: z.array(z.string().max(200)).max(20),
})
export type HouseState = z.infer<typeof HouseStateSchema>

/** A device that has entered. */
export const SessionLineSchema = z.strictObject({
  id: Id,
  name: z.string().max(60),
  createdAt: Millis,
  seenAt: Millis,
  own: z.boolean(),
})
export type SessionLine = z.infer<typeof SessionLineSchema>
