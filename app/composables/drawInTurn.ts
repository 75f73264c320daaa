/** Drawings of one frame take no longer than this together, ms: what is left waits for the next. */
const A_FRAME_MS = 1.5

const waiting = new Set<() => void>()
let asked = false

function drawSome(): void {
  asked = false
  const until = performance.now() + A_FRAME_MS
  for (const draw of waiting) {
    waiting.delete(draw)
    draw()
    if (performance.now() > until) break
  }
  if (waiting.size > 0) askFrame()
}

function askFrame(): void {
  if (asked) return
  asked = true
  requestAnimationFrame(drawSome)
}

/**
 * Draws something soon: as many drawings in a frame as leave it smooth, the rest in the frames after.
 *
 * @param draw draws it; asked for twice before its turn it is drawn once
 * @returns takes it back, where it has not been drawn yet
 */
export function drawInTurn(draw: () => void): () => void {
  waiting.add(draw)
  askFrame()
  return () => void waiting.delete(draw)
}
