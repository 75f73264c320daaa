let queue = new Int32Array(1024)

/**
 * Least cost within a window that slides by one value at a time, in linear time (the monotone queue of Lemire, 2006).
 *
 * @param cost by value from `low`, `size` of them
 * @param from first value of the window at its first place
 * @param to last value of the window at its first place
 * @param places how many places the window takes
 * @param least takes the least cost at each place, infinite where the window is empty
 * @example slidingLeast(Float64Array.of(3, 1, 2), 0, 3, 0, 1, 2, least) // least: [1, 1]
 */
export function slidingLeast(
  cost: Float64Array,
  low: number,
  size: number,
  from: number,
  to: number,
  places: number,
  least: Float64Array,
): void {
  if (queue.length < size) queue = new Int32Array(2 * size)
  let head = 0
  let tail = 0
  let next = Math.max(0, from - low)
  for (let place = 0; place < places; place++) {
    const first = from + place - low
    const last = Math.min(size - 1, to + place - low)
    if (next < first) next = first
    for (; next <= last; next++) {
      const value = cost[next]
      while (tail > head && cost[queue[tail - 1]] >= value) tail--
      queue[tail++] = next
    }
    while (head < tail && queue[head] < first) head++
    least[place] = head < tail ? cost[queue[head]] : Infinity
  }
}
