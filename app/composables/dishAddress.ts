import { SharedDishSchema, type SharedDish } from '../../contracts/sharedDish'

/** Where in an address a dish stands: after this, in the part that no server is sent. */
const MARK = '#dish='
/** Longest packed dish that is unpacked, letters, and the most it may unpack to, bytes. */
const MOST_LETTERS = 20_000
const MOST_BYTES = 200_000

/**
 * A dish as an address, its whole content in it: JSON, deflated (RFC 1951), in the letters of base64url (RFC 4648).
 *
 * @param shared the dish, and ingredients of the household's own
 * @param house address of the house that is to take it
 * @returns such as `https://hearth.example/book#dish=…`; the content stands in the fragment and is sent to nobody
 */
export async function dishAddress(shared: SharedDish, house: string): Promise<string> {
  const packed = new Uint8Array(
    await new Response(
      new Blob([JSON.stringify(shared)]).stream().pipeThrough(new CompressionStream('deflate-raw')),
    ).arrayBuffer(),
  )
  return `${house.replace(/[#?].*$/, '').replace(/\/+$/, '')}/book${MARK}${toLetters(packed)}`
}

/**
 * The dish of an address, or of a text that holds one.
 *
 * @param text an address
 * @returns the dish; `null` where it holds none, `'damaged'` where it is cut off, too large or no dish
 */
export async function dishOfAddress(text: string): Promise<SharedDish | 'damaged' | null> {
  const found = /#dish=([A-Za-z0-9_-]*)/.exec(text)
  if (!found) return null
  if (found[1]!.length === 0 || found[1]!.length > MOST_LETTERS) return 'damaged'
  try {
    const stream = new Blob([fromLetters(found[1]!)]).stream().pipeThrough(new DecompressionStream('deflate-raw'))
    const parsed = SharedDishSchema.safeParse(JSON.parse(await readAtMost(stream)))
    return parsed.success ? parsed.data : 'damaged'
  }
  catch {
    return 'damaged'
  }
}

/** A small address may unpack to more than a house can hold: it is read no further than a dish can be long. */
async function readAtMost(stream: ReadableStream<Uint8Array<ArrayBuffer>>): Promise<string> {
  const reader = stream.getReader()
  const pieces: BlobPart[] = []
  for (let length = 0; ;) {
    const { value, done } = await reader.read()
    if (done) break
    length += value.length
    if (length > MOST_BYTES) throw new RangeError('too much')
    pieces.push(value)
  }
  return new Blob(pieces).text()
}

function toLetters(bytes: Uint8Array): string {
  return btoa(Array.from(bytes, byte => String.fromCharCode(byte)).join(''))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replace(/=+$/, '')
}

function fromLetters(text: string): Uint8Array<ArrayBuffer> {
  const plain = atob(text.replaceAll('-', '+').replaceAll('_', '/'))
  return Uint8Array.from(plain, letter => letter.charCodeAt(0))
}
