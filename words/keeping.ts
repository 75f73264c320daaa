/** How things stand between a device and its hearth. */
export interface KeepingState {
  /** Marks and plans that wait to be acknowledged. */
  readonly waiting: number
  readonly reachable: boolean
  /** What the hearth refused for good; it is set aside on the device. */
  readonly setAside: number
  /** Where this device keeps what waits: on itself, or, its storage full or denied, on the page alone. */
  readonly keeping: 'device' | 'full' | 'denied'
  /** True where the device has to enter the passphrase first. */
  readonly outside: boolean
}

/**
 * What is safe, and where, in one line: nothing is said to be on the hearth that is not.
 *
 * @param state how things stand
 * @returns such as `kept on the hearth`
 */
export function keepingText({ waiting, reachable, setAside, keeping, outside }: KeepingState): string {
  const held =
    keeping === 'device' ? 'kept here' : `held on this page only (this device's storage is ${keeping}): leave it open`
  const aside = setAside > 0 ? `; ${setAside} refused and set aside on this device` : ''
  if (outside) return `outside the house: ${waiting} ${held}${aside}`
  if (!reachable) return `hearth away: ${waiting} ${held}${aside}`
  if (waiting > 0) return `${waiting} on the way${keeping === 'device' ? '' : `, ${held}`}${aside}`
  return setAside > 0 ? `the rest is kept on the hearth${aside}` : 'kept on the hearth'
}
