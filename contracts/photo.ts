import { z } from 'zod'
import { Id, Millis } from './ids'

/** Largest photograph that is kept, bytes, and its longer side, px; most of them for a batch. */
export const MOST_PHOTO_BYTES = 600_000
export const MOST_PHOTO_SIDE = 1600
export const MOST_PHOTOS = 12

/** A photograph of a batch; its bytes are at `/api/photos/:id`. */
export const PhotoLineSchema = z.strictObject({ id: Id, at: Millis, width: z.number().int(), height: z.number().int() })
export type PhotoLine = z.infer<typeof PhotoLineSchema>

/** The photographs of a batch, oldest first. */
export const PhotosSchema = z.strictObject({ photos: z.array(PhotoLineSchema) })
