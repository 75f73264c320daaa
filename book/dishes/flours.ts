import { card } from './card'

/** Wheat, millet, rice and gram flours. */
export const FLOUR_DISHES = [
  card('brick-kiln-wheat', 'Brick-kiln wheat', 'wheat-flour', {
    others: ['atte ka halwa', 'kada', 'आटे का हलवा', 'கோதுமை அல்வா'], base: 'wheat-flour-whole', portionG: 120,
    lines: [['ghee', 1.25, 'fat'], ['sugar', 1.35, 'sugar'], ['water', 4, 'water'], ['almond-slivers', 0.08, 'nuts', 'almond'], ['cardamom-ground', 0.006, 'spice', 'cardamom']],
    choices: { roast: 'deep-golden', nuts: 'last' },
    minutes: { 'roast': 16, 'take-up': 3, 'enrich': 4, 'rest': 5 },
  }),
  card('window-pane-wheat', 'Window-pane wheat', 'wheat-flour', {
    others: ['maida halwa', 'jelly halwa', 'मैदा हलवा', 'மைதா அல்வா'], base: 'wheat-flour-refined', portionG: 40,
    lines: [['ghee', 0.9, 'fat'], ['sugar', 1.65, 'sugar'], ['water', 4.6, 'water'], ['cashew-halves', 0.12, 'nuts', 'cashew'], ['saffron', 0.0006, 'steeped']],
    choices: { form: 'slab', pour: 'slurry', roast: 'none', sugar: 'syrup', fat: 'little-by-little', nuts: 'last' }, kept: 0.3,
    minutes: { 'thicken': 8, 'syrup': 10, 'sweeten': 12, 'enrich': 6, 'enrich-2': 6, 'enrich-3': 8 },
  }),
  card('pocket-wheat-balls', 'Pocket wheat balls', 'wheat-flour', {
    others: ['atta laddu', 'आटा लड्डू', 'கோதுமை லட்டு'], base: 'wheat-flour-whole', portionG: 32,
    lines: [['ghee', 0.75, 'fat'], ['sugar-powdered', 0.8, 'sugar'], ['peanut', 0.15, 'nuts'], ['dry-ginger', 0.01, 'spice']],
    choices: { form: 'balls', roast: 'golden' }, kept: 0.98,
    minutes: { 'roast': 18, 'cool': 30, 'rub-in': 6 },
  }),
  card('red-soil-millet', 'Red-soil finger millet', 'other-flour', {
    others: ['ragi halwa', 'nachni sheera', 'नाचणी शिरा', 'கேழ்வரகு அல்வா'], base: 'ragi-flour', portionG: 120,
    lines: [['ghee', 0.85, 'fat'], ['jaggery', 1.3, 'jaggery'], ['water', 4.2, 'water'], ['cashew-halves', 0.1, 'nuts', 'cashew'], ['cardamom-ground', 0.006, 'spice', 'cardamom']],
    choices: { roast: 'aroma' },
    minutes: { 'nuts': 4, 'roast': 9, 'take-up': 4, 'enrich': 6, 'rest': 5 },
  }),
  card('palm-shade-rice', 'Palm-shade rice flour', 'other-flour', {
    others: ['ari halwa', 'rice halwa', 'चावल का हलवा', 'அரிசி அல்வா'], base: 'rice-flour', portionG: 50,
    lines: [['coconut-oil', 0.85, 'fat'], ['jaggery-palm', 1.6, 'jaggery'], ['coconut-milk', 4.4, 'milk'], ['water', 1, 'water'], ['cashew-halves', 0.14, 'nuts', 'cashew'], ['cardamom-ground', 0.008, 'spice', 'cardamom']],
    choices: { pour: 'slurry', roast: 'none', sugar: 'in-liquid', liquid: 'milk', fat: 'little-by-little', nuts: 'last', form: 'slab' }, kept: 0.5,
    minutes: { 'thicken': 14, 'enrich': 9, 'enrich-2': 9, 'enrich-3': 10 },
  }),
  card('well-side-pearl-millet', 'Well-side pearl millet', 'other-flour', {
    others: ['bajra halwa', 'बाजरे का हलवा', 'கம்பு அல்வா'], base: 'bajra-flour', portionG: 120,
    lines: [['ghee', 0.95, 'fat'], ['jaggery', 1.25, 'jaggery'], ['water', 3.6, 'water'], ['sesame-seed', 0.08, 'nuts'], ['dry-ginger', 0.006, 'spice']],
    choices: { fat: 'dry-first', roast: 'aroma', nuts: 'into-roast' },
    minutes: { 'roast-dry': 7, 'roast': 7, 'take-up': 4, 'enrich': 5, 'rest': 5 },
  }),
  card('blue-door-gram', 'Blue-door soft gram', 'gram-flour', {
    others: ['besan halwa', 'besan sheera', 'बेसन का हलवा', 'கடலை மாவு அல்வா'], base: 'gram-flour-fine', portionG: 110,
    lines: [['ghee', 1.05, 'fat'], ['sugar', 1.15, 'sugar'], ['milk', 2.2, 'milk'], ['pistachio', 0.08, 'nuts'], ['cardamom-ground', 0.006, 'spice', 'cardamom']],
    choices: { liquid: 'milk', roast: 'golden', nuts: 'last' },
    minutes: { 'roast': 16, 'take-up': 3, 'enrich': 5, 'rest': 5 },
  }),
  card('one-thread-gram', 'One-thread gram slab', 'gram-flour', {
    others: ['besan barfi', 'mohanthal', 'बेसन बर्फी', 'மைசூர் பாகு'], base: 'gram-flour-coarse', portionG: 35,
    lines: [['ghee', 1.1, 'fat'], ['sugar', 1.45, 'sugar'], ['water', 1, 'water'], ['pistachio', 0.06, 'nuts'], ['cardamom-ground', 0.008, 'spice', 'cardamom']],
    choices: { form: 'slab', sugar: 'syrup', roast: 'golden', nuts: 'last' }, kept: 0.36,
    minutes: { 'roast': 18, 'syrup': 10, 'take-up': 3, 'enrich': 4 },
  }),
  card('marble-gram-balls', 'Marble gram balls', 'gram-flour', {
    others: ['besan laddu', 'बेसन लड्डू', 'கடலை மாவு லட்டு'], base: 'gram-flour-coarse', portionG: 30,
    lines: [['ghee', 0.75, 'fat'], ['sugar-powdered', 0.85, 'sugar'], ['cashew-halves', 0.12, 'nuts', 'cashew'], ['cardamom-ground', 0.008, 'spice', 'cardamom']],
    choices: { form: 'balls', roast: 'golden' }, kept: 0.98,
    minutes: { 'roast': 22, 'cool': 35, 'rub-in': 6 },
  }),
  card('travel-tin-gram', 'Travel-tin roasted gram', 'other-flour', {
    others: ['sattu laddu', 'pottukadalai urundai', 'सत्तू लड्डू', 'பொட்டுக்கடலை உருண்டை'], base: 'roasted-gram-flour', portionG: 28,
    lines: [['ghee', 0.68, 'fat'], ['sugar-powdered', 0.8, 'sugar'], ['cardamom-ground', 0.008, 'spice', 'cardamom']],
    choices: { form: 'balls', roast: 'aroma' }, kept: 0.98,
    minutes: { 'roast': 6, 'cool': 25, 'rub-in': 5 },
  }),
]
