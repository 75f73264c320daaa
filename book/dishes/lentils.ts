import { card } from './card'

/** Lentils in their three preparations. */
export const LENTIL_DISHES = [
  card('long-spoon-mung', 'Long-spoon mung', 'lentil', {
    others: ['moong dal halwa', 'मूंग दाल हलवा', 'பாசிப்பருப்பு அல்வா'], base: 'mung-split', portionG: 110,
    lines: [['ghee', 0.95, 'fat'], ['semolina-fine', 0.08, 'helper', 'helper'], ['sugar', 1.15, 'sugar'], ['milk', 1.6, 'milk'], ['water', 0.8, 'water'], ['khoya', 0.25, 'milk-solids'], ['almond-slivers', 0.1, 'nuts', 'almond'], ['cardamom-ground', 0.008, 'spice', 'cardamom']],
    choices: { roast: 'golden', liquid: 'milk' },
    minutes: { 'nuts': 4, 'paste': 18, 'roast': 14, 'take-up': 8, 'sweeten': 8, 'enrich': 5, 'rest': 5 },
  }),
  card('granary-chickpea', 'Granary split chickpea', 'lentil', {
    others: ['chana dal halwa', 'चना दाल हलवा', 'கடலைப்பருப்பு அல்வா'], base: 'chana-split', portionG: 90,
    lines: [['ghee', 0.9, 'fat'], ['sugar', 1.1, 'sugar'], ['water', 1.8, 'water'], ['pistachio', 0.06, 'nuts'], ['saffron', 0.0005, 'steeped']],
    choices: { preparation: 'dry-ground', liquid: 'water', sugar: 'syrup', roast: 'deep-golden', fat: 'half-and-half', nuts: 'last' }, kept: 0.29,
    minutes: { 'roast': 16, 'syrup': 8, 'take-up': 5, 'enrich': 7, 'rest': 5 },
  }),
  card('rain-day-mung', 'Rain-day mung purée', 'lentil', {
    others: ['payatham paruppu', 'pasi paruppu halwa', 'मूंग गुड़ हलवा', 'அசோகா'], base: 'mung-split', portionG: 120,
    lines: [['ghee', 0.7, 'fat'], ['jaggery', 1.15, 'jaggery'], ['water', 2.6, 'water'], ['cashew-halves', 0.14, 'nuts', 'cashew'], ['dry-ginger', 0.006, 'spice']],
    choices: { preparation: 'cooked-puree', cooking: 'pressure', roast: 'none', liquid: 'none', sugar: 'into-reduced', fat: 'half-and-half' }, kept: 0.4,
    minutes: { 'nuts': 4, 'soften': 12, 'sweeten': 10, 'enrich': 8, 'rest': 5 },
  }),
  card('three-to-one-mung', 'Three-to-one mung and rice', 'lentil', {
    others: ['moong chawal halwa', 'pasi paruppu arisi halwa', 'मूंग चावल हलवा', 'பருப்பு அரிசி அல்வா'], base: 'mung-split', usualG: 180, portionG: 110,
    lines: [['rice-short', 0.333, 'base', 'rice', ['other-flour', 'dry-ground']], ['ghee', 1.0, 'fat'], ['jaggery', 1.4, 'jaggery'], ['water', 3.6, 'water'], ['cashew-halves', 0.14, 'nuts', 'cashew'], ['cardamom-ground', 0.008, 'spice', 'cardamom']],
    choices: { preparation: 'dry-ground', roast: 'golden', liquid: 'water', sugar: 'after-swelling', fat: 'half-and-half' },
    minutes: { 'nuts': 4, 'roast': 10, 'take-up': 8, 'sweeten': 9, 'enrich': 7, 'rest': 5 },
  }),
  card('palm-shade-mung', 'Palm-shade mung and coconut', 'lentil', {
    others: ['payatham paruppu thengai', 'moong nariyal halwa', 'मूंग नारियल', 'பருப்பு தேங்காய் அல்வா'], base: 'mung-split', portionG: 120,
    lines: [['coconut-fresh', 0.5, 'base', 'coconut', ['coconut-nut', 'as-bought']], ['ghee', 0.9, 'fat'], ['jaggery', 1.6, 'jaggery'], ['water', 2.6, 'water'], ['cashew-halves', 0.12, 'nuts', 'cashew'], ['cardamom-ground', 0.006, 'spice', 'cardamom']],
    choices: { preparation: 'cooked-puree', cooking: 'pressure', roast: 'none', liquid: 'none', sugar: 'into-reduced', fat: 'half-and-half' }, kept: 0.4,
    minutes: { 'nuts': 4, 'soften': 14, 'sweeten': 11, 'enrich': 8, 'rest': 5 },
  }),
  card('winter-black-gram', 'Winter black gram', 'lentil', {
    others: ['urad dal halwa', 'उड़द दाल हलवा', 'உளுந்து அல்வா'], base: 'urad-split', portionG: 100,
    lines: [['ghee', 1.0, 'fat'], ['gram-flour-fine', 0.06, 'helper', 'helper'], ['sugar', 1.2, 'sugar'], ['water', 2.2, 'water'], ['walnut', 0.1, 'nuts'], ['cardamom-ground', 0.008, 'spice', 'cardamom']],
    choices: { roast: 'golden', liquid: 'water', sugar: 'in-liquid', fat: 'half-and-half', nuts: 'into-roast', pour: 'in-parts' },
    minutes: { 'paste': 16, 'roast': 12, 'take-up': 7, 'enrich': 8, 'rest': 5 },
  }),
  card('doorstep-black-gram', 'Doorstep black gram', 'lentil', {
    others: ['ulundhu kali', 'urad kali', 'उड़द की कली', 'உளுந்தங்களி'], base: 'urad-split', usualG: 200, portionG: 90,
    lines: [['sesame-oil', 0.62, 'fat'], ['jaggery-palm', 1.2, 'jaggery'], ['water', 2.8, 'water'], ['dry-ginger', 0.008, 'spice'], ['cardamom-ground', 0.005, 'spice', 'cardamom']],
    choices: { preparation: 'fine-paste', roast: 'none', liquid: 'water', pour: 'slurry', sugar: 'after-swelling', fat: 'little-by-little', finish: 'stirred' },
    minutes: { 'thicken': 9, 'sweeten': 9, 'enrich': 5, 'enrich-2': 5, 'enrich-3': 7, 'rest': 5 },
  }),
  card('night-train-mung-balls', 'Night-train mung balls', 'lentil', {
    others: ['moong laddu', 'मूंग लड्डू', 'பாசிப்பருப்பு உருண்டை'], base: 'mung-split', portionG: 30,
    lines: [['ghee', 0.7, 'fat'], ['sugar-powdered', 0.85, 'sugar'], ['almond-slivers', 0.08, 'nuts', 'almond'], ['cardamom-ground', 0.008, 'spice', 'cardamom']],
    choices: { form: 'balls', roast: 'golden', nuts: 'last' }, kept: 0.98,
    minutes: { 'roast': 14, 'cool': 30, 'rub-in': 6 },
  }),
]
