import { itemAt } from '../../../maths/table/itemAt'
import type { Ingredient } from '../../../materials/composition/ingredient'
import { foldSpelling } from '../../spelling/foldSpelling'

/** How a name was understood. */
export interface FoundFood {
  /** Best row, or null where nothing is called like it. */
  readonly row: Ingredient | null
  /** Rows that fit as well or nearly, best first, without the best. */
  readonly others: readonly Ingredient[]
  /** True where every word that says what it is was understood, and one row alone fits. */
  readonly sure: boolean
}

/** The rows by their names. */
export interface FoodIndex { find(description: string): FoundFood }

/** Less than this is no likeness; guesses nearer to the best than the second are shown with it (estimates). */
const LEAST_LIKENESS = 0.3
const NEAR = 0.2
const MOST_OTHERS = 4
const MOST_REMEMBERED = 2000
/** What a name that is said in full adds to its likeness (estimate). */
const WITHIN = 0.3

/** Folded words that say the same. */
const SAME: ReadonlyMap<string, string> = new Map(
  ['ground', 'powdered', 'powder', 'pdr', 'पाउडर', 'पिसा', 'पिसी', 'चूर्ण', 'பொடி', 'தூள்', 'பொடித்த', 'podi'].map(
    word => [foldSpelling(word), 'powder'] as const,
  ),
)
/**
 * Words that say how it is handled, how good or how warm it is: they change neither what it is nor what a cup of it
 * weighs by much.
 */
const HANDLING =
  words(`chopped chop finely roughly coarsely thinly grated shredded peeled sliced slivered flaked crushed broken split melted softened room temperature fresh freshly ripe large small medium big optional garnish
 garnishing taste needed required desired as per to for of the and with about approx approximately nice good best quality pure organic homemade home made store bought shop your choice some more less extra plus if you like any kind type variety plain
 boiled boiling warm hot cold lukewarm chilled heated washed rinsed cleaned drained deseeded seeded pitted stoned cored cubed diced cut into pieces piece bits chunks pcs pc nos no number toasted roasted fried lightly roast sifted sieved desi indian
 normal regular ordinary each total only heaped level packed loosely firmly tightly topped just enough at on in from when serving decorate decoration dissolved mixed kept aside separately divided little few whole tender halved lengthwise mashed pureed
 का के की को में से लिए हुआ हुई हुए कटा कटे कटी किया बारीक ताज़ा ताजा ताज़ी गरम गर्म गुनगुना उबला ठंडा कद्दूकस भुना भुनी छिले अच्छा देसी शुद्ध पिघला थोड़ा थोड़ी स्वादानुसार आवश्यकतानुसार इच्छानुसार लगभग और सजाने सजावट
 துருவிய நறுக்கிய உருக்கிய சூடான வெந்நீர் காய்ச்சிய தேவையான அளவு தேவைக்கேற்ப நல்ல சுத்தமான வறுத்த கொஞ்சம் சிறிது தேவைக்கு ஏற்ப பொடியாக ருசிக்கு அலங்கரிக்க மற்றும் கெட்டியான`)
/**
 * Words that say what it is made into: they tell a flour from a grain, a drink from a seed. A tail is looked through
 * for these.
 */
const WEIGHTY = words(
  `flour powder paste juice milk oil bean cheese bread seed syrup essence extract leaf leaves water sauce butter cream substitute condensed dried flake jam chips soaked raw brown caster castor icing skimmed toned evaporated sour desiccated oats meal grits bran husk peel zest blanched instant self raising sprouted malt smoked salted unsweetened low fat free`,
)
/** Said in a tail, these may be done at home or bought so: the one is not the other. */
const PROCESSED = words('soaked ground roasted dried skinned canned')
/** What produce is said to be, which its name goes without. */
const AS_BOUGHT = words('ripe fresh')
/** Words for flour: a row that is one is called so by any of them. */
const FLOURS = words('flour atta aata आटा மாவு maavu')

function words(text: string): ReadonlySet<string> {
  return new Set(text.split(/\s+/).flatMap(word => stems(word)))
}

/** Folded words of a name, plurals as one thing. */
function stems(name: string): string[] {
  const plain = name
    .toLowerCase()
    .replace(/\bpowdered\b/g, 'powder')
    .replace(/\b([a-z]{3,})ies\b/g, '$1y')
    .replace(/\b([a-z]{3,})oes\b/g, '$1o')
    .replace(/\b([a-z]{3,}[^s\W])s\b/g, '$1')
  return foldSpelling(plain).split(' ').filter(word => word !== '').map(word => SAME.get(word) ?? word)
}

const [ROASTED] = stems('roasted')

interface Known {
  readonly row: Ingredient
  readonly names: readonly ReadonlySet<string>[]
  readonly own: ReadonlySet<string>
}

/**
 * Rows by every name they go by.
 *
 * @param table the ingredients, the household's own among them
 * @param plain which row a plain word means where several are called so, by the word
 * @returns what finds a row by a description
 */
export function foodNames(table: readonly Ingredient[], plain: Readonly<Record<string, string>> = {}): FoodIndex {
  const rows = table.map((row): Known => {
    const named = [row.name, ...bareNames(row), ...row.otherNames]
      .map(name => new Set(stems(name.replace(/\bor\b/g, ' '))))
      .filter(name => name.size > 0)
    const noun = row.piece ? stems(`${row.piece.noun} ${row.piece.plural}`) : []
    const isFlour = named.some(name => [...name].some(word => FLOURS.has(word)))
    const own = new Set([
      ...stems(row.name),
      ...noun,
      ...(row.kind === 'spice' ? ['powder'] : []),
      ...(row.kind === 'nuts' ? stems('nuts') : []),
      ...(row.kind === 'steeped' ? stems('thread strand धागे') : []),
      ...(isFlour ? FLOURS : []),
    ])
    return { row, names: named, own }
  })
  const counts = new Map<string, number>()
  for (const { names } of rows)
    for (const word of new Set(names.flatMap(name => [...name]))) counts.set(word, (counts.get(word) ?? 0) + 1)
  const says = (word: string): number => Math.log(1 + table.length / (counts.get(word) ?? 4))
  const meant = new Map(Object.entries(plain).map(([word, id]) => [stems(word).join(' '), id]))
  const found = new Map<string, FoundFood>()
  return {
    find(description) {
      const before = found.get(description)
      if (before) return before
      if (found.size > MOST_REMEMBERED) found.clear()
      const one = find(description, rows, says, meant, counts)
      found.set(description, one)
      return one
    },
  }
}

/**
 * Names without what they are said to be: `Ripe jackfruit` is a jackfruit. What is ground or canned is another thing
 * than the plain one.
 */
function bareNames(row: Ingredient): string[] {
  const [head = '', ...qualities] = row.name.split(',')
  const isMade = row.kind !== 'spice' && stems(qualities.join(' ')).some(word => PROCESSED.has(word))
  const noun = row.piece?.noun ?? ''
  return [
    ...(isMade ? [] : [head, stems(head).filter(word => !AS_BOUGHT.has(word)).join(' ')]),
    ...(noun !== '' && !isMade && stems(noun).every(word => stems(head).includes(word)) ? [noun] : []),
  ]
}

function find(
  description: string,
  rows: readonly Known[],
  says: (word: string) => number,
  meant: ReadonlyMap<string, string>,
  known: ReadonlyMap<string, number>,
): FoundFood {
  const { head, tail } = parts(description)
  const core = head.filter(word => !HANDLING.has(word) || known.has(word))
  if (core.length === 0) return { row: null, others: [], sure: false }
  const said = core.filter(word => !HANDLING.has(word) || PROCESSED.has(word))
  // A tail says how it is cut, unless it names what it is made into, or another food.
  const tailed = tail.filter(word => WEIGHTY.has(word) || (known.has(word) && !HANDLING.has(word)))
  const plainly = meant.get([...new Set(said)].join(' ')) ?? meant.get([...new Set(core)].join(' '))
  const bare = whole(rows, new Set(core), said, says)
  const full = whole(rows, new Set([...core, ...tail]), [...said, ...tailed], says)
  const chosen = only(full, plainly)
  const isProcessed = chosen !== null && tail.some(word => PROCESSED.has(word)) && only(bare, plainly) !== chosen
  const likely = rows
    .map(({ row, names }) => ({
      row,
      likeness: Math.max(
        0,
        ...names.map(name => alike(new Set(core), name, says) + (within(name, new Set(core)) ? WITHIN : 0)),
      ),
    }))
    .filter(one => one.likeness >= LEAST_LIKENESS)
    .sort((p, q) => q.likeness - p.likeness)
  const near = likely.filter(one => one.likeness >= (likely[0]?.likeness ?? 0) - NEAR).map(one => one.row)
  const first = chosen ?? only(bare, plainly) ?? full.find(row => row.id === plainly) ?? full[0] ?? near[0] ?? null
  const others = [...new Set([...full, ...bare, ...near])].filter(row => row !== first).slice(0, MOST_OTHERS)
  return { row: first, others, sure: chosen !== null && !isProcessed }
}

/** Rows one of whose names is said in full, and that leave no word open; of these the ones of which most is said. */
function whole(
  rows: readonly Known[],
  all: ReadonlySet<string>,
  open: readonly string[],
  says: (word: string) => number,
): Ingredient[] {
  const fits = rows.flatMap(({ row, names, own }) => {
    const fit = names.filter(name => within(name, all))
    const covered = Math.max(0, ...fit.map(name => sum([...name], says)))
    const known = new Set(fit.flatMap(name => [...name]))
    return covered > 0
      && open.every(word => known.has(word) || own.has(word) || (row.kind === 'nuts' && word === ROASTED))
      ? [{ row, covered }]
      : []
  })
  const best = Math.max(0, ...fits.map(one => one.covered))
  return fits.filter(one => one.covered >= best - 1e-9).map(one => one.row)
}

const within = (name: ReadonlySet<string>, all: ReadonlySet<string>): boolean => [...name].every(word => all.has(word))

function only(rows: readonly Ingredient[], plainly: string | undefined): Ingredient | null {
  return rows.length === 1 ? itemAt(rows, 0) : rows.find(row => row.id === plainly) ?? null
}

function sum(all: readonly string[], says: (word: string) => number): number {
  return all.reduce((total, word) => total + says(word), 0)
}

/** Shared words as a share of both names together (Dice 1945), each word by how much it says. */
function alike(said: ReadonlySet<string>, name: ReadonlySet<string>, says: (word: string) => number): number {
  return 2 * sum([...name].filter(word => said.has(word)), says) / (sum([...said], says) + sum([...name], says))
}

/** What stands before the first comma, bracket or dash, and what after it. */
function parts(description: string): { readonly head: string[], readonly tail: string[] } {
  const bare = description
    .replace(
      /\b(?:roasted|fried|soaked|dissolved|mixed|cooked|boiled|ground|tossed|bloomed|steeped|washed) (?:in|with) [^,()]*/gi,
      ' ',
    )
    .replace(/\((?:from|about|approx|optional|plus|or)\b[^)]*\)/gi, ' ')
  const cut = /[,(;]|\s[-–—]\s/.exec(bare)
  const before = cut && cut.index > 0 ? bare.slice(0, cut.index) : bare
  const after = cut && cut.index > 0 ? bare.slice(cut.index) : ''
  return { head: stems(before), tail: stems(after) }
}
