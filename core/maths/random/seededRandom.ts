/** A source of uniform numbers in [0, 1). */
export type Uniform = () => number

/**
 * Seeded uniform numbers: the 32-bit "small fast counting" generator of Doty-Humphrey (PractRand; recalled, unchecked).
 *
 * @param seed any finite number; only its 32-bit integer part counts
 * @returns a function giving the next number in [0, 1)
 * @example const next = seededRandom(7); next()
 */
export function seededRandom(seed: number): Uniform {
  let a = 0x9e3779b9
  let b = seed | 0
  let c = (seed * 2654435761) | 0
  let counter = 1
  const next = (): number => {
    const t = (((a + b) | 0) + counter) | 0
    counter = (counter + 1) | 0
    a = b ^ (b >>> 9)
    b = (c + (c << 3)) | 0
    c = ((c << 21) | (c >>> 11)) + t | 0
    return (t >>> 0) / 4294967296
  }
  for (let i = 0; i < 15; i++) next()
  return next
}
