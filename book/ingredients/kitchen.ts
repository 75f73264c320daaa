import { row } from './row'

const OIL = 'handbook density of liquid oils at 20 °C, 0.91–0.92'
const DRY = { keeps: 730 } as const
const MILK = ['milk'] as const

/**
 * Fats, sugars, liquids, milk solids. Smoke points are the lower ends of published ranges: clarified butter 230–250 °C, butter
 * 150–175, unrefined sesame 180–210, virgin coconut 175–205, refined sunflower 225–245 (recalled, unchecked).
 */
export const KITCHEN_FOODS = [
  row('ghee', 'Ghee', 'fat', { others: ['clarified butter', 'nei', 'घी', 'நெய்'], density: [0.89, '205–218 g in a 240 ml cup'], from: 'T013', allergens: MILK, smokes: 230, colour: [80, 3, 52], packs: [200, 500, 1000], keeps: 180 }),
  row('butter', 'Butter, unsalted', 'fat', {
    others: ['makhan', 'loni', 'मक्खन', 'வெண்ணெய்'], density: [0.94, 'estimate: packed, 224–228 g in 240 ml'],
    from: { parts: { water: 16, protein: 0.7, fat: 82, lactose: 0.7, ash: 0.2 }, cite: 'sweet-cream butter, 80–82 % fat, about 16 % water (standard of identity; recalled, unchecked)' },
    allergens: MILK, smokes: 150, colour: [88, 1, 34], packs: [100, 500], keeps: 21,
  }),
  row('sesame-oil', 'Sesame oil', 'fat', { others: ['gingelly oil', 'nallennai', 'til ka tel', 'तिल का तेल', 'நல்லெண்ணெய்'], density: [0.92, OIL], from: 'T004', allergens: ['sesame'], smokes: 180, colour: [70, 4, 50], packs: [500, 1000] }),
  row('coconut-oil', 'Coconut oil', 'fat', { others: ['nariyal tel', 'thengai ennai', 'नारियल तेल', 'தேங்காய் எண்ணெய்'], density: [0.92, OIL], from: 'T001', allergens: ['coconut'], smokes: 175, colour: [94, -1, 4], packs: [500, 1000] }),
  row('sunflower-oil', 'Sunflower oil', 'fat', { others: ['vegetable oil', 'सूरजमुखी तेल', 'சூரியகாந்தி எண்ணெய்'], density: [0.92, OIL], from: 'T012', smokes: 225, colour: [86, -2, 34], packs: [1000] }),
  row('sugar', 'Sugar', 'sugar', {
    others: ['cheeni', 'shakkar', 'शक्कर', 'chini', 'चीनी', 'साखर', 'சர்க்கரை'], density: [0.83, '195–205 g in a 240 ml cup'],
    from: { parts: { water: 0.1, sucrose: 99.9 }, cite: 'white sugar, sucrose at least 99.7 % (Codex Stan 212)' }, colour: [97, 0, 2], packs: [500, 1000], ...DRY,
  }),
  row('sugar-powdered', 'Powdered sugar', 'sugar', {
    others: ['pisi cheeni', 'bura', 'boora', 'पिसी चीनी', 'बूरा', 'பொடித்த சர்க்கரை'], density: [0.56, 'estimate: sifted and settled, 125–140 g in 240 ml'],
    from: { parts: { water: 0.3, sucrose: 99.7 }, cite: 'ground white sugar without starch (Codex Stan 212)' }, colour: [98, 0, 1], packs: [250, 500], ...DRY,
  }),
  row('jaggery', 'Jaggery, cane, crushed', 'jaggery', {
    others: ['jaggery powder', 'gur', 'gud', 'vellam', 'bella', 'गुड़', 'गूळ', 'வெல்லம்'], density: [0.79, 'estimate: crushed, 180–200 g in 240 ml'], from: 'I001',
    piece: ['piece', 'pieces', 15, 25, 40], prepared: 0.99, allergens: ['sulphites'], colour: [50, 14, 34], packs: [500, 1000], keeps: 365,
  }),
  row('jaggery-palm', 'Palm jaggery, crushed', 'jaggery', {
    others: ['karupatti', 'taal gur', 'nolen gur', 'ताड़ गुड़', 'கருப்பட்டி'], density: [0.77, 'estimate: crushed, 178–192 g in 240 ml'],
    from: { parts: { water: 8.5, protein: 1, fat: 0.1, sucrose: 78, glucose: 4, fructose: 4, ash: 3, acids: 0.4, fibre: 0.5 }, cite: 'palm jaggery, 76–86 % sucrose, 2–5 % minerals (recalled, unchecked)' },
    piece: ['piece', 'pieces', 25, 40, 60], prepared: 0.98, allergens: ['sulphites'], colour: [34, 12, 22], packs: [250, 500], keeps: 365,
  }),
  row('condensed-milk', 'Sweetened condensed milk', 'condensed', {
    others: ['condensed milk', 'mithai doodh', 'मीठा गाढ़ा दूध', 'இனிப்பு கெட்டிப்பால்'], density: [1.29, 'estimate: 305–312 g in 240 ml'],
    from: { parts: { water: 27, protein: 7.9, fat: 8.7, sucrose: 43.5, lactose: 10.9, ash: 1.8, acids: 0.2 }, cite: 'sweetened condensed milk, 8 % fat and 28 % milk solids at least (Codex Stan 282; parts recalled, unchecked)' },
    allergens: MILK, colour: [88, 0, 18], packs: [200, 400], keeps: 7,
  }),
  row('water', 'Water', 'water', { others: ['pani', 'jal', 'thanneer', 'पानी', 'தண்ணீர்'], density: [0.998, 'handbook density at 20 °C'], from: { parts: { water: 100 }, cite: 'water' }, colour: [82, -6, -9], packs: [1000], ...DRY }),
  row('milk', 'Milk, whole', 'milk', { others: ['doodh', 'paal', 'दूध', 'பால்'], density: [1.03, 'handbook density at 20 °C'], from: 'L002', allergens: MILK, colour: [92, -1, 6], packs: [500, 1000], keeps: 2 }),
  row('milk-rich', 'Milk, full cream', 'milk', {
    others: ['buffalo milk', 'full fat milk', 'भैंस का दूध', 'கொழுப்பு நிறைந்த பால்'], density: [1.03, 'handbook density at 20 °C'],
    from: { parts: { water: 84.6, protein: 3.6, fat: 6.2, lactose: 4.9, ash: 0.75 }, cite: 'full-cream milk, 6 % fat and 9 % solids-not-fat (recalled, unchecked)' },
    allergens: MILK, colour: [93, -1, 8], packs: [500, 1000], keeps: 2,
  }),
  row('milk-reduced', 'Milk boiled down to half', 'milk', {
    others: ['rabri base', 'adhauta', 'औटाया दूध', 'சுண்டிய பால்'], density: [1.06, 'estimate: 252–256 g in 240 ml'],
    from: { parts: { water: 73.3, protein: 6.5, fat: 9, sucrose: 0.5, glucose: 0.4, fructose: 0.4, lactose: 8.5, ash: 1.4 }, cite: 'reckoned from whole milk (table L002) at half its weight' },
    allergens: MILK, colour: [90, 0, 12], packs: [500], keeps: 2,
  }),
  row('coconut-milk', 'Coconut milk', 'milk', {
    others: ['nariyal doodh', 'thengai paal', 'नारियल दूध', 'தேங்காய்ப்பால்'], density: [0.99, 'estimate: 235–240 g in 240 ml'],
    from: { parts: { water: 72, protein: 2, fat: 21, sucrose: 2.6, starch: 0.6, fibre: 0.8, ash: 0.7, acids: 0.1 }, cite: 'thick coconut milk, first press (recalled, unchecked)' },
    allergens: ['coconut'], colour: [94, 0, 5], packs: [200, 400], keeps: 3,
  }),
  row('oat-milk', 'Oat drink', 'milk', {
    others: ['oat milk', 'जई का दूध'], density: [1.03, 'estimate: 245–248 g in 240 ml'],
    from: { parts: { water: 90, protein: 1, fat: 1.5, maltose: 3.6, glucose: 0.4, starch: 2.4, fibre: 0.8, ash: 0.3 }, cite: 'unsweetened oat drink, starch partly turned to maltose (recalled, unchecked)' },
    allergens: ['oats'], colour: [84, 1, 14], packs: [1000], keeps: 5,
  }),
  row('soya-milk', 'Soya drink, unsweetened', 'milk', {
    others: ['soya milk', 'soy milk', 'सोया दूध'], density: [1.02, 'estimate: 243–246 g in 240 ml'],
    from: { parts: { water: 92, protein: 3.3, fat: 1.9, sucrose: 0.6, starch: 0.9, fibre: 0.6, ash: 0.6 }, cite: 'unsweetened soya drink (recalled, unchecked)' },
    allergens: ['soya'], colour: [88, 0, 14], packs: [1000], keeps: 5,
  }),
  row('orange-juice', 'Orange juice', 'juice', { others: ['santre ka ras', 'संतरे का रस', 'ஆரஞ்சு சாறு'], density: [1.04, 'estimate: 248–252 g in 240 ml'], from: 'E047', colour: [72, 12, 58], packs: [1000], keeps: 2 }),
  row('cane-juice', 'Sugar-cane juice', 'juice', { others: ['sugarcane juice', 'ganne ka ras', 'karumbu charu', 'गन्ने का रस', 'கரும்புச்சாறு'], density: [1.06, 'estimate: 252–256 g in 240 ml'], from: 'I002', colour: [66, -2, 24], packs: [1000], keeps: 1 }),
  row('milk-powder', 'Whole milk powder', 'milk-solids', {
    others: ['milk powder', 'doodh powder', 'दूध पाउडर', 'பால் பொடி'], density: [0.48, 'estimate: 110–120 g in 240 ml'],
    from: { parts: { water: 3, protein: 26, fat: 27, lactose: 38, ash: 6 }, cite: 'whole milk powder, at least 26 % fat (Codex Stan 207; parts recalled, unchecked)' },
    allergens: MILK, colour: [94, 0, 16], packs: [200, 500], keeps: 60,
  }),
  row('milk-powder-skimmed', 'Skimmed milk powder', 'milk-solids', {
    others: ['skim milk powder', 'मलाई रहित दूध पाउडर'], density: [0.5, 'estimate: 115–125 g in 240 ml'],
    from: { parts: { water: 3.5, protein: 35, fat: 0.8, lactose: 52.5, ash: 8 }, cite: 'skimmed milk powder, at most 1.5 % fat (Codex Stan 207; parts recalled, unchecked)' },
    allergens: MILK, colour: [95, -1, 12], packs: [200, 500], keeps: 180,
  }),
  row('khoya', 'Thickened milk', 'milk-solids', { others: ['khoya', 'mawa', 'khoa', 'मावा', 'खोया', 'கோவா'], density: [0.9, 'estimate: crumbled and pressed, 210–222 g in 240 ml'], from: 'L004', allergens: MILK, colour: [86, 2, 18], packs: [200, 500], keeps: 3 }),
  row('milk-curds', 'Drained curds of soured milk', 'milk-solids', { others: ['chhena', 'paneer', 'छेना', 'पनीर', 'பன்னீர்'], density: [0.75, 'estimate: crumbled, 175–185 g in 240 ml'], from: 'L003', allergens: MILK, colour: [95, -1, 10], packs: [200, 500], keeps: 2 }),
  row('cream', 'Cream, 25 % fat', 'milk-solids', {
    others: ['malai', 'मलाई', 'பாலேடு'], density: [1.0, 'estimate: 238–242 g in 240 ml'],
    from: { parts: { water: 69, protein: 2.5, fat: 25, lactose: 3.2, ash: 0.5 }, cite: 'cream of 25 % fat (recalled, unchecked)' }, allergens: MILK, colour: [94, 0, 10], packs: [200], keeps: 5,
  }),
  row('cardamom-ground', 'Cardamom, ground', 'spice', {
    others: ['green cardamom', 'elaichi', 'elakkai', 'इलायची', 'ஏலக்காய்'], density: [0.4, 'estimate: 2 g in a 5 ml spoon'], from: 'G020',
    piece: ['pod', 'pods', 0.15, 0.2, 0.28], prepared: 0.7, colour: [60, 0, 16], packs: [25, 50], keeps: 365,
  }),
  row('nutmeg', 'Nutmeg, grated', 'spice', { others: ['jaiphal', 'jathikkai', 'जायफल', 'ஜாதிக்காய்'], density: [0.45, 'estimate: 2.2 g in a 5 ml spoon'], from: 'G028', colour: [46, 9, 22], packs: [25], keeps: 365 }),
  row('dry-ginger', 'Dry ginger, ground', 'spice', {
    others: ['ginger powder', 'saunth', 'sonth', 'sukku', 'सोंठ', 'சுக்கு'], density: [0.38, 'estimate: 1.9 g in a 5 ml spoon'],
    from: { parts: { water: 10, protein: 9, fat: 4.2, sucrose: 1, glucose: 1, fructose: 1.4, starch: 54, fibre: 14, ash: 5.2, acids: 0.2 }, cite: 'ground ginger (recalled, unchecked)' }, colour: [68, 3, 24], packs: [50], keeps: 365,
  }),
  row('saffron', 'Saffron', 'steeped', {
    others: ['kesar', 'kumkumapoo', 'केसर', 'குங்குமப்பூ'], density: [0.14, 'estimate: 0.7 g in a 5 ml spoon'],
    from: { parts: { water: 12, protein: 11.4, fat: 5.9, sucrose: 10, glucose: 3, starch: 48, fibre: 4, ash: 5.4, acids: 0.5 }, cite: 'saffron (recalled, unchecked)' },
    piece: ['strand', 'strands', 0.002, 0.003, 0.004], colour: [34, 46, 40], packs: [1], keeps: 730,
  }),
  row('salt', 'Salt', 'spice', { others: ['namak', 'uppu', 'नमक', 'உப்பு'], density: [1.2, 'estimate: 6 g in a 5 ml spoon'], from: { parts: { water: 0.2, ash: 99.8 }, cite: 'food-grade salt (Codex Stan 150)' }, colour: [97, 0, 1], packs: [1000], ...DRY }),
  row('rose-water', 'Rose water', 'spice', { others: ['பன்னீர்', 'gulab jal', 'गुलाब जल', 'பன்னீர் ரோஜா நீர்'], density: [0.998, 'handbook density of water at 20 °C'], from: { parts: { water: 100 }, cite: 'a distillate: water but for traces' }, colour: [90, 2, 0], packs: [100], keeps: 365 }),
]
