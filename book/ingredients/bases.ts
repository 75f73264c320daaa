import { row } from './row'

const WHEAT = ['wheat'] as const
const GRAM = 'estimate: a cup of sifted gram flour, 95–120 g in 240 ml'

/** Grains, flours and lentils. */
export const BASES = [
  row('semolina-fine', 'Semolina, fine', 'base', {
    others: ['sooji', 'suji', 'chiroti rava', 'rawa', 'बारीक सूजी', 'சன்ன ரவை'], families: ['semolina'], density: [0.74, 'estimate: a little over the medium grade, 175–180 g in 240 ml'],
    from: 'A022', allergens: WHEAT, colour: [89, 0.5, 17], packs: [500, 1000],
  }),
  row('semolina-medium', 'Semolina, medium', 'base', {
    others: ['sooji', 'suji', 'rava', 'rawa', 'सूजी', 'रवा', 'ரவை'], families: ['semolina'], density: [0.71, '165–180 g in a 240 ml cup'],
    from: 'A022', coarse: true, allergens: WHEAT, colour: [88, 1, 20], packs: [500, 1000],
  }),
  row('semolina-coarse', 'Semolina, coarse', 'base', {
    others: ['sooji', 'moti sooji', 'upma rava', 'rawa', 'मोटी सूजी', 'பெரிய ரவை'], families: ['semolina'], density: [0.69, '165–180 g in a 240 ml cup'],
    from: 'A022', coarse: true, allergens: WHEAT, colour: [87, 1, 22], packs: [500, 1000],
  }),
  row('farina', 'Farina, soft wheat', 'base', {
    others: ['cream semolina', 'soft semolina'], families: ['semolina'], density: [0.73, 'estimate: as fine semolina'],
    from: 'A022', allergens: WHEAT, colour: [91, 0, 12], packs: [400, 800],
  }),
  row('broken-wheat-fine', 'Broken wheat, fine', 'base', {
    others: ['dalia', 'daliya', 'lapsi', 'wheat rava', 'दलिया', 'लापसी', 'கோதுமை ரவை'], families: ['broken-wheat'], density: [0.7, 'estimate: 165–172 g in 240 ml'],
    from: 'A020', coarse: true, allergens: WHEAT, colour: [72, 5, 22], packs: [500, 1000],
  }),
  row('broken-wheat-coarse', 'Broken wheat, coarse', 'base', {
    others: ['dalia', 'daliya', 'lapsi', 'wheat rava', 'दलिया', 'गोधूमरवा', 'உடைத்த கோதுமை'], families: ['broken-wheat'], density: [0.67, 'estimate: 158–165 g in 240 ml'],
    from: 'A020', coarse: true, allergens: WHEAT, colour: [70, 6, 23], packs: [500, 1000],
  }),
  row('vermicelli', 'Vermicelli, raw, broken', 'base', {
    others: ['sevai', 'seviyan', 'semiya', 'sevaiyan', 'सेवई', 'சேமியா'], families: ['vermicelli'], density: [0.42, 'estimate: broken to hand length, 95–105 g in 240 ml'],
    from: 'A023', allergens: WHEAT, colour: [86, 1, 22], packs: [200, 400],
  }),
  row('vermicelli-roasted', 'Vermicelli, sold roasted', 'base', {
    others: ['roasted vermicelli', 'bhuni sevai', 'roasted semiya', 'भुनी सेवई', 'வறுத்த சேமியா'], families: ['vermicelli'], density: [0.42, 'estimate: broken to hand length, 95–105 g in 240 ml'],
    from: 'A024', allergens: WHEAT, colour: [70, 9, 34], packs: [200, 400],
  }),
  row('wheat-flour-whole', 'Whole wheat flour', 'base', {
    others: ['atta', 'aata', 'gehun ka atta', 'आटा', 'கோதுமை மாவு'], families: ['wheat-flour'], density: [0.52, '120–130 g in a 240 ml cup'],
    from: 'A019', allergens: WHEAT, colour: [82, 2, 16], packs: [1000, 5000],
  }),
  row('wheat-flour-refined', 'Refined wheat flour', 'base', {
    others: ['maida', 'plain flour', 'मैदा', 'மைதா'], families: ['wheat-flour'], density: [0.53, '120–130 g in a 240 ml cup'],
    from: 'A018', allergens: WHEAT, colour: [93, 0, 9], packs: [500, 1000],
  }),
  row('ragi-flour', 'Finger millet flour', 'base', {
    others: ['ragi', 'nachni', 'mandua', 'रागी', 'नाचणी', 'கேழ்வரகு'], families: ['other-flour'], density: [0.55, 'estimate: 125–140 g in 240 ml'],
    from: 'A010', colour: [60, 6, 10], packs: [500, 1000], keeps: 90,
  }),
  row('bajra-flour', 'Pearl millet flour', 'base', {
    others: ['bajra', 'bajri', 'kambu', 'बाजरा', 'கம்பு'], families: ['other-flour'], density: [0.55, 'estimate: 125–140 g in 240 ml'],
    from: 'A003', colour: [70, 1, 14], packs: [500, 1000], keeps: 30,
  }),
  row('jowar-flour', 'Sorghum flour', 'base', {
    others: ['jowar', 'jwari', 'cholam', 'ज्वार', 'சோளம்'], families: ['other-flour'], density: [0.56, 'estimate: 125–140 g in 240 ml'],
    from: 'A005', colour: [84, 1, 12], packs: [500, 1000], keeps: 60,
  }),
  row('rice-flour', 'Rice flour', 'base', {
    others: ['chawal ka atta', 'pitho', 'चावल का आटा', 'அரிசி மாவு'], families: ['other-flour'], density: [0.62, 'estimate: 140–158 g in 240 ml'],
    from: 'A015', colour: [95, 0, 5], packs: [500, 1000],
  }),
  row('rice-short', 'Rice, short grain', 'base', {
    others: ['chawal', 'arisi', 'pacharisi', 'kachha chawal', 'चावल', 'பச்சரிசி'], families: ['other-flour'], density: [0.84, 'estimate: 195–205 g in 240 ml'],
    from: 'A015', soakGain: 0.35, ground: 0.97, colour: [92, 0, 8], packs: [1000],
  }),
  row('barley-flour', 'Barley flour', 'base', {
    others: ['jau ka atta', 'जौ का आटा', 'பார்லி மாவு'], families: ['other-flour'], density: [0.5, 'estimate: 110–130 g in 240 ml'],
    from: 'A004', allergens: ['barley'], colour: [84, 1, 14], packs: [500, 1000],
  }),
  row('roasted-gram-flour', 'Roasted gram flour', 'base', {
    others: ['sattu', 'pottukadalai', 'सत्तू', 'பொட்டுக்கடலை மாவு'], families: ['other-flour'], density: [0.5, GRAM],
    from: 'B001', colour: [80, 4, 28], packs: [500, 1000], keeps: 90,
  }),
  row('gram-flour-fine', 'Gram flour, fine', 'base', {
    others: ['besan', 'chickpea flour', 'kadalai maavu', 'बेसन', 'கடலை மாவு'], families: ['gram-flour'], density: [0.43, GRAM],
    from: 'B001', colour: [88, 0, 34], packs: [500, 1000], keeps: 120,
  }),
  row('gram-flour-coarse', 'Gram flour, coarse', 'base', {
    others: ['laddu besan', 'mota besan', 'मोटा बेसन', 'கொரகொரப்பான கடலை மாவு'], families: ['gram-flour'], density: [0.5, GRAM],
    from: 'B001', colour: [86, 1, 36], packs: [500, 1000], keeps: 120,
  }),
  row('mung-split', 'Split mung, skinned', 'base', {
    others: ['moong dal', 'mung dal', 'payatham paruppu', 'मूंग दाल', 'பாசிப்பருப்பு'], families: ['lentil'], density: [0.86, 'estimate: 200–210 g in 240 ml'],
    from: 'B010', soakGain: 1.05, ground: 0.965, colour: [84, 2, 42], packs: [500, 1000],
  }),
  row('chana-split', 'Split chickpeas', 'base', {
    others: ['chana dal', 'kadalai paruppu', 'चना दाल', 'கடலைப்பருப்பு'], families: ['lentil'], density: [0.83, 'estimate: 195–205 g in 240 ml'],
    from: 'B001', soakGain: 0.95, ground: 0.965, colour: [78, 8, 44], packs: [500, 1000],
  }),
  row('urad-split', 'Split black gram, skinned', 'base', {
    others: ['urad dal', 'ulundu', 'उड़द दाल', 'உளுந்து'], families: ['lentil'], density: [0.85, 'estimate: 200–208 g in 240 ml'],
    from: 'B003', soakGain: 1.15, ground: 0.96, colour: [90, 0, 14], packs: [500, 1000],
  }),
]
