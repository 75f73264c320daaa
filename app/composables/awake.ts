import { useWakeLock } from '@vueuse/core'
import { onScopeDispose, readonly, ref, watch, type Ref } from 'vue'

/** How the screen is kept awake: by the browser's lock, by a small moving picture, or not at all. */
export type Awake = 'lock' | 'picture' | 'none' | 'off'

/**
 * Keeps the screen awake while something is on the fire. Where the page is not served securely there is no lock: a
 * picture one dot large, moving once a second, keeps many telephones awake instead.
 *
 * @param running whether it is to be kept awake
 * @returns how it is kept awake, readonly; it ends with its scope
 */
export function useAwake(running: Readonly<Ref<boolean>>): Readonly<Ref<Awake>> {
  const state = ref<Awake>('off')
  const { request, release, isSupported } = useWakeLock()
  let picture: { stop(): void } | null = null
  const stop = (): void => {
    picture?.stop()
    picture = null
    if (state.value === 'lock') void release().catch(() => undefined)
    state.value = 'off'
  }
  watch(running, async (on) => {
    if (!on) return stop()
    const locked = isSupported.value && await request('screen').then(() => true, () => false)
    if (locked) {
      state.value = 'lock'
      return
    }
    picture = await movingPicture()
    state.value = picture ? 'picture' : 'none'
  }, { immediate: true })
  onScopeDispose(stop)
  return readonly(state)
}

async function movingPicture(): Promise<{ stop(): void } | null> {
  const canvas = document.createElement('canvas')
  canvas.width = canvas.height = 1
  const pen = canvas.getContext('2d')
  if (!pen || !('captureStream' in canvas)) return null
  const stream = canvas.captureStream(1)
  const video = document.createElement('video')
  video.muted = true
  video.playsInline = true
  video.srcObject = stream
  let light = false
  const timer = setInterval(() => {
    light = !light
    pen.fillStyle = light ? '#000001' : '#000000'
    pen.fillRect(0, 0, 1, 1)
  }, 1000)
  const stop = (): void => {
    clearInterval(timer)
    video.pause()
    video.srcObject = null
    for (const track of stream.getTracks()) track.stop()
  }
  try {
    await video.play()
    return { stop }
  }
  catch {
    stop()
    return null
  }
}
