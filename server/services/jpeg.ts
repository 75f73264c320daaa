/** A photograph without anything but its picture. */
export interface PlainJpeg { readonly bytes: Buffer, readonly width: number, readonly height: number }

const START = 0xFFD8
const END_OF_IMAGE = 0xD9
const SCAN = 0xDA
/** Frames: baseline, extended and progressive, by Huffman codes (ITU-T T.81, table B.1). */
const FRAMES = new Set([0xC0, 0xC1, 0xC2])
/** Kept: tables, frame, restart interval, JFIF's and Adobe's own segments, which say how colours are to be read. */
const KEPT = new Set([0xC0, 0xC1, 0xC2, 0xC4, 0xDB, 0xDD, 0xE0, 0xEE])

/**
 * A JPEG (ITU-T T.81) with every segment left out that is not needed to draw it: place, time, camera, comments and
 * thumbnails lie in such segments.
 *
 * @param given the file's bytes
 * @returns the bare picture; null where it is no whole JPEG
 */
export function plainJpeg(given: Buffer): PlainJpeg | null {
  if (given.length < 4 || given.readUInt16BE(0) !== START) return null
  const parts: Buffer[] = [given.subarray(0, 2)]
  let size: { width: number, height: number } | null = null
  for (let at = 2; at + 4 <= given.length;) {
    if (given[at] !== 0xFF) return null
    const marker = given[at + 1]!
    const length = given.readUInt16BE(at + 2)
    const next = at + 2 + length
    if (length < 2 || next > given.length) return null
    if (FRAMES.has(marker) && length >= 8) size = { height: given.readUInt16BE(at + 5), width: given.readUInt16BE(at + 7) }
    if (marker === SCAN) {
      const end = given.lastIndexOf(Buffer.from([0xFF, END_OF_IMAGE]))
      if (end < next || size === null || size.width === 0 || size.height === 0) return null
      return { bytes: Buffer.concat([...parts, given.subarray(at, end + 2)]), ...size }
    }
    if (KEPT.has(marker)) parts.push(given.subarray(at, next))
    at = next
  }
  return null
}
