import { onScopeDispose, readonly, ref, type Ref } from 'vue'
import { clockIsHeld, hearthNow, hearthRate, noticeClock, readClock } from '../clients/hearthClock'

/** How often it is looked, and how often the hearth is asked, real ms: its machine may have been set. */
const NOTICE_EVERY_MS = 2000
const ASK_EVERY_MS = 600_000

/** Keeps an eye on the clock as long as the scope lasts: now and then, and whenever the page is seen again. */
export function useNoticedClock(): void {
  const notice = (): void => void noticeClock()
  const timer = setInterval(notice, NOTICE_EVERY_MS)
  const asking = setInterval(() => void readClock(), ASK_EVERY_MS)
  document.addEventListener('visibilitychange', notice)
  onScopeDispose(() => {
    clearInterval(timer)
    clearInterval(asking)
    document.removeEventListener('visibilitychange', notice)
  })
}

/** A clock that runs faster is drawn oftener, but no oftener than this, real ms. */
const LEAST_MS = 40

/**
 * The hearth's time as it passes, for drawing.
 *
 * @param everyMs how often it moves, real ms
 * @returns ms since 1970, readonly; it stops with its scope
 */
export function useHearthTime(everyMs = 200): Readonly<Ref<number>> {
  const now = ref(hearthNow())
  const timer = setInterval(() => {
    if (!clockIsHeld()) now.value = hearthNow()
  }, Math.max(LEAST_MS, everyMs / hearthRate()))
  onScopeDispose(() => clearInterval(timer))
  return readonly(now)
}
