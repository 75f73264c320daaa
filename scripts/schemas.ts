// npm run schemas: writes docs/schemas/*.schema.json from the contracts, docs/examples/*.json from the starter data,
// and
// docs/constants.md from the numbers of the model.
import { entriesOf } from '../core/records'
import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { z } from 'zod'
import { FIRST_KITCHEN } from '../book/firstKitchen'
import judged from '../book/judged.json'
import { INGREDIENTS } from '../book/ingredients'
import { STARTER_DISHES } from '../book/dishes'
import { DEVICE_PROTOCOL } from '../contracts/device'
import { FORMATS } from '../contracts/formats'
import { firstBelief } from '../core/process/belief/firstBelief'
import { stageDish } from '../core/formulation/stages/stageDish'
import type { Observation } from '../core/record/marks/observation'
import { planCook } from '../core/cook/planning/planCook'
import { constantsPage } from './constantsPage'

const folder = process.argv[2] ?? 'docs'
const START_MS = 1_780_000_000_000

const plan = planCook('example-cook', {
  dish: stageDish(STARTER_DISHES[0]!), baseG: 250, ingredients: INGREDIENTS, cup: FIRST_KITCHEN.measures[0]!,
  pans: { pan: FIRST_KITCHEN.pans[0]!, pot: FIRST_KITCHEN.pans[1]! },
  fires: { pan: FIRST_KITCHEN.fires[0]!, pot: FIRST_KITCHEN.fires[1]! },
  flames: {}, people: 8, firstBelief: firstBelief(), evidence: [], seed: 11, airC: 26, altitudeM: 200,
}, START_MS - 600_000)

function marked(number: number, timeS: number, kind: string, payload: Record<string, unknown>): Observation {
  return { id: `example-${number}`, device: 'tablet', number, deviceTime: START_MS + timeS * 1000, kind, payload }
}

const observations = [
  marked(1, 0, 'cook.started', {}),
  marked(2, 245, 'stage.began', { stage: 'roast' }),
  marked(3, 300, 'vessel.lit', { vessel: 'pot' }),
  marked(4, 520, 'sign.seen', { sign: 'aroma' }),
]

const dishOf = (id: string) => STARTER_DISHES.find(dish => dish.id === id)

const boilcheck = {
  id: 'example-check',
  fire: { id: plan.fires.pan!.id, kind: 'gas', mark: 'm4', watts: 640 },
  pan: { id: plan.vessels.pan!.id, vessel: plan.vessels.pan!.vessel, massGuessed: false },
  lid: true,
  waterG: 800,
  fromC: 26,
  boilS: 590,
  half: { timeS: 300, tempC: 66 },
  boiledOn: { seconds: 300, lostG: 52 },
  atBoilC: 98.5,
  airC: 26,
  altitudeM: 200,
  when: START_MS,
}

const EXAMPLES: Readonly<Record<keyof typeof FORMATS, unknown>> = {
  'forecast': { plan, observations, nowS: 530, members: 300 },
  'cook-plan': plan,
  'append': { sentAt: START_MS + 521_000, observations: [observations[3]] },
  'dish': STARTER_DISHES[0],
  'kitchen': FIRST_KITCHEN,
  'amounts': {
    dish: dishOf('threshing-floor-wheat'),
    baseG: 240,
    measures: FIRST_KITCHEN.measures,
    corrections: [{ id: 'ghee', pricePerKg: 9.5 }],
  },
  'scale': {
    dish: dishOf('ember-sweet-potato'),
    wanted: '930 g sweet potato, peeled',
    measures: FIRST_KITCHEN.measures,
    pan: FIRST_KITCHEN.pans[0],
  },
  'swap': { dish: dishOf('milk-morning-semolina'), ingredient: 'milk' },
  'stages': { dish: dishOf('sweet-water-semolina'), choices: { sugar: 'after-swelling', nuts: 'last' } },
  'boilcheck': boilcheck,
  'learn': {
    plan,
    observations: [
      ...observations,
      marked(5, 660, 'stage.began', { stage: 'pour' }),
      marked(6, 720, 'stage.began', { stage: 'take-up' }),
      marked(7, 900, 'stage.began', { stage: 'enrich' }),
      marked(8, 1230, 'stage.began', { stage: 'rest' }),
      marked(9, 1260, 'weighed', { vessel: 'pan', grossG: 3010 }),
      marked(10, 1540, 'cook.finished', {}),
    ],
  },
  'syrup': { invertShare: 0.09, altitudeM: 200, strength: { by: 'temperature', tempC: 108 } },
  'lesson': {
    kind: 'boil-check',
    id: boilcheck.id,
    at: START_MS,
    pan: plan.vessels.pan!.name,
    fire: plan.fires.pan!.name,
    mark: 'half',
    check: boilcheck,
  },
  'device-readings': {
    protocol: DEVICE_PROTOCOL,
    device: 'bench-scale',
    kind: 'scale',
    name: 'scale by the stove',
    sentAt: START_MS + 301_000,
    readings: [{ number: 17, at: START_MS + 300_900, value: 81.4, unit: 'oz' }],
  },
  'judge': judged,
  'flameplan': { plan, wish: { step: 'golden', patienceS: 900, risk: 0.02 } },
}

mkdirSync(join(folder, 'schemas'), { recursive: true })
mkdirSync(join(folder, 'examples'), { recursive: true })
for (const [name, schema] of entriesOf(FORMATS)) {
  writeFileSync(
    join(folder, 'schemas', `${name}.schema.json`),
    `${JSON.stringify(z.toJSONSchema(schema, { io: 'input' }), null, 2)}\n`,
  )
  writeFileSync(
    join(folder, 'examples', `${name}.json`),
    `${JSON.stringify(EXAMPLES[name], null, 2)}\n`,
  )
}
writeFileSync(join(folder, 'constants.md'), constantsPage())
