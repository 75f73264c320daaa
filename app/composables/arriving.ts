import { ref, type Ref } from 'vue'

/** Longest that a page is held back, ms. */
const MOST_MS = 1500

/**
 * Holds a page back until what stands on it has come, so that nothing moves under the eye or the hand; a second and a
 * half at most, then it shows what is there.
 *
 * @param sources what is awaited; one that fails counts as come
 * @param mostMs longest wait, ms
 * @returns true while it is still coming
 */
export function useArriving(sources: readonly Promise<unknown>[], mostMs = MOST_MS): Readonly<Ref<boolean>> {
  const coming = ref(true)
  const here = (): void => {
    coming.value = false
  }
  const timer = setTimeout(here, mostMs)
  void Promise.allSettled(sources).then(() => {
    clearTimeout(timer)
    here()
  })
  return coming
}
