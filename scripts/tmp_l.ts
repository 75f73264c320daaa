import { examplePlan, marked, starter } from '../test/support/plans'
import { FIRST_KITCHEN } from '../book/firstKitchen'
import { forecastCook } from '../core/forecast/forecastCook'
import { compileProgram } from '../core/forecast/compileProgram'
import { replay } from '../core/live/replay'
const dish = starter('two-liquids-wheat')
const all = <T>(one: T) => Object.fromEntries(dish.vessels.map(v => [v.id, one]))
const p = examplePlan({dish, pans: all(FIRST_KITCHEN.pans[0]!), fires: all(FIRST_KITCHEN.fires[0]!), flames: {}})
const f = forecastCook(p, [marked(1, 0, 'cook.started')], 1, 200)
console.log(JSON.stringify(f.sides), f.effective, f.stages.map(w => [w.early, w.middle, w.late].map(x => (x / 60).toFixed(1)).join(' ')), f.finishedG, p.flames)
