import { readonly, ref, shallowRef, type Ref } from 'vue'
import { PhotosSchema, type PhotoLine } from '../../contracts/photo'
import { Anything, ask, Refused } from '../clients/api'
import { smallPhoto } from './smallPhoto'

/** The photographs of a batch, and what came of the last touch. */
export interface BatchPhotos {
  readonly photos: Readonly<Ref<readonly PhotoLine[]>>
  readonly says: Readonly<Ref<string>>
  add(file: File): Promise<void>
  remove(photo: string): Promise<void>
}

/**
 * Reads, keeps and removes the photographs of a batch.
 *
 * @param id of the batch
 * @returns its photographs
 */
export function useBatchPhotos(id: string): BatchPhotos {
  const photos = shallowRef<readonly PhotoLine[]>([])
  const says = ref('')
  async function read(): Promise<void> {
    photos.value = (await ask('GET', `/batches/${id}/photos`, PhotosSchema)).photos
  }
  void read().catch(() => undefined)
  return {
    photos, says: readonly(says),
    async add(file) {
      says.value = 'Making it small…'
      const small = await smallPhoto(file)
      if (!small) {
        says.value = 'This is no picture that can be opened here. Nothing was kept.'
        return
      }
      try {
        const answer = await fetch(`/api/batches/${id}/photos`, {
          method: 'POST',
          body: small,
          headers: { 'content-type': 'image/jpeg' },
        })
        says.value = answer.ok ? '' : 'Not kept: twelve are enough, and each at most 600 kB.'
        await read()
      }
      catch {
        says.value = 'The hearth is away: the photograph was not kept. Add it again later.'
      }
    },
    async remove(photo) {
      await ask('DELETE', `/photos/${photo}`, Anything).then(read).catch((error: unknown) => {
        says.value = error instanceof Refused ? error.problem.detail : 'The hearth is away. Nothing was changed.'
      })
    },
  }
}
