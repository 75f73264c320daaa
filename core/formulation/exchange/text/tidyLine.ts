const ENTITIES: Readonly<Record<string, string>> = {
  '&frac12;': '½',
  '&frac14;': '¼',
  '&frac34;': '¾',
  '&frac13;': '⅓',
  '&frac23;': '⅔',
  '&amp;': '&',
  '&nbsp;': ' ',
  '&quot;': '"',
  '&#39;': "'",
  '&apos;': "'",
  '&deg;': '°',
  '&ndash;': '–',
  '&mdash;': '—',
  '&lt;': '<',
  '&gt;': '>',
  '&times;': '×',
  '&#189;': '½',
  '&#188;': '¼',
  '&#190;': '¾',
}
/** Marks that stand before a line of a list: bullets, boxes, numbers with a full stop or bracket. */
const MARKS = /^(?:[\s\-*•·–—+>▢☐☑☒□■▪▫◦●○✓✔✅]|\[[ x]?\]|\d{1,2}[.)](?=\s+\D|\s+\d+\s*(?:\/|\p{L}))|\(\d{1,2}\)\s)+/u

/**
 * A text with its entities as the letters they stand for, and without tags.
 *
 * @param text as it was pasted
 * @returns plain text
 */
export function plainText(text: string): string {
  return text
    .replace(/&[a-z]+\d*;|&#\d+;/gi, found => ENTITIES[found.toLowerCase()] ?? found)
    .replace(/<[^>\n]{0,200}>/g, ' ')
}

/**
 * A line of a list without its bullet, box, number and odd spaces.
 *
 * @param line as it was pasted
 * @returns what it says; empty where it is a mark alone
 */
export function tidyLine(line: string): string {
  const plain = line
    .replace(/[\u00a0\u2000-\u200b\u202f\ufeff\t]+/g, ' ')
    .replace(/\u2044/g, '/')
    .replace(/[“”]/g, '"')
    .replace(/[‘’]/g, "'")
  return plain.trim().replace(MARKS, '').replace(/\s+/g, ' ').trim()
}
