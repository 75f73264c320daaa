/**
 * A word as units and numbers are known by: lower case, composed, without the dot below that Hindi letters are written
 * with or without.
 *
 * @param name as it was said
 * @returns the plain word
 * @example speltPlain('डेढ़') // 'डेढ'
 */
export function speltPlain(name: string): string {
  return name.toLowerCase().normalize('NFC').replace(/\u093c/g, '').trim()
}
