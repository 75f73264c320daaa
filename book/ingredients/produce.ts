import { row } from './row'

const VEG = ['vegetable'] as const
const FRUIT = ['fruit'] as const
const GRATED = 'estimate: grated, loosely heaped, 110–135 g in 240 ml'
const CUT = 'estimate: peeled and cut small, 140–165 g in 240 ml'
const FRESH = { packs: [500, 1000] as const, keeps: 5 }

/** Vegetables and fruit: density prepared, composition of the edible part, pieces as bought. */
export const PRODUCE = [
  row('carrot-red', 'Red carrot', 'produce', { others: ['gajar', 'lal gajar', 'गाजर', 'கேரட்'], families: VEG, density: [0.5, GRATED], from: 'F003', piece: ['carrot', 'carrots', 60, 95, 150], prepared: 0.85, colour: [52, 38, 30], ...FRESH }),
  row('carrot-orange', 'Orange carrot', 'produce', { others: ['gajar', 'गाजर', 'கேரட்'], families: VEG, density: [0.5, GRATED], from: 'F002', piece: ['carrot', 'carrots', 50, 80, 130], prepared: 0.86, colour: [62, 32, 50], ...FRESH }),
  row('beetroot', 'Beetroot', 'produce', { others: ['chukandar', 'चुकंदर', 'பீட்ரூட்'], families: VEG, density: [0.54, GRATED], from: 'F001', piece: ['beetroot', 'beetroots', 80, 130, 210], prepared: 0.84, colour: [28, 34, 8], ...FRESH }),
  row('bottle-gourd', 'Bottle gourd', 'produce', { others: ['lauki', 'dudhi', 'doodhi', 'ghiya', 'लौकी', 'दूधी', 'சுரைக்காய்'], families: VEG, density: [0.56, GRATED], from: 'D009', piece: ['gourd', 'gourds', 450, 750, 1200], prepared: 0.78, colour: [84, -6, 20], ...FRESH }),
  row('pumpkin', 'Pumpkin or squash', 'produce', { others: ['kaddu', 'kashiphal', 'petha kaddu', 'squash', 'कद्दू', 'பரங்கிக்காய்', 'பூசணி'], families: VEG, density: [0.55, GRATED], from: 'D066', piece: ['pumpkin', 'pumpkins', 900, 1800, 3200], prepared: 0.76, colour: [68, 24, 56], ...FRESH }),
  row('sweet-potato', 'Sweet potato', 'produce', { others: ['shakarkandi', 'शकरकंद', 'சர்க்கரைவள்ளி'], families: VEG, density: [0.58, 'estimate: boiled and mashed or grated, 130–150 g in 240 ml'], from: 'F013', piece: ['sweet potato', 'sweet potatoes', 120, 200, 320], prepared: 0.86, colour: [72, 8, 34], ...FRESH }),
  row('ash-gourd', 'Ash gourd', 'produce', { others: ['petha', 'white pumpkin', 'kashi', 'पेठा', 'வெண்பூசணி'], families: VEG, density: [0.58, GRATED], from: 'D001', piece: ['ash gourd', 'ash gourds', 1200, 2200, 3800], prepared: 0.75, colour: [88, -3, 10], ...FRESH }),
  row('apple', 'Apple', 'produce', { others: ['seb', 'सेब', 'ஆப்பிள்'], families: FRUIT, density: [0.5, GRATED], from: 'E001', piece: ['apple', 'apples', 110, 160, 230], prepared: 0.82, colour: [82, -1, 28], packs: [500, 1000], keeps: 14 }),
  row('banana', 'Ripe banana', 'produce', { others: ['kela', 'केला', 'வாழைப்பழம்'], families: FRUIT, density: [0.95, 'estimate: mashed, 220–235 g in 240 ml'], from: 'E012', piece: ['banana', 'bananas', 90, 130, 180], prepared: 0.66, colour: [80, 2, 30], packs: [500, 1000], keeps: 3 }),
  row('mango', 'Ripe mango', 'produce', { others: ['aam', 'आम', 'மாம்பழம்'], families: FRUIT, density: [1.02, 'estimate: pulp, 240–250 g in 240 ml'], from: 'E036', piece: ['mango', 'mangoes', 180, 280, 420], prepared: 0.66, colour: [70, 16, 62], packs: [500, 1000], keeps: 4 }),
  row('pineapple', 'Pineapple', 'produce', { others: ['ananas', 'अनानास', 'அன்னாசி'], families: FRUIT, density: [0.66, CUT], from: 'E053', piece: ['pineapple', 'pineapples', 900, 1400, 2000], prepared: 0.52, colour: [80, -2, 44], packs: [1000], keeps: 4 }),
  row('jackfruit', 'Ripe jackfruit', 'produce', { others: ['kathal', 'chakka', 'कटहल', 'பலாப்பழம்'], families: FRUIT, density: [0.62, CUT], from: 'E030', piece: ['pod', 'pods', 22, 32, 45], prepared: 0.68, colour: [76, 6, 54], packs: [500, 1000], keeps: 3 }),
  row('papaya', 'Ripe papaya', 'produce', { others: ['papita', 'पपीता', 'பப்பாளி'], families: FRUIT, density: [0.62, CUT], from: 'E049', piece: ['papaya', 'papayas', 500, 850, 1400], prepared: 0.74, colour: [64, 28, 46], packs: [1000], keeps: 4 }),
  row('pear', 'Pear', 'produce', { others: ['nashpati', 'नाशपाती', 'பேரிக்காய்'], families: FRUIT, density: [0.52, GRATED], from: 'E051', piece: ['pear', 'pears', 110, 165, 230], prepared: 0.84, colour: [84, -3, 22], packs: [500, 1000], keeps: 6 }),
  row('dates', 'Dates, stoned', 'produce', { others: ['khajur', 'खजूर', 'பேரீச்சை'], families: FRUIT, density: [0.64, 'estimate: chopped, 145–160 g in 240 ml'], from: 'E017', piece: ['date', 'dates', 6, 8, 12], prepared: 0.88, allergens: ['sulphites'], colour: [32, 12, 18], packs: [250, 500], keeps: 180 }),
  row('mango-canned', 'Mango pulp, canned', 'produce', {
    others: ['canned mango', 'aam ras', 'आम का गूदा'], families: FRUIT, density: [1.06, 'estimate: 250–258 g in 240 ml'],
    from: { parts: { water: 80, protein: 0.5, fat: 0.3, sucrose: 12.2, glucose: 2, fructose: 3, fibre: 1.3, ash: 0.3, acids: 0.4 }, cite: 'sweetened canned pulp, about 19 % soluble solids (recalled, unchecked)' },
    allergens: ['sulphites'], colour: [66, 18, 64], packs: [450, 850], keeps: 4,
  }),
  row('pineapple-canned', 'Pineapple, canned in syrup, drained', 'produce', {
    others: ['canned pineapple'], families: FRUIT, density: [0.7, CUT],
    from: { parts: { water: 79, protein: 0.4, fat: 0.1, sucrose: 8, glucose: 4.8, fructose: 4.8, fibre: 1.2, ash: 0.3, acids: 0.7 }, cite: 'canned in heavy syrup, drained, 18–20 % sugars (recalled, unchecked)' },
    allergens: ['sulphites'], colour: [82, -2, 42], packs: [230, 490], keeps: 4,
  }),
]
