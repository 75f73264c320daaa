import { execFile } from 'node:child_process'
import { promisify } from 'node:util'
import { describe, expect, it } from 'vitest'
import type { Coverage } from '../support/coverage'

describe('the windows', () => {
  // Bundled and run by itself: a quarter of a million cooks are simulated.
  it('hold the truth 75 to 85 % of the time after one and after two noisy taps, on 500 imaginary cooks', async () => {
    const { stdout } = await promisify(execFile)('node', ['scripts/run.mjs', 'test/support/coverageMain.ts', '500', '100', '11'])
    const { cooks, held, width } = JSON.parse(stdout) as Coverage
    expect(cooks).toBe(500)
    for (const name of ['colour after one tap', 'end after one tap', 'colour after two taps', 'end after two taps']) {
      expect(held[name], `${name} ${stdout}`).toBeGreaterThanOrEqual(0.75)
      expect(held[name], `${name} ${stdout}`).toBeLessThanOrEqual(0.85)
    }
    expect(width['colour after one tap']!).toBeLessThan(0.7 * width['colour after no tap']!)
    expect(width['end after two taps']!).toBeLessThan(width['end after one tap']!)
  }, 900_000)
})
