/** How much of a dish is wanted, as somebody said it. Weights in g, sizes in mm. */
export type ScaleRequest =
  | { readonly by: 'base', readonly massG: number }
  | { readonly by: 'times', readonly factor: number }
  | { readonly by: 'people', readonly people: number }
  | { readonly by: 'finished', readonly massG: number }
  /** One ingredient that is there, prepared as the dish takes it; `asBought` tells that it was said unpeeled. */
  | { readonly by: 'on-hand', readonly id: string, readonly massG: number, readonly asBought: boolean }
  | { readonly by: 'pan' }
  | { readonly by: 'tray', readonly tray: TraySize, readonly depthMm: number }
  | { readonly by: 'balls', readonly count: number, readonly eachG: number | null }

/** A tray or plate: round by its diameter in both, or a rectangle. */
export interface TraySize { readonly shape: 'round' | 'rectangle', readonly widthMm: number, readonly lengthMm: number }

/** Ways of scaling, for commands and schemas. */
export const SCALE_WAYS = ['base', 'times', 'people', 'finished', 'on-hand', 'pan', 'tray', 'balls'] as const
