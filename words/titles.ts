/** Pages by the beginning of their address, the longest first. */
const PAGES: readonly (readonly [path: string, title: string])[] = [
  ['/kitchen/boil', 'Boil check'],
  ['/kitchen/learned', 'What the forecast rests on'],
  ['/kitchen/house', 'House network'],
  ['/kitchen', 'Kitchen'],
  ['/ledger/compare', 'Batches side by side'],
  ['/ledger/copies', 'Copies and backups'],
  ['/ledger/remember', 'From memory'],
  ['/ledger/', 'A batch'],
  ['/ledger', 'Ledger'],
  ['/spread/sheet/', 'A day on paper'],
  ['/spread/', 'A day'],
  ['/spread', 'Days'],
  ['/tray/guide/', 'Cutting guide'],
  ['/tray/', 'At the tray'],
  ['/tray', 'Trays'],
  ['/fire', 'At the fire'],
  ['/measure', 'Measure'],
  ['/book', 'Book'],
  ['/card', 'Card'],
  ['/labels', 'Labels'],
]

/**
 * The title of a page, which the browser shows and a screen reader says.
 *
 * @param path of its address
 * @param name what it is about, such as a dish; where that is known
 * @returns such as `At the fire, Sweet-water semolina · Yon Hearth`
 */
export function pageTitle(path: string, name?: string): string {
  const page = path === '/' ? 'Hearth' : PAGES.find(([begins]) => path.startsWith(begins))?.[1] ?? 'No such page'
  return `${page}${name ? `, ${name}` : ''} · Yon Hearth`
}
