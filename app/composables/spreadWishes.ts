import type { SpreadDay } from './spreadDay'

/**
 * Wishes for steps of a day: held at a time, kept out of one, a dish dragged along the clock.
 *
 * @param state of the day
 * @param startOf start minute of a step in the plan, undefined where there is none
 * @param anchorOf step by which a dish is moved
 */
export function useSpreadWishes(
  state: Pick<SpreadDay, 'change'>,
  startOf: (step: string) => number | undefined,
  anchorOf: (dish: string) => string,
) {
  let dragged: { readonly step: string, readonly start: number } | null = null
  function pin(step: string, at: number | null, moving = false): void {
    state.change(
      was => ({
        ...was,
        wishes: [
          ...was.wishes.filter(wish => wish.kind !== 'pin' || wish.step !== step),
          ...(at === null ? [] : [{ kind: 'pin' as const, step, start: at }]),
        ],
      }),
      moving ? 'moving' : 'planned',
    )
  }
  return {
    /** Holds a step at a minute, or lets it go. */
    pin,
    /** Keeps a step out of a span of minutes, or lets it go. */
    forbid(step: string, span: { readonly from: number, readonly to: number } | null): void {
      state.change(was => ({
        ...was,
        wishes: [
          ...was.wishes.filter(wish => wish.step !== step),
          ...(span ? [{ kind: 'forbid' as const, step, ...span }] : []),
        ],
      }))
    },
    /** Moves a dish by minutes from where it was taken up; the rest is planned anew meanwhile. */
    move(dish: string, minutes: number, done: boolean): void {
      const step = anchorOf(dish)
      const start = startOf(step)
      if (start === undefined) return
      dragged ??= { step, start }
      pin(dragged.step, Math.max(0, dragged.start + minutes), !done)
      if (done) dragged = null
    },
  }
}
