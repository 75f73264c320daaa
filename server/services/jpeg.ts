/** A photograph without anything but its picture. */
export interface PlainJpeg { readonly bytes: Buffer, readonly width: number, readonly height: number }

const START = 0xFFD8
const END_OF_IMAGE = 0xD9
const SCAN = 0xDA
/** Restarts within a scan (ITU-T T.81, table B.1). */
const isRestart = (marker: number): boolean => marker >= 0xD0 && marker <= 0xD7
/** Frames: baseline, extended and progressive, by Huffman codes (ITU-T T.81, table B.1). */
const FRAMES = new Set([0xC0, 0xC1, 0xC2])
/** Kept as they are: tables, frame, restart interval. */
const KEPT = new Set([0xC0, 0xC1, 0xC2, 0xC4, 0xDB, 0xDD])
/** Kept as far as they say how colours are to be read: JFIF's (ITU-T T.871, 10.1) and Adobe's (ITU-T T.872, 6.5.3). */
const JFIF = 0xE0
const ADOBE = 0xEE
const JFIF_BYTES = 14
const ADOBE_BYTES = 12

/**
 * A JPEG (ITU-T T.81) with every segment left out that is not needed to draw it, wherever it stands: place, time,
 * camera, comments and thumbnails lie in such segments, between scans and behind the end as well.
 *
 * @param given the file's bytes
 * @returns the bare picture; null where it is no whole JPEG
 */
export function plainJpeg(given: Buffer): PlainJpeg | null {
  if (given.length < 4 || given.readUInt16BE(0) !== START) return null
  const parts: Buffer[] = [given.subarray(0, 2)]
  let size: { width: number, height: number } | null = null
  let scanned = false
  for (let at = 2; at + 2 <= given.length;) {
    if (given[at] !== 0xFF) return null
    const marker = given[at + 1]!
    if (marker === 0xFF) {
      at++
      continue
    }
    if (marker === END_OF_IMAGE)
      return scanned && size && size.width > 0 && size.height > 0
        ? { bytes: Buffer.concat([...parts, given.subarray(at, at + 2)]), ...size }
        : null
    if (at + 4 > given.length) return null
    const length = given.readUInt16BE(at + 2)
    let next = at + 2 + length
    if (length < 2 || next > given.length) return null
    if (FRAMES.has(marker) && length >= 8)
      size = { height: given.readUInt16BE(at + 5), width: given.readUInt16BE(at + 7) }
    if (marker === SCAN) {
      next = scanEnd(given, next)
      scanned = true
    }
    const kept = keptOf(marker, given.subarray(at, next))
    if (kept) parts.push(kept)
    at = next
  }
  return null
}

/**
 * Where the coded picture ends: at the next marker that is neither a restart nor a stuffed byte (ITU-T T.81, B.1.1.5).
 */
function scanEnd(given: Buffer, from: number): number {
  let at = from
  for (;;) {
    at = given.indexOf(0xFF, at)
    if (at < 0 || at + 1 >= given.length) return given.length
    const marker = given[at + 1]!
    if (marker !== 0 && marker !== 0xFF && !isRestart(marker)) return at
    at += marker === 0xFF ? 1 : 2
  }
}

function keptOf(marker: number, segment: Buffer): Buffer | null {
  if (marker === SCAN || KEPT.has(marker)) return segment
  if (marker === JFIF) return headOf(segment, 'JFIF\0', JFIF_BYTES, body => body.fill(0, JFIF_BYTES - 2))
  return marker === ADOBE ? headOf(segment, 'Adobe', ADOBE_BYTES, body => body) : null
}

/** The fixed head of a segment and nothing behind it; null where it is another's. */
function headOf(segment: Buffer, name: string, bytes: number, clean: (body: Buffer) => Buffer): Buffer | null {
  const body = segment.subarray(4, 4 + bytes)
  if (body.length < bytes || body.toString('latin1', 0, name.length) !== name) return null
  const head = Buffer.from([0xFF, segment[1]!, 0, bytes + 2])
  return Buffer.concat([head, clean(Buffer.from(body))])
}
