/** Which row of the table a plain word means, where several rows are called so. A word that is not here is asked about. */
export const PLAIN_NAMES: Readonly<Record<string, string>> = {
  'semolina': 'semolina-medium', 'sooji': 'semolina-medium', 'rava': 'semolina-medium', 'sooji rava': 'semolina-medium', 'rava sooji': 'semolina-medium', 'semolina sooji': 'semolina-medium', 'semolina rava': 'semolina-medium', 'sooji semolina': 'semolina-medium', 'rava semolina': 'semolina-medium',
  'सूजी': 'semolina-medium', 'रवा': 'semolina-medium', 'ரவை': 'semolina-medium', 'रवा सूजी': 'semolina-medium', 'सूजी रवा': 'semolina-medium',
  'broken wheat': 'broken-wheat-fine', 'dalia': 'broken-wheat-fine', 'lapsi': 'broken-wheat-fine', 'दलिया': 'broken-wheat-fine', 'लापसी': 'broken-wheat-fine',
  'vermicelli': 'vermicelli', 'sevai': 'vermicelli', 'semiya': 'vermicelli', 'besan': 'gram-flour-fine', 'gram flour': 'gram-flour-fine', 'gram flour besan': 'gram-flour-fine',
  'carrot': 'carrot-orange', 'gajar': 'carrot-red', 'गाजर': 'carrot-red', 'கேரட்': 'carrot-orange', 'pineapple': 'pineapple', 'mango': 'mango', 'coconut': 'coconut-fresh', 'nariyal': 'coconut-fresh', 'नारियल': 'coconut-fresh', 'தேங்காய்': 'coconut-fresh',
  'cashew': 'cashew-halves', 'kaju': 'cashew-halves', 'almond': 'almond-slivers', 'badam': 'almond-slivers', 'बादाम': 'almond-slivers', 'பாதாம்': 'almond-slivers',
  'sugar': 'sugar', 'jaggery': 'jaggery', 'gur': 'jaggery', 'milk': 'milk', 'whole milk': 'milk', 'milk powder': 'milk-powder',
}
