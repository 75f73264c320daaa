import { Buffer } from 'node:buffer'

const segment = (marker: number, body: Buffer): Buffer => {
  const head = Buffer.alloc(4)
  head.writeUInt16BE(0xFF00 | marker, 0)
  head.writeUInt16BE(body.length + 2, 2)
  return Buffer.concat([head, body])
}

/** The bytes of a JPEG of two by two pixels (its scan is not meant to be looked at), with place and comment in it. */
export function jpegWithPlace(): Buffer {
  const frame = Buffer.from([8, 0, 2, 0, 2, 1, 1, 0x11, 0])
  const scan = Buffer.from([1, 1, 0, 0, 63, 0])
  return Buffer.concat([
    Buffer.from([0xff, 0xd8]),
    segment(0xe0, Buffer.from('JFIF\0\u0001\u0001\0\0\u0001\0\u0001\0\0', 'latin1')),
    segment(0xe1, Buffer.from('Exif\0\0 GPS-HERE 12.3N', 'latin1')),
    segment(0xfe, Buffer.from('a comment')),
    segment(0xdb, Buffer.alloc(65, 1)),
    segment(0xc0, frame),
    segment(0xc4, Buffer.concat([Buffer.from([0]), Buffer.alloc(16), Buffer.alloc(0)])),
    segment(0xda, scan),
    Buffer.from([0x12, 0x34, 0xff, 0x00, 0x56]),
    Buffer.from([0xff, 0xd9]),
  ])
}

/**
 * A JPEG of two scans with its place in every segment that may hold one: before, between the scans, in a thumbnail,
 * behind its end.
 */
export function scansWithPlace(): Buffer {
  const place = Buffer.from('Exif\0\0 GPS-HERE 12.3N')
  const scan = Buffer.concat([
    segment(0xda, Buffer.from([1, 1, 0, 0, 63, 0])),
    Buffer.from([0x12, 0xff, 0x00, 0xff, 0xd0, 0x34]),
  ])
  return Buffer.concat([
    Buffer.from([0xff, 0xd8]),
    segment(0xe0, Buffer.from('JFIF\0\u0001\u0001\0\0\u0001\0\u0001\u0001\u0001GPS', 'latin1')),
    segment(0xe0, Buffer.from('JFXX\0\u0010GPS', 'latin1')),
    segment(0xe1, place),
    segment(0xdb, Buffer.alloc(65, 1)),
    segment(0xc2, Buffer.from([8, 0, 2, 0, 2, 1, 1, 0x11, 0])),
    segment(0xc4, Buffer.alloc(17)),
    scan,
    segment(0xe1, place),
    segment(0xfe, Buffer.from('a comment')),
    scan,
    Buffer.from([0xff, 0xd9]),
    Buffer.from([0xff, 0xd8]),
    segment(0xe1, place),
    Buffer.from([0xff, 0xd9]),
  ])
}
