/** A forecast number: 10th percentile, median, 90th percentile. */
export interface Window {
  readonly early: number
  readonly middle: number
  readonly late: number
}
