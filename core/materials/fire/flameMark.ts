/** One flame mark with the power believed to reach a pan, W. */
export interface FlameMark {
  readonly id: string
  readonly label: string
  readonly watts: number
}
