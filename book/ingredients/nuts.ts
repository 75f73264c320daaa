import { row } from './row'

/** Coconut, nuts, seeds and dried fruit. */
export const NUT_FOODS = [
  row('coconut-fresh', 'Coconut, fresh, grated', 'coconut', {
    others: ['nariyal', 'khopra', 'thengai', 'नारियल', 'தேங்காய்'], families: ['coconut-nut'], density: [0.36, 'estimate: loosely heaped, 80–95 g in 240 ml'], from: 'H007',
    piece: ['coconut', 'coconuts', 380, 500, 650], prepared: 0.5, allergens: ['coconut'], colour: [95, 0, 3], packs: [200, 400], keeps: 3,
  }),
  row('coconut-dry', 'Coconut, dried, grated', 'coconut', {
    others: ['dry coconut', 'desiccated coconut', 'copra', 'sukha nariyal', 'सूखा नारियल', 'கொப்பரை'], families: ['coconut-nut'], density: [0.35, 'estimate: 80–90 g in 240 ml'], from: 'H006',
    allergens: ['coconut', 'sulphites'], colour: [94, 0, 5], packs: [200, 500], keeps: 120,
  }),
  row('cashew-halves', 'Cashew halves', 'nuts', {
    others: ['kaju', 'mundhiri', 'काजू', 'முந்திரி'], density: [0.53, 'estimate: 120–135 g in 240 ml'], from: 'H005', whole: true,
    piece: ['cashew', 'cashews', 1, 1.3, 1.7], allergens: ['cashew'], colour: [86, 1, 22], packs: [100, 250], keeps: 90,
  }),
  row('cashew-ground', 'Cashew, ground', 'base', {
    others: ['kaju powder', 'काजू पिसा', 'முந்திரி தூள்'], families: ['coconut-nut'], density: [0.45, 'estimate: 105–112 g in 240 ml'], from: 'H005',
    allergens: ['cashew'], colour: [88, 1, 18], packs: [200, 500], keeps: 60,
  }),
  row('almond-slivers', 'Almonds', 'nuts', {
    others: ['badam', 'बादाम', 'பாதாம்'], density: [0.56, 'estimate: 130–140 g in 240 ml'], from: 'H001', whole: true,
    piece: ['almond', 'almonds', 1, 1.2, 1.5], allergens: ['almond'], colour: [74, 8, 26], packs: [100, 250], keeps: 120,
  }),
  row('almond-paste', 'Almonds, soaked, skinned and ground', 'base', {
    others: ['badam', 'badam paste', 'बादाम पेस्ट', 'பாதாம் விழுது'], families: ['coconut-nut'], density: [0.85, 'estimate: paste, 195–212 g in 240 ml; weight of the dry almonds counts'], from: 'H001',
    piece: ['almond', 'almonds', 1, 1.2, 1.5], prepared: 0.96, soakGain: 0.45, ground: 0.97, allergens: ['almond'], colour: [90, 1, 14], packs: [250, 500], keeps: 120,
  }),
  row('pistachio', 'Pistachios, slivered', 'nuts', {
    others: ['pista', 'पिस्ता', 'பிஸ்தா'], density: [0.5, 'estimate: 115–125 g in 240 ml'], from: 'H018', whole: true,
    piece: ['pistachio', 'pistachios', 0.5, 0.6, 0.8], allergens: ['pistachio'], colour: [62, -8, 30], packs: [50, 100, 250], keeps: 90,
  }),
  row('walnut', 'Walnuts, broken', 'nuts', {
    others: ['akhrot', 'अखरोट', 'வால்நட்'], density: [0.45, 'estimate: 100–115 g in 240 ml'], from: 'H021', whole: true,
    piece: ['walnut half', 'walnut halves', 1.6, 2, 2.5], allergens: ['walnut'], colour: [56, 8, 24], packs: [100, 250], keeps: 60,
  }),
  row('peanut', 'Peanuts, roasted, crushed', 'nuts', {
    others: ['moongphali', 'nilakkadalai', 'मूंगफली', 'நிலக்கடலை'], density: [0.55, 'estimate: 125–138 g in 240 ml'], from: 'H012', whole: true,
    allergens: ['peanut'], colour: [68, 7, 28], packs: [250, 500], keeps: 60,
  }),
  row('sesame-seed', 'Sesame seed', 'nuts', {
    others: ['til', 'ellu', 'तिल', 'எள்'], density: [0.6, 'estimate: 138–150 g in 240 ml'], from: 'H011', whole: true,
    allergens: ['sesame'], colour: [84, 2, 18], packs: [100, 250], keeps: 120,
  }),
  row('raisins', 'Raisins', 'nuts', {
    others: ['kishmish', 'munakka', 'draksha', 'किशमिश', 'திராட்சை'], density: [0.62, 'estimate: 142–155 g in 240 ml'], from: 'E058', whole: true,
    piece: ['raisin', 'raisins', 0.4, 0.5, 0.8], allergens: ['sulphites'], colour: [44, 14, 30], packs: [100, 250], keeps: 180,
  }),
]
