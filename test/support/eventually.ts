import { vi } from 'vitest'

/**
 * Looks again until the check holds, for as long as a slow and busy machine may need: what is waited for
 * here is that something happens at all, never how quickly (speed is told by the bench).
 * @throws what the check threw last, after 25 seconds
 */
export function eventually<T>(check: () => T | Promise<T>): Promise<T> {
  return vi.waitFor(check, { timeout: 25_000 })
}
