import { itemAt } from '../../maths/table/itemAt'
import { speltPlain } from './speltPlain'

/**
 * What a unit of an amount stands for. `vessel` is a cup of somebody's own; `loose` is known to the hand that wrote it
 * alone.
 */
export type Unit =
  | { readonly kind: 'mass', readonly massG: number }
  | { readonly kind: 'volume', readonly volumeMl: number }
  | { readonly kind: 'vessel', readonly vessel: LooseVessel }
  | { readonly kind: 'loose', readonly volumeMl: number | null }

/** Vessels that are no standard measure. */
export type LooseVessel = 'cup' | 'katori' | 'glass' | 'bowl'

/** A pinch, ml: a sixteenth of a teaspoon (kitchen convention). */
export const PINCH_ML = 0.31
const [TSP_ML, TBSP_ML] = [5, 15]
/** A tola is 180 grains of 64.79891 mg (British India's standard of 1833); a pav is a quarter of a kilogram. */
const [TOLA_G, PAV_G] = [11.6638, 250]
const [OZ_G, LB_G] = [28.3495, 453.592]
/** A US fluid ounce, ml; pints and quarts are counted in it, and larger elsewhere: they ask. */
const FL_OZ_ML = 29.5735

const mass = (massG: number): Unit => ({ kind: 'mass', massG })
const volume = (volumeMl: number): Unit => ({ kind: 'volume', volumeMl })
const vessel = (which: LooseVessel): Unit => ({ kind: 'vessel', vessel: which })
const loose = (volumeMl: number | null): Unit => ({ kind: 'loose', volumeMl })

/** Units by what they are called in English, in Hindi and Tamil letters, and as these are written in Latin ones. */
const NAMED: readonly (readonly [Unit, string])[] = [
  [mass(1), 'g|gm|gms|gr|gram|grams|gramme|grammes|ग्राम|ग्रा|जीएम|கிராம்|கி'],
  [mass(1000), 'kg|kgs|kilogram|kilograms|kilo|kilos|किलो|किलोग्राम|किग्रा|கிலோ|கிலோகிராம்'],
  [mass(0.001), 'mg|milligram|milligrams'],
  [mass(OZ_G), 'oz|ounce|ounces'],
  [mass(LB_G), 'lb|lbs|pound|pounds'],
  [mass(TOLA_G), 'tola|tolas|तोला|तोले|தோலா'],
  [mass(PAV_G), 'pav|pao|पाव'],
  [volume(1), 'ml|mls|milliliter|milliliters|millilitre|millilitres|मिली|मिलीलीटर|एमएल|மில்லி|மிலி|மில்லிலிட்டர்'],
  [volume(10), 'cl|centilitre|centilitres'],
  [volume(100), 'dl|decilitre|decilitres|deciliter|deciliters'],
  [volume(1000), 'l|ltr|ltrs|lt|litre|litres|liter|liters|लीटर|लिटर|லிட்டர்'],
  [
    volume(TBSP_ML),
    'tbsp|tbsps|tbs|tbl|tblsp|tablespoon|tablespoons|table spoon|table spoons|बड़ा चम्मच|बड़े चम्मच|बडा चम्मच|बडे चम्मच|टेबलस्पून|टेबल स्पून|bada chammach|bade chammach|மேசைக்கரண்டி|மேஜைக்கரண்டி|மேசை கரண்டி|மேஜை கரண்டி|டேபிள்ஸ்பூன்|டேபிள் ஸ்பூன்',
  ],
  [
    volume(TSP_ML),
    'tsp|tsps|teaspoon|teaspoons|tea spoon|tea spoons|छोटा चम्मच|छोटे चम्मच|छोटी चम्मच|टीस्पून|टी स्पून|चाय चम्मच|chhota chammach|chhote chammach|chota chammach|டீஸ்பூன்|டீ ஸ்பூன்|தேக்கரண்டி|தேயிலைக்கரண்டி',
  ],
  [volume(PINCH_ML), 'pinch|pinches|चुटकी|चुटकीभर|chutki|சிட்டிகை|sittigai'],
  [vessel('cup'), 'cup|cups|c|measure|measures|कप|kap|கப்|கோப்பை'],
  [vessel('katori'), 'katori|katoris|कटोरी|कटोरियाँ|vati|वाटी|கிண்ணம்|kinnam'],
  [vessel('glass'), 'glass|glasses|tumbler|tumblers|गिलास|ग्लास|gilas|டம்ளர்|கிளாஸ்|ஆழாக்கு'],
  [vessel('bowl'), 'bowl|bowls|कटोरा|कटोरे'],
  [loose(FL_OZ_ML), 'fl oz|fluid ounce|fluid ounces|fluid oz'],
  [loose(16 * FL_OZ_ML), 'pint|pints|pt'],
  [loose(32 * FL_OZ_ML), 'quart|quarts|qt'],
  [loose(TSP_ML), 'spoon|spoons|spoonful|spoonfuls|चम्मच|चमचा|चमचे|chammach|chamach|ஸ்பூன்|கரண்டி|karandi'],
  [loose(10), 'dessertspoon|dessertspoons'],
  [loose(30), 'handful|handfuls|fistful|fistfuls|मुट्ठी|mutthi|கைப்பிடி'],
  [loose(0.6), 'dash|dashes|splash|sprinkle|sprinkling|drizzle|drop|drops|बूंद|बूँद'],
  [loose(TBSP_ML), 'dollop|dollops|knob|knobs|lump|lumps'],
  [
    loose(null),
    'packet|packets|pack|packs|pkt|tin|tins|can|cans|jar|jars|carton|cartons|bunch|bunches|sprig|sprigs|scoop|scoops|ladle|ladles|stick|sticks|block|blocks|slab|slabs|box|boxes|bag|bags|sachet|sachets|bottle|bottles|cube|cubes|slice|slices|inch|inches|cm|ser|seer|chhatank|chatak|सेर|छटाँक|छटांक|पैकेट|डिब्बा|டின்|பாக்கெட்|பொட்டலம்|படி',
  ],
]
const UNITS = new Map(NAMED.flatMap(([unit, names]) => names.split('|').map(name => [speltPlain(name), unit] as const)))
const MOST_WORDS = 2

/**
 * The unit a text begins with.
 *
 * @param text what stands after the number
 * @returns the unit and what is said after it, or null where it begins with none
 * @example unitAtHead('tbsp. of ghee') // { unit: { kind: 'volume', volumeMl: 15 }, rest: 'of ghee' }
 */
export function unitAtHead(text: string): { readonly unit: Unit, readonly rest: string } | null {
  const words = [...text.matchAll(/[\p{L}\p{M}]+/gu)]
  if (words[0]?.index !== 0) return null
  for (let count = Math.min(MOST_WORDS, words.length); count > 0; count--) {
    const last = itemAt(words, count - 1)
    const end = last.index + last[0].length
    const unit = UNITS.get(speltPlain(text.slice(0, end).replace(/[.\-\s]+/g, ' ')))
    if (unit) return { unit, rest: text.slice(end).replace(/^\.(?!\d)/, '').trim() }
  }
  return null
}

/**
 * A unit by its whole name.
 *
 * @param name as it was said
 * @returns the unit, or null
 */
export function unitOf(name: string): Unit | null {
  return UNITS.get(speltPlain(name)) ?? null
}
