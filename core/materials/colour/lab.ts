/** A colour in CIELAB under daylight D65: lightness 0–100, redness a*, yellowness b*. */
export interface Lab {
  readonly lightness: number
  readonly a: number
  readonly b: number
}
