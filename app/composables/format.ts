/**
 * Minutes and seconds of a cook.
 *
 * @param seconds s, any sign
 * @returns such as `8:40`
 */
export function clockText(seconds: number): string {
  const whole = Math.max(0, Math.round(seconds))
  const hours = Math.floor(whole / 3600)
  const minutes = Math.floor(whole / 60) % 60
  const rest = String(whole % 60).padStart(2, '0')
  return hours > 0 ? `${hours}:${String(minutes).padStart(2, '0')}:${rest}` : `${minutes}:${rest}`
}

/**
 * A window in minutes and seconds, rounded to ten seconds as nothing finer is known.
 *
 * @param early s
 * @param late s
 * @returns such as `8:40–12:00`
 */
export function windowText(early: number, late: number): string {
  const round = (value: number): number => Math.round(value / 10) * 10
  return `${clockText(round(early))}–${clockText(round(late))}`
}

/**
 * A weight in grams, as fine as a kitchen scale.
 *
 * @param grams g
 * @returns such as `1 520 g`
 */
export function gramsText(grams: number): string {
  const rounded = grams < 10 ? Math.round(grams * 10) / 10 : grams < 100 ? Math.round(grams) : Math.round(grams / 5) * 5
  return `${String(rounded).replace(/\B(?=(\d{3})+(?!\d))/g, '\u202F')} g`
}

/**
 * A day, short.
 *
 * @param ms ms since 1970
 * @returns such as `12 Jun`
 */
export function dayText(ms: number): string {
  return new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' }).format(ms)
}

/**
 * Time of day.
 *
 * @param ms ms since 1970
 * @returns such as `7:42 pm`
 */
export function timeOfDay(ms: number): string {
  return new Intl.DateTimeFormat('en-GB', { hour: 'numeric', minute: '2-digit', hourCycle: 'h12' }).format(ms)
}
