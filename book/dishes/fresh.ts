import { card } from './card'

const CARDAMOM = ['cardamom-ground', 0.002, 'spice', 'cardamom'] as const

/** Vegetables, fruit, coconut and nuts: to the prepared raw weight. */
export const FRESH_DISHES = [
  card('winter-market-carrot', 'Winter-market carrot', 'vegetable', {
    others: ['gajar halwa', 'gajrela', 'गाजर का हलवा', 'கேரட் அல்வா'], base: 'carrot-red', usualG: 900, portionG: 120,
    lines: [['ghee', 0.07, 'fat'], ['sugar', 0.2, 'sugar'], ['milk', 0.9, 'milk'], ['khoya', 0.12, 'milk-solids'], ['cashew-halves', 0.04, 'nuts', 'cashew'], CARDAMOM],
    choices: { lots: true, fat: 'half-and-half' },
    minutes: { 'nuts': 4, 'soften': 8, 'soften-2': 14, 'milk': 26, 'sweeten': 9, 'enrich': 6, 'rest': 5 },
  }),
  card('cellar-beetroot', 'Cellar beetroot', 'vegetable', {
    others: ['chukandar halwa', 'चुकंदर हलवा', 'பீட்ரூட் அல்வா'], base: 'beetroot', usualG: 700, portionG: 110,
    lines: [['ghee', 0.07, 'fat'], ['sugar', 0.22, 'sugar'], ['milk', 0.7, 'milk'], ['milk-powder', 0.05, 'milk-solids'], ['cashew-halves', 0.04, 'nuts', 'cashew'], CARDAMOM],
    choices: { cooking: 'pressure', nuts: 'last' },
    minutes: { 'press': 6, 'wait': 15, 'milk': 20, 'sweeten': 8, 'enrich': 5, 'rest': 5 },
  }),
  card('garden-wall-gourd', 'Garden-wall gourd', 'vegetable', {
    others: ['lauki halwa', 'dudhi halwa', 'लौकी का हलवा', 'दूधी हलवा', 'சுரைக்காய் அல்வா'], base: 'bottle-gourd', usualG: 800, portionG: 110,
    lines: [['ghee', 0.06, 'fat'], ['sugar', 0.18, 'sugar'], ['milk', 0.6, 'milk'], ['khoya', 0.14, 'milk-solids'], ['pistachio', 0.02, 'nuts'], CARDAMOM],
    choices: { nuts: 'last' },
    minutes: { 'soften': 15, 'milk': 20, 'sweeten': 10, 'enrich': 6, 'rest': 5 },
  }),
  card('cart-wheel-pumpkin', 'Cart-wheel pumpkin', 'vegetable', {
    others: ['kaddu halwa', 'kashi halwa', 'कद्दू का हलवा', 'பரங்கிக்காய் அல்வா'], base: 'pumpkin', usualG: 800, portionG: 100,
    lines: [['ghee', 0.09, 'fat'], ['jaggery', 0.26, 'jaggery'], ['sesame-seed', 0.02, 'nuts'], ['nutmeg', 0.0008, 'spice']],
    choices: { liquid: 'none', fat: 'dry-first', nuts: 'into-roast' },
    minutes: { 'soften': 22, 'sweeten': 12, 'fat-in': 6, 'enrich': 4, 'rest': 5 },
  }),
  card('ember-sweet-potato', 'Ember sweet potato', 'vegetable', {
    others: ['shakarkandi halwa', 'शकरकंद हलवा', 'சர்க்கரைவள்ளி அல்வா'], base: 'sweet-potato', usualG: 800, portionG: 110,
    lines: [['ghee', 0.1, 'fat'], ['sugar', 0.14, 'sugar'], ['milk', 0.4, 'milk'], ['almond-slivers', 0.03, 'nuts', 'almond'], CARDAMOM],
    choices: { cooking: 'pressure' }, kept: 0.55,
    minutes: { 'press': 7, 'wait': 15, 'nuts': 4, 'milk': 12, 'sweeten': 6, 'enrich': 4, 'rest': 5 },
  }),
  card('clear-ash-gourd', 'Clear ash gourd', 'vegetable', {
    others: ['kashi halwa', 'petha halwa', 'kumbalakai halwa', 'पेठा हलवा', 'பூசணி அல்வா'], base: 'ash-gourd', usualG: 900, portionG: 90,
    lines: [['ghee', 0.1, 'fat'], ['sugar', 0.34, 'sugar'], ['cashew-halves', 0.03, 'nuts', 'cashew'], ['saffron', 0.0002, 'steeped']],
    choices: { liquid: 'none', tasting: 'not-tasted' }, kept: 0.25,
    minutes: { 'nuts': 4, 'soften': 18, 'sweeten': 14, 'enrich': 6, 'rest': 5 },
  }),
  card('orchard-ladder-apple', 'Orchard-ladder apple', 'fruit', {
    others: ['seb halwa', 'apple halwa', 'सेब का हलवा', 'ஆப்பிள் அல்வா'], base: 'apple', usualG: 700, portionG: 100,
    lines: [['ghee', 0.1, 'fat'], ['sugar', 0.18, 'sugar'], ['walnut', 0.04, 'nuts'], ['nutmeg', 0.0008, 'spice']],
    choices: { nuts: 'last' },
    minutes: { 'soften': 14, 'sweeten': 9, 'enrich': 5, 'rest': 5 },
  }),
  card('harbour-banana', 'Harbour banana', 'fruit', {
    others: ['kela halwa', 'nendran halwa', 'केले का हलवा', 'வாழைப்பழ அல்வா'], base: 'banana', usualG: 600, portionG: 60,
    lines: [['ghee', 0.18, 'fat'], ['jaggery', 0.32, 'jaggery'], ['cashew-halves', 0.05, 'nuts', 'cashew'], CARDAMOM],
    choices: { preparation: 'as-bought', form: 'slab', finish: 'stirred', fat: 'little-by-little' }, kept: 0.5,
    minutes: { 'nuts': 4, 'soften': 14, 'sweeten': 12, 'enrich': 5, 'enrich-2': 5, 'enrich-3': 6 },
  }),
  card('monsoon-jackfruit', 'Monsoon jackfruit', 'fruit', {
    others: ['chakka halwa', 'kathal halwa', 'chakka varatti', 'कटहल हलवा', 'பலாப்பழ அல்வா'], base: 'jackfruit', usualG: 500, portionG: 80,
    lines: [['ghee', 0.16, 'fat'], ['jaggery-palm', 0.42, 'jaggery'], ['coconut-milk', 0.3, 'milk'], ['dry-ginger', 0.003, 'spice']],
    choices: { liquid: 'milk', fat: 'half-and-half', lots: true },
    minutes: { 'soften': 8, 'soften-2': 12, 'milk': 10, 'sweeten': 12, 'enrich': 8, 'rest': 5 },
  }),
  card('high-summer-mango', 'High-summer mango', 'fruit', {
    others: ['aam halwa', 'mango halwa', 'आम का हलवा', 'மாம்பழ அல்வா'], base: 'mango', usualG: 600, portionG: 80,
    lines: [['ghee', 0.12, 'fat'], ['sugar', 0.2, 'sugar'], ['semolina-fine', 0.1, 'helper', 'helper'], ['almond-slivers', 0.04, 'nuts', 'almond'], ['saffron', 0.0003, 'steeped']],
    choices: { preparation: 'as-bought' },
    minutes: { 'nuts': 4, 'soften': 16, 'sweeten': 9, 'enrich': 6, 'rest': 5 },
  }),
  card('tide-line-coconut', 'Tide-line coconut slab', 'coconut-nut', {
    others: ['nariyal barfi', 'thengai burfi', 'नारियल बर्फी', 'தேங்காய் பர்பி'], base: 'coconut-fresh', usualG: 300, portionG: 35,
    lines: [['ghee', 0.06, 'fat'], ['sugar', 0.85, 'sugar'], ['milk', 0.4, 'milk'], ['cardamom-ground', 0.006, 'spice', 'cardamom']],
    choices: { liquid: 'milk' },
    minutes: { 'soften': 6, 'milk': 10, 'sweeten': 10, 'enrich': 5 },
  }),
  card('diamond-cashew', 'Diamond cashew', 'coconut-nut', {
    others: ['kaju barfi', 'kaju katli', 'काजू बर्फी', 'முந்திரி பர்பி'], base: 'cashew-ground', usualG: 300, portionG: 25,
    lines: [['ghee', 0.06, 'fat'], ['sugar', 0.6, 'sugar'], ['water', 0.35, 'water'], ['cardamom-ground', 0.004, 'spice', 'cardamom']],
    choices: { sugar: 'syrup' }, kept: 0.42,
    minutes: { 'syrup': 7, 'soften': 6, 'enrich': 4 },
  }),
  card('patience-almond', 'Patience almond', 'coconut-nut', {
    others: ['badam halwa', 'बादाम हलवा', 'பாதாம் அல்வா'], base: 'almond-paste', usualG: 250, portionG: 60,
    lines: [['ghee', 0.38, 'fat'], ['sugar', 0.9, 'sugar'], ['milk', 0.8, 'milk'], ['saffron', 0.0008, 'steeped']],
    choices: { form: 'soft', preparation: 'raw-paste', liquid: 'milk', fat: 'little-by-little' },
    minutes: { 'soften': 8, 'milk': 10, 'sweeten': 9, 'enrich': 5, 'enrich-2': 5, 'enrich-3': 6, 'rest': 5 },
  }),
  card('lamp-eve-coconut', 'Lamp-eve coconut and chickpea', 'coconut-nut', {
    others: ['chana nariyal halwa', 'நாரியல் பருப்பு', 'नारियल दाल हलवा'], base: 'coconut-fresh', usualG: 250, portionG: 30,
    lines: [['ghee', 0.15, 'fat'], ['roasted-gram-flour', 0.25, 'helper', 'helper'], ['jaggery', 0.9, 'jaggery'], ['sesame-seed', 0.06, 'nuts'], ['cardamom-ground', 0.008, 'spice', 'cardamom']],
    choices: { form: 'balls', finish: 'stirred' },
    minutes: { 'soften': 9, 'sweeten': 9, 'enrich': 5 },
  }),
]
