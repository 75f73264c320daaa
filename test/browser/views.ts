import { readdirSync } from 'node:fs'

/** One view of the demo house. */
export interface View {
  /** Its file below `app/pages`. */
  readonly file: string
  readonly address: string
  /** It stands once this is seen. */
  readonly ready: string
  /** How its title begins. */
  readonly title: string
}

/** Every view that stands by itself; the fire needs a cook and is tried by its own tests. */
export const VIEWS: readonly View[] = [
  { file: 'index.vue', address: '/', ready: '.arcade svg', title: 'Hearth' },
  { file: 'book.vue', address: '/book', ready: '.dishes li', title: 'Book' },
  { file: 'card/[id].vue', address: '/card/long-spoon-mung', ready: '.card', title: 'Card, Long-spoon mung' },
  {
    file: 'measure.vue',
    address: '/measure?dish=sweet-water-semolina',
    ready: '.preview svg',
    title: 'Measure, Sweet-water semolina',
  },
  { file: 'fire/index.vue', address: '/fire', ready: 'h1', title: 'At the fire' },
  { file: 'labels.vue', address: '/labels?batches=demo-707,demo-708', ready: '.label', title: 'Labels' },
  { file: 'ledger/index.vue', address: '/ledger', ready: '.wall canvas', title: 'Ledger' },
  { file: 'ledger/[id].vue', address: '/ledger/demo-705', ready: '.finder ol li', title: 'A batch, ' },
  {
    file: 'ledger/compare.vue',
    address: '/ledger/compare?ids=demo-411,demo-404',
    ready: '.words',
    title: 'Batches side by side',
  },
  { file: 'ledger/remember.vue', address: '/ledger/remember', ready: '.memory', title: 'From memory' },
  { file: 'ledger/copies.vue', address: '/ledger/copies', ready: '.copies li', title: 'Copies and backups' },
  { file: 'tray/index.vue', address: '/tray', ready: '.shelf li', title: 'Trays' },
  { file: 'tray/[id].vue', address: '/tray/demo-708', ready: '.setting', title: 'At the tray, Diamond cashew' },
  { file: 'tray/[id].vue', address: '/tray/demo-706', ready: '.count', title: 'At the tray, Marble gram balls' },
  { file: 'tray/[id].vue', address: '/tray/demo-707', ready: '.keep', title: 'At the tray, Winter-market carrot' },
  {
    file: 'tray/guide/[id].vue',
    address: '/tray/guide/demo-708',
    ready: '.sheet svg',
    title: 'Cutting guide, Diamond cashew',
  },
  { file: 'kitchen/index.vue', address: '/kitchen', ready: '.thing', title: 'Kitchen' },
  { file: 'kitchen/boil.vue', address: '/kitchen/boil', ready: '.setup', title: 'Boil check' },
  { file: 'kitchen/learned.vue', address: '/kitchen/learned', ready: '.span', title: 'What the forecast rests on' },
  { file: 'kitchen/house.vue', address: '/kitchen/house', ready: 'h1', title: 'House network' },
  { file: 'spread/index.vue', address: '/spread', ready: 'h1', title: 'Days' },
  { file: 'spread/[id].vue', address: '/spread/lamp-evening', ready: '[data-dish]', title: 'A day, Lamp evening' },
  {
    file: 'spread/sheet/[id].vue',
    address: '/spread/sheet/lamp-evening',
    ready: '.sheet svg',
    title: 'A day on paper, Lamp evening',
  },
  { file: '[...path].vue', address: '/no-such-page', ready: 'h1', title: 'No such page' },
]

/** Views that are tried where a cook is under way. */
export const AT_THE_FIRE = ['fire/[id].vue']

/** Files of all pages, below `app/pages`. */
export const pageFiles = (): string[] =>
  readdirSync('app/pages', { recursive: true, encoding: 'utf8' }).filter(file => file.endsWith('.vue'))
