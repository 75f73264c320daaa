/** Parts of a dish whose weight relative to the base decides its character. */
export const ROLES = ['fat', 'sugar', 'liquid'] as const
export type Role = (typeof ROLES)[number]

/** Names of the styles inside a span, rising. */
export const STYLES = ['lean', 'everyday', 'rich', 'feast'] as const
export type Style = (typeof STYLES)[number]

/** Usual weights relative to the dry base, and where the styles change; from the craft's own ranges. */
export interface Span {
  readonly from: number
  readonly to: number
  /** Upper ends of lean, everyday and rich (estimates). */
  readonly steps: readonly [number, number, number]
}

/** Spans of semolina: 0.3–1.3 fat, 0.9–2.4 sugar, 3–5.6 liquid. */
export const SEMOLINA_SPANS: Readonly<Record<Role, Span>> = {
  fat: { from: 0.3, to: 1.3, steps: [0.5, 0.8, 1.05] },
  sugar: { from: 0.9, to: 2.4, steps: [1.0, 1.4, 1.9] },
  liquid: { from: 3, to: 5.6, steps: [3.6, 4.4, 5] },
}

/** Where a part stands: its style, or what lies outside the span. */
export interface Standing {
  readonly role: Role
  readonly ratio: number
  readonly span: Span
  readonly style: Style | null
  readonly outside: 'below' | 'above' | null
}

/**
 * Where a part stands in its span.
 *
 * @param role which part
 * @param ratio its weight relative to the base, zero or more
 * @param spans the family's spans
 * @returns the style inside the span; null and the side outside of it
 * @example standingOf('fat', 0.7, SEMOLINA_SPANS).style // 'everyday'
 */
export function standingOf(role: Role, ratio: number, spans: Readonly<Record<Role, Span>>): Standing {
  const span = spans[role]
  const outside = ratio < span.from ? 'below' : ratio > span.to ? 'above' : null
  const step = span.steps.findIndex(end => ratio <= end)
  return { role, ratio, span, outside, style: outside ? null : STYLES[step < 0 ? 3 : step] }
}
