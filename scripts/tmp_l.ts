import { examplePlan, marked } from '../test/support/plans'
import { forecastCook } from '../core/forecast/forecastCook'
const p = examplePlan()
for (const [o, n] of [[[], 0], [[marked(1, 0, 'cook.started')], 10]] as const) {
const f = forecastCook(p, o as any, n as number, 300)
console.log(JSON.stringify(f.sides), f.effective, f.stages.map(w => [w.early, w.middle, w.late].map(x => (x / 60).toFixed(1)).join(' ')), f.finishedG)
}
