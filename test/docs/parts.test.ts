import { readFileSync } from 'node:fs'
import { basename } from 'node:path'
import { describe, expect, it } from 'vitest'
import { countParts } from '../../scripts/countParts'

const counts = countParts('.')
/** More native controls than this would be a habit again, and fewer parts a package kept for nothing. */
const MOST_NATIVE = 20
const LEAST_PARTS = 20

describe('what the interface is made of', () => {
  it('is the kept package, and what is not is named with its reason', () => {
    const decisions = readFileSync('docs/decisions.md', 'utf8')
    expect(counts.native.length).toBeLessThanOrEqual(MOST_NATIVE)
    for (const { file } of counts.native) expect(decisions, file).toContain(basename(file))
    expect(Object.keys(counts.parts).length).toBeGreaterThanOrEqual(LEAST_PARTS)
  })

  it.each(Object.entries(counts.byHand))('has no %s by hand', (_, places) => {
    expect(places).toEqual([])
  })
})
