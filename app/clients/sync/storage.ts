import { readonly, ref, type Ref } from 'vue'

/** How this device keeps things: on itself, or, where its storage is full or denied, on this page alone. */
export type DeviceKeeping = 'device' | 'full' | 'denied'

const keeping = ref<DeviceKeeping>('device')
/** What could not be written to the device: it lasts as long as the page. */
const onPage = new Map<string, string>()

/** How this device keeps things at the moment. */
export const deviceKeeping: Readonly<Ref<DeviceKeeping>> = readonly(keeping)

function storage(): Storage | null {
  try {
    return typeof localStorage === 'undefined' ? null : localStorage
  }
  catch {
    return null
  }
}

/**
 * Keeps a text on this device. Where its storage is full or denied it is kept on this page, and `deviceKeeping` says
 * so.
 *
 * @param key its name
 * @param text what is kept
 * @returns true where it outlives the page
 */
export function keepText(key: string, text: string): boolean {
  const here = storage()
  if (here && (put(here, key, text) || madeRoom(here, key, text))) {
    onPage.delete(key)
    if (onPage.size === 0) keeping.value = 'device'
    return true
  }
  onPage.set(key, text)
  keeping.value = here ? 'full' : 'denied'
  return false
}

/** Those who keep what can be read again, and let go of some of it. */
const spares = new Set<(key: string) => boolean>()

/**
 * Says who lets go of what can be read again where the device is full.
 *
 * @param letGo lets go of one thing that the key being kept does not need; false where there is none
 */
export function onDeviceFull(letGo: (key: string) => boolean): void {
  spares.add(letGo)
}

function put(here: Storage, key: string, text: string): boolean {
  try {
    here.setItem(key, text)
    return true
  }
  catch {
    return false
  }
}

/** What can be read again must not take the room that marks need. */
function madeRoom(here: Storage, key: string, text: string): boolean {
  for (const letGo of spares) while (letGo(key)) if (put(here, key, text)) return true
  return false
}

/**
 * A text that is kept.
 *
 * @param key its name
 * @returns the text; null where there is none
 */
export function keptText(key: string): string | null {
  const held = onPage.get(key)
  if (held !== undefined) return held
  try {
    return storage()?.getItem(key) ?? null
  }
  catch {
    return null
  }
}

/**
 * What is kept as JSON. What is broken is as if it were not there.
 *
 * @param key its name
 * @returns the value; null where there is none, or it cannot be read
 */
export function keptJson(key: string): unknown {
  try {
    return JSON.parse(keptText(key) ?? 'null')
  }
  catch {
    return null
  }
}

/**
 * Lets go of what is kept.
 *
 * @param key its name
 */
export function dropText(key: string): void {
  onPage.delete(key)
  try {
    storage()?.removeItem(key)
  }
  catch {
    // What cannot be reached cannot be in the way.
  }
  if (onPage.size === 0 && keeping.value === 'full') keeping.value = 'device'
}

/**
 * Names of everything that is kept under a beginning.
 *
 * @param prefix the beginning
 * @returns names, on the device and on this page
 */
export function keptKeys(prefix: string): string[] {
  const here = storage()
  const keys = new Set([...onPage.keys()].filter(key => key.startsWith(prefix)))
  try {
    for (let i = 0; here && i < here.length; i++) {
      const key = here.key(i)
      if (key?.startsWith(prefix)) keys.add(key)
    }
  }
  catch {
    // Denied: what is on the page is all there is.
  }
  return [...keys]
}
