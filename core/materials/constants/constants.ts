/** One number that is held fixed in every run: its value, how far it may be off, its unit, and where it comes from. */
export interface ConstantRow {
  readonly id: string
  readonly value: number
  /** One standard deviation, or the name of the uncertain number of a belief that carries it. */
  readonly spread: string
  readonly unit: string
  /** A source, or *estimate*. */
  readonly basis: string
}

const ROWS = {
  specificHeatWater: [4.18, '0.5 %', 'J/(g·K)', 'handbook value near 50 °C (recalled, unchecked)'],
  specificHeatSolids: [1.55, '10 %', 'J/(g·K)', 'handbook values of dry starches (recalled, unchecked)'],
  specificHeatFat: [2.1, '5 %', 'J/(g·K)', 'handbook value of butterfat and oils (recalled, unchecked)'],
  specificHeatSugar: [1.3, '5 %', 'J/(g·K)', 'handbook value of sucrose (recalled, unchecked)'],
  specificHeatNuts: [1.95, '10 %', 'J/(g·K)', 'by their usual composition'],
  densityWater: [0.98, '1 %', 'g/ml', 'handbook value near 65 °C (recalled, unchecked)'],
  densitySolids: [1.45, '4 %', 'g/ml', 'handbook values of dry starches (recalled, unchecked)'],
  densityFat: [0.89, '2 %', 'g/ml', 'handbook value of warm butterfat (recalled, unchecked)'],
  densitySugar: [1.59, '1 %', 'g/ml', 'handbook value of sucrose (recalled, unchecked)'],
  densityNuts: [1.05, '6 %', 'g/ml', 'handbook values (recalled, unchecked)'],
  latentHeat: [2257, '0.1 %', 'J/g', 'handbook value at 100 °C (recalled, unchecked)'],
  boilsOffFree: [6, '50 %', 's', 'estimate: heat above the boil into vapour, in free liquid'],
  boilsOffGrain: [40, '50 %', 's', 'estimate: the same inside grain'],
  surfaceCoefficient: [
    4.5e-5,
    'in `surface`',
    'g/(s·m²·Pa)',
    'Lewis analogy at h = 8 W/(m²·K), times M/(R·T) at 350 K',
  ],
  lidDries: [0.1, '50 %', 'share', 'estimate: what a lid leaves of surface drying'],
  topLoss: [0.7, 'in `heatLoss`', 'share', 'estimate: film of the open surface over that of the wall'],
  glowsFrom: [250, '20 K', '°C', 'estimate: below it radiation is part of the film coefficients'],
  decomposes: [
    300,
    '20 K',
    '°C',
    'estimate: flash points of cooking fats, 310–330 °C (recalled, unchecked); starch and sugar are char before',
  ],
  emissivity: [0.8, '20 %', 'share', 'handbook values of oxidised iron and steel, 0.7–0.9 (recalled, unchecked)'],
  lidLoss: [0.6, '20 %', 'share', 'estimate: what a lid leaves of the top loss'],
  aromaEnergy: [
    78000,
    '15 %',
    'J/mol',
    'estimate within published ranges of food browning, 60–130 kJ/mol (recalled, unchecked)',
  ],
  nutEnergy: [
    80000,
    '15 %',
    'J/mol',
    'estimate within published ranges of food browning, 60–130 kJ/mol (recalled, unchecked)',
  ],
  nutCooling: [90, '40 %', 's', 'estimate: halves of 0.6 g with 5 cm² of surface lose about 25 W/(m²·K) on a plate'],
  charringEnergy: [210000, '20 %', 'J/mol', 'estimate: golden to burnt within minutes above 175 °C, hardly below'],
  lingers: [0.4, '30 %', 'share', 'estimate'],
  wetBrowning: [0.3, '30 %', 'g/g', 'estimate: water over dry solids at which half is too wet to brown'],
  charringRate: [0.0035, '40 %', '1/s at 175 °C', 'estimate: golden to burnt in a few minutes there'],
  starchDiffusivity: [
    3e-10,
    'in `uptake`',
    'm²/s',
    'diffusion of water into cooked starch near 95 °C, near 3·10⁻¹⁰ (recalled, unchecked)',
  ],
  mixingFloor: [100, 'in `uptake`', 's', 'estimate: mixing by hand takes 1.5 to 2 minutes'],
  rainedInPourTime: [
    200,
    '40 %',
    'g',
    'estimate: grain rained in by handfuls of 30 to 50 g, one every ten seconds, in `pourTime`',
  ],
  usualPour: [900, '30 %', 'g', 'estimate: sweet water for a pan for four, poured in `pourTime`'],
  gelTemp: [65, '3 K', '°C', 'gelatinisation of wheat starch, 60–68 °C (recalled, unchecked)'],
  gelRise: [35, '20 %', 'K', 'rise in a saturated sugar solution, about 35 K (recalled, unchecked)'],
  gelWidth: [3, '30 %', 'K', 'estimate'],
  softeningRate: [0.0045, 'in `softening`', '1/s at 100 °C', 'estimate: vegetables soften in some minutes at the boil'],
  softeningEnergy: [
    90000,
    '20 %',
    'J/mol',
    'published ranges of vegetable softening, 80–120 kJ/mol (recalled, unchecked)',
  ],
  swollenShut: [1.5, '20 %', 'g/g', 'estimate: water over dry solids at which grain has swollen its voids shut'],
  holdingFlame: [0.2, '30 %', 'share', 'estimate: of the flame that keeps a pot as it is'],
  drawnOut: [0.35, '40 %', 'share', 'estimate: water that swollen grain gives up to a saturated sugar solution'],
  keptFromSugar: [0.5, '30 %', 'g/g', 'estimate: water over dry solids that sugar does not draw out of grain'],
  saturated: [0.675, '0.5 %', 'g/g', 'solubility of sucrose near 25 °C, 67.5 % by weight (recalled, unchecked)'],
  wetFat: [0.5, '30 %', 'share', 'estimate: fat that wet mass holds over what dry one does'],
  sugarFat: [0.15, '40 %', 'g/g', 'estimate: fat that sugar helps to hold'],
  denseLoss: [0.15, '30 %', 'share', 'estimate: water lost when a mass is as dense as it gets'],
  roomHumidity: [0.55, '20 %', 'share', 'estimate'],
  valvePressure: [85000, '15 %', 'Pa', 'estimate: household pressure pans release near 80–100 kPa above the air'],
  belowKept: [0.02, 'in `wetEye`', 'share', 'estimate'],
  belowRolls: [
    0.08,
    'in `wetEye`',
    'share',
    'estimate: a pinch rolls and does not stick where the water is a twelfth below what the grain holds',
  ],
  crumbly: [0.32, 'in `wetEye`', 'g/g', 'estimate: water over dry solids at which a paste falls to crumbs'],
  flowing: [0.045, 'in `wetEye`', 'g/g', 'estimate: the same at which a flour in fat flows'],
  thickened: [0.8, '10 %', 'share', 'estimate: of its room that a slurry has taken up'],
  handWarm: [42, '3 K', '°C', 'estimate: a mass that can be rolled'],
  nearBoil: [0.93, '2 %', 'share', 'estimate: bubbles break two kelvin below the boil'],
  sucroseK: [
    7.45,
    '1 %',
    '1',
    'fitted to osmotic coefficients at 25 °C after Robinson and Stokes and to handbook boiling points (recalled, unchecked)',
  ],
  sucroseRise: [0.0235, '5 %', '1/K', 'fitted with it'],
  sucroseFall: [1.41, '2 %', '1', 'fitted with it'],
  sucroseFloor: [0.5, '30 %', 'share', 'estimate: keeps the form falling beyond what was fitted'],
  tapNoise: [0.18, '20 %', 'log time', 'measured tap error'],
  stageNoise: [0.35, '30 %', 'log time', 'estimate: a stage begun when its sign was there'],
  stray: [0.01, 'a factor 2', 'share', 'estimate: taps that have nothing to do with the pan'],
  missed: [0.4, '30 %', 'share', 'estimate: signs that pass without being tapped'],
  scaleG: [3, '30 %', 'g', 'estimate: kitchen scale'],
  scaleShare: [0.005, '50 %', 'share', 'estimate: kitchen scale'],
  thermometerFood: [2.5, '30 %', 'K', 'estimate: a probe in a stirred mass'],
  rulerMm: [3, '50 %', 'mm', 'estimate: a ruler in a mass that is stirred level'],
  rulerShare: [0.05, '50 %', 'share', 'estimate: how level it lies'],
  guessedTare: [0.35, '30 %', 'share', 'estimate: pan weights guessed from size and material'],
  boilSeen: [0.03, '50 %', 'log time', 'estimate: how sharply the boil is seen'],
  clockHand: [4, '50 %', 's', 'estimate: a hand at the clock'],
  thermometerWater: [1.5, '30 %', 'K', 'estimate: a probe in moving water'],
  boilOffShare: [0.02, '50 %', 'share', 'estimate: of what boiled off'],
  anyFire: [0.4, '30 %', 'log', 'estimate: power that a boil check allows, about the power that fits it'],
  guessedPan: [0.25, '30 %', 'log', 'estimate: heat taken up by a pan of guessed weight'],
  setAgain: [0.04, '50 %', 'log', 'estimate: a mark set again by hand'],
  handOff: [8, '50 %', 's', 'estimate: a hand that ends a roast'],
  densityTable: [
    0.12,
    '40 %',
    'log',
    "estimate: how a bag is ground and a glass is filled, against a table's poured density",
  ],
  densityFilled: [0.03, '40 %', 'log', 'estimate: two level fillings of one vessel'],
  massPower: [0.5, '0.15', 'power', 'estimate: minutes over mass'],
  flamePower: [0.6, '0.15', 'power', 'estimate: minutes over flame'],
  cookScatter: [0.22, '30 %', 'log time', 'estimate: usual minutes of one cook'],
  stageScatter: [0.3, '30 %', 'log time', 'estimate: of each of its stages'],
  kitchenScatter: [0.35, '30 %', 'log time', 'estimate: the common kitchen\'s minutes for one household'],
  firstBlend: [0.5, '0.2', 'share', 'half and half in log time was better than either in wet stages (measured)'],
  roastBlend: [0.7, '0.2', 'share', 'estimate'],
  intoVapour: [0.8, '12 %', 'share', 'estimate: of the power, once a syrup boils in an open pan'],
  grainsBy: [1.25, '10 %', 'ratio', 'estimate: supersaturation at which crystals come by themselves'],
  invertHolds: [0.12, '40 %', 'share', 'estimate: invert sugar that holds graining back'],
  plateauG: [3, '50 %', 'g', 'estimate: how still a scale stands'],
  plateauShare: [0.004, '50 %', 'share', 'estimate: the same of a heavy pan'],
  plateauS: [1.5, '50 %', 's', 'estimate: how long it stands still when somebody weighs'],
  probeS: [8, '50 %', 's', 'estimate: how long a probe is read over'],
  probeK: [4, '50 %', 'K', 'estimate: how far its readings lie apart in a stirred mass'],
  repairStep: [
    0.03,
    '50 %',
    'share',
    'estimate: least water driven off or put back where the forecast sees no difference, of the mass',
  ],
  setStep: [0.02, '50 %', 'share', 'estimate: the same of a syrup or a set mass'],
  powderTakes: [1, '30 %', 'g/g', 'estimate: water that milk powder takes up at the stiffness of a halwa'],
  lacksSwelling: [0.12, '40 %', 'share', 'estimate: what a hard centre lacks at least of its swelling'],
  swellS: [240, '40 %', 's', 'estimate: to swell under a lid; up to three times as long where sugar is in'],
  noticedSweet: [0.12, '40 %', 'share', 'estimate: a change of sweetness that those who eat it notice'],
  fatSeen: [0.06, '40 %', 'share', 'estimate: fat that runs out where it is called greasy and the forecast sees none'],
  firmer: [0.06, '40 %', 'share', 'estimate: roasted flour that makes balls stand, of the mass'],
  binds: [0.04, '40 %', 'share', 'estimate: fat that binds crumbs, of the mass'],
  chillS: [1500, '30 %', 's', 'estimate: a tray of balls in the cold'],
  warmedBy: [10, '50 %', 'K', 'estimate: what goes in hot still has to be warmed'],
  activitySpread: [0.03, '50 %', '1', 'estimate: water activity worked out from masses alone'],
  drawnFromRoom: [
    0.55,
    '20 %',
    '1',
    'estimate: water activity that a dry sweet comes to in the air of a room (roomHumidity); damp seasons go to 0.75 and more',
  ],
  conductivityWater: [0.62, '3 %', 'W/(m·K)', 'Choi and Okos 1986 near 40 °C (recalled, unchecked)'],
  conductivitySolids: [0.24, '10 %', 'W/(m·K)', 'the same for carbohydrates (recalled, unchecked)'],
  conductivityFat: [0.18, '10 %', 'W/(m·K)', 'the same for fat (recalled, unchecked)'],
  slabTop: [
    10,
    '25 %',
    'W/(m²·K)',
    'natural convection and radiation of a warm level face, 8–12 W/(m²·K) (recalled, unchecked)',
  ],
  slabBase: [5, '40 %', 'W/(m²·K)', 'estimate: a tray that stands on a board'],
  holdsHard: [75, '5 K', '°C', 'estimate: a hard syrup holds while it is hot'],
  holdsFirm: [58, '5 K', '°C', 'estimate'],
  holdsSoft: [44, '4 K', '°C', 'estimate'],
  holdsThread: [36, '4 K', '°C', 'estimate'],
  holdsFat: [
    32,
    '4 K',
    '°C',
    'estimate: butterfat is nearly melted at 35 °C and half solid near 20 °C (recalled, unchecked)',
  ],
  warmingLoses: [
    0.04,
    '50 %',
    'share',
    'estimate: milk that makes up for what a moist sweet loses when it is warmed again',
  ],
  warmingFat: [0.02, '50 %', 'share', 'estimate: ghee that loosens a dry one'],
  tooStiff: [33, '3 K', '°C', 'estimate: butterfat begins to set and a rolled mass to crack'],
  bubbling: [1.16, '8 %', 'ratio', 'estimate: bubbling lifts a mass by a sixth'],
  roomToStir: [0.75, '10 %', 'share', 'estimate'],
} as const satisfies Readonly<Record<string, readonly [value: number, spread: string, unit: string, basis: string]>>

export type ConstantId = keyof typeof ROWS

/**
 * Every fixed number of laws, signs and readings, as it is shown. Uncertain ones stand in the first belief, those of a
 * base in its family.
 */
export const CONSTANTS: readonly ConstantRow[] = Object.entries(ROWS).map(([id, [value, spread, unit, basis]]) => ({
  id,
  value,
  spread,
  unit,
  basis,
}))

/**
 * A fixed number of the model.
 *
 * @param id its name
 * @returns its value, in the unit of its row
 */
export function constant(id: ConstantId): number {
  return ROWS[id][0]
}
