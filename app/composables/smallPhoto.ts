/** Longer side of a kept photograph, px, and its quality. */
const SIDE = 1280
const QUALITIES = [0.82, 0.7, 0.55]
/** A kept photograph has at most so many bytes. */
const MOST_BYTES = 600_000

/**
 * A photograph made small: drawn anew, so that nothing of the file but its picture is left, turned as it was taken.
 *
 * @param file any picture this browser can open
 * @returns a JPEG; null where it is no picture
 */
export async function smallPhoto(file: Blob): Promise<Blob | null> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => null)
  if (!bitmap) return null
  const scale = Math.min(1, SIDE / Math.max(bitmap.width, bitmap.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(bitmap.width * scale))
  canvas.height = Math.max(1, Math.round(bitmap.height * scale))
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  bitmap.close()
  for (const quality of QUALITIES) {
    const made = await new Promise<Blob | null>(done => canvas.toBlob(done, 'image/jpeg', quality))
    if (made && made.size <= MOST_BYTES) return made
  }
  return null
}
