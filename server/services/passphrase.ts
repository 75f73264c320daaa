import { randomBytes } from 'node:crypto'
import { argon2id, argon2Verify } from 'hash-wasm'

/** Argon2id as RFC 9106 advises where memory is scarce: 64 MiB, three passes, four lanes. */
const SETTINGS = { parallelism: 4, iterations: 3, memorySize: 65_536, hashLength: 32, outputType: 'encoded' } as const

/**
 * A passphrase as it is kept.
 *
 * @param passphrase as it was typed; normalised to NFKC, so that every keyboard gives the same
 * @returns the encoded Argon2id hash with its salt and settings
 */
export function hashed(passphrase: string): Promise<string> {
  return argon2id({ ...SETTINGS, password: passphrase.normalize('NFKC'), salt: randomBytes(16) })
}

/**
 * Whether a passphrase is the one that was kept.
 *
 * @param passphrase as it was typed
 * @param kept from `hashed`
 * @returns true where it is
 */
export function matches(passphrase: string, kept: string): Promise<boolean> {
  return argon2Verify({ password: passphrase.normalize('NFKC'), hash: kept }).catch(() => false)
}
