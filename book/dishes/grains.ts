import { card } from './card'

/** Semolina, broken wheat, vermicelli. */
export const GRAIN_DISHES = [
  card('sweet-water-semolina', 'Sweet-water semolina', 'semolina', {
    others: ['sooji halwa', 'rava kesari', 'sheera', 'सूजी हलवा', 'ரவா கேசரி'], base: 'semolina-medium', portionG: 190,
    lines: [['ghee', 0.78, 'fat'], ['sugar', 1.05, 'sugar'], ['water', 4.2, 'water'], ['cashew-halves', 0.16, 'nuts', 'cashew'], ['cardamom-ground', 0.006, 'spice', 'cardamom']],
    choices: { roast: 'pale', fat: 'half-and-half' },
    minutes: { 'nuts': 4, 'roast': 8, 'pour': 1, 'take-up': 4, 'enrich': 5, 'rest': 5 },
  }),
  card('first-offering-semolina', 'First-offering semolina', 'semolina', {
    others: ['prasad sheera', 'sooji halwa', 'प्रसाद का हलवा', 'சர்க்கரை ரவை'], base: 'semolina-medium', portionG: 90,
    lines: [['ghee', 1.0, 'fat'], ['sugar', 1.25, 'sugar'], ['water', 3.9, 'water'], ['almond-slivers', 0.1, 'nuts', 'almond'], ['raisins', 0.1, 'spice'], ['cardamom-ground', 0.008, 'spice', 'cardamom']],
    choices: { sugar: 'after-swelling', pour: 'in-parts', tasting: 'not-tasted', nuts: 'last', finish: 'covered' },
    minutes: { 'roast': 11, 'take-up': 5, 'sweeten': 5, 'enrich': 3, 'rest': 10 },
  }),
  card('milk-morning-semolina', 'Milk-morning semolina', 'semolina', {
    others: ['doodh sooji halwa', 'दूध का हलवा', 'பால் கேசரி'], base: 'semolina-fine', portionG: 150,
    lines: [['ghee', 0.55, 'fat'], ['sugar', 0.95, 'sugar'], ['milk', 4.6, 'milk'], ['pistachio', 0.06, 'nuts'], ['saffron', 0.0004, 'steeped']],
    choices: { roast: 'aroma', liquid: 'milk', fat: 'half-and-half', nuts: 'last' },
    minutes: { 'roast': 6, 'take-up': 5, 'enrich': 5, 'rest': 5 },
  }),
  card('pineapple-verandah-semolina', 'Verandah pineapple semolina', 'semolina', {
    others: ['pineapple kesari', 'ananas sheera', 'अनानास शीरा', 'அன்னாசி கேசரி'], base: 'semolina-medium', portionG: 140,
    lines: [['ghee', 0.8, 'fat'], ['sugar', 1.2, 'sugar'], ['water', 3.1, 'water'], ['pineapple', 1.1, 'fruit'], ['cashew-halves', 0.14, 'nuts', 'cashew'], ['saffron', 0.0004, 'steeped']],
    choices: { roast: 'aroma', sugar: 'after-swelling' },
    minutes: { 'nuts': 4, 'roast': 6, 'take-up': 6, 'sweeten': 5, 'enrich': 4, 'rest': 5 },
  }),
  card('slow-farina', 'Slow farina', 'semolina', {
    others: ['cream semolina halwa'], base: 'farina', portionG: 130,
    lines: [['ghee', 0.7, 'fat'], ['sugar', 1.1, 'sugar'], ['water', 2, 'water'], ['milk', 2.6, 'milk'], ['almond-slivers', 0.12, 'nuts', 'almond'], ['nutmeg', 0.002, 'spice']],
    choices: { roast: 'pale', liquid: 'water-then-milk', sugar: 'after-swelling', fat: 'little-by-little' },
    minutes: { 'nuts': 4, 'roast': 14, 'take-up': 4, 'milk': 7, 'sweeten': 5, 'enrich': 3, 'rest': 5 },
  }),
  card('syrup-set-semolina', 'Syrup-set semolina', 'semolina', {
    others: ['sooji barfi', 'rava burfi', 'सूजी बर्फी', 'ரவா பர்பி'], base: 'semolina-fine', portionG: 45,
    lines: [['ghee', 0.7, 'fat'], ['sugar', 1.7, 'sugar'], ['water', 1.6, 'water'], ['coconut-dry', 0.2, 'spice', 'coconut'], ['cardamom-ground', 0.008, 'spice', 'cardamom']],
    choices: { form: 'slab', sugar: 'syrup', roast: 'pale' }, kept: 0.26,
    minutes: { 'roast': 9, 'syrup': 14, 'take-up': 4, 'enrich': 6 },
  }),
  card('mill-lane-jaggery-semolina', 'Mill Lane jaggery semolina', 'semolina', {
    others: ['gur ki sooji', 'vella kesari', 'गुड़ का हलवा', 'வெல்ல கேசரி'], base: 'semolina-coarse', portionG: 150,
    lines: [['sesame-oil', 0.6, 'fat'], ['jaggery', 1.35, 'jaggery'], ['water', 4.4, 'water'], ['peanut', 0.2, 'nuts'], ['dry-ginger', 0.006, 'spice']],
    choices: { sugar: 'in-liquid', roast: 'golden', nuts: 'into-roast', finish: 'covered' },
    minutes: { 'roast': 12, 'take-up': 6, 'enrich': 4, 'rest': 10 },
  }),
  card('well-head-semolina', 'Well-head semolina', 'semolina', {
    others: ['rava kesari', 'ananas kesari', 'रवा केसरी', 'கேசரி'], base: 'semolina-medium', portionG: 150,
    lines: [['ghee', 0.7, 'fat'], ['sugar', 1.3, 'sugar'], ['water', 3.1, 'water'], ['banana', 0.7, 'fruit'], ['cashew-halves', 0.12, 'nuts', 'cashew'], ['cardamom-ground', 0.006, 'spice', 'cardamom']],
    choices: { roast: 'aroma', fat: 'dry-first', pour: 'rained', sugar: 'after-swelling', nuts: 'last', finish: 'covered' },
    minutes: { 'roast-dry': 6, 'rain': 2, 'swell': 4, 'sweeten': 5, 'enrich': 3, 'enrich-2': 3, 'enrich-3': 4, 'rest': 10 },
  }),
  card('spare-hand-semolina', 'Spare-hand semolina', 'semolina', {
    others: ['lean sooji', 'सादा हलवा'], base: 'semolina-medium', portionG: 160,
    lines: [['ghee', 0.38, 'fat'], ['sugar', 0.95, 'sugar'], ['water', 3.6, 'water'], ['cashew-halves', 0.08, 'nuts', 'cashew'], ['cardamom-ground', 0.006, 'spice', 'cardamom']],
    choices: { fat: 'dry-first', nuts: 'last', roast: 'pale' },
    minutes: { 'roast-dry': 7, 'roast': 4, 'take-up': 4, 'enrich': 4, 'rest': 5 },
  }),
  card('threshing-floor-wheat', 'Threshing-floor broken wheat', 'broken-wheat', {
    others: ['lapsi', 'dalia halwa', 'लापसी', 'दलिया', 'கோதுமை ரவை கேசரி'], base: 'broken-wheat-coarse', portionG: 160,
    lines: [['ghee', 0.45, 'fat'], ['jaggery', 1.1, 'jaggery'], ['water', 4.1, 'water'], ['almond-slivers', 0.1, 'nuts', 'almond'], ['raisins', 0.12, 'spice'], ['cardamom-ground', 0.006, 'spice', 'cardamom']],
    choices: { roast: 'golden' },
    minutes: { 'nuts': 4, 'roast': 9, 'take-up': 20, 'sweeten': 8, 'enrich': 5, 'rest': 10 },
  }),
  card('two-liquids-wheat', 'Two-liquid broken wheat', 'broken-wheat', {
    others: ['doodh lapsi', 'दूध लापसी', 'பால் கோதுமை'], base: 'broken-wheat-fine', portionG: 150,
    lines: [['ghee', 0.35, 'fat'], ['sugar', 0.95, 'sugar'], ['water', 2.4, 'water'], ['milk', 1.9, 'milk'], ['pistachio', 0.08, 'nuts'], ['cardamom-ground', 0.006, 'spice', 'cardamom']],
    choices: { liquid: 'water-then-milk', nuts: 'last', roast: 'aroma' },
    minutes: { 'roast': 7, 'take-up': 12, 'milk': 10, 'sweeten': 6, 'enrich': 4, 'rest': 10 },
  }),
  card('lantern-vermicelli', 'Lantern vermicelli', 'vermicelli', {
    others: ['seviyan halwa', 'semiya kesari', 'सेवई हलवा', 'சேமியா கேசரி'], base: 'vermicelli', portionG: 130,
    lines: [['ghee', 0.42, 'fat'], ['sugar', 0.8, 'sugar'], ['milk', 2.6, 'milk'], ['cashew-halves', 0.14, 'nuts', 'cashew'], ['saffron', 0.0005, 'steeped']],
    choices: { roast: 'golden' },
    minutes: { 'nuts': 4, 'roast': 7, 'take-up': 7, 'sweeten': 4, 'enrich': 4, 'rest': 5 },
  }),
  card('school-day-vermicelli', 'School-day vermicelli', 'vermicelli', {
    others: ['quick seviyan', 'सेवई', 'சேமியா'], base: 'vermicelli-roasted', portionG: 140,
    lines: [['ghee', 0.3, 'fat'], ['sugar', 0.7, 'sugar'], ['water', 2.5, 'water'], ['raisins', 0.1, 'spice'], ['cardamom-ground', 0.006, 'spice', 'cardamom']],
    choices: { roast: 'none', liquid: 'water', sugar: 'in-liquid', finish: 'covered' },
    minutes: { 'roast': 2, 'take-up': 6, 'enrich': 3, 'rest': 10 },
  }),
]
