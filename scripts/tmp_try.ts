import { STARTER_DISHES } from '../book/dishes'
import { FIRST_KITCHEN } from '../book/firstKitchen'
import { examplePlan, starter } from '../test/support/plans'
import { mainLine } from '../core/dish/mainLine'
import { sideStages } from '../core/dish/sideStages'
import { usualSeconds } from '../core/usual/usualSeconds'
import { compileProgram } from '../core/forecast/compileProgram'
import { replay } from '../core/live/replay'
import { beliefColumns, MEMBER_NAMES } from '../core/belief/memberValues'
import { runEnsemble } from '../core/forecast/runEnsemble'
import { fillNormal } from '../core/random/fillNormal'
import { seededRandom } from '../core/random/seededRandom'
for (const card of STARTER_DISHES) {
  const dish = starter(card.id)
  const all = <T>(one: T, two: T) => Object.fromEntries(dish.vessels.map(v => [v.id, v.kind === 'pan' ? one : two]))
  const plan = examplePlan({ dish, baseG: dish.usual.baseG, pans: all(FIRST_KITCHEN.pans[0]!, FIRST_KITCHEN.pans[1]!), fires: all(FIRST_KITCHEN.fires[0]!, FIRST_KITCHEN.fires[1]!), flames: {} })
  const program = compileProgram(plan, replay(plan, []), 0)
  const normals = new Float64Array(1 * MEMBER_NAMES.length)
  const trace = { everyS: 60, points: [] as any[] }
  const r = runEnsemble(program, beliefColumns(plan.belief), normals, trace)
  console.log('==', card.id, dish.family, 'base', dish.usual.baseG, 'in', plan.amounts.reduce((s, a) => s + a.massG + (a.soakedG ?? 0), 0).toFixed(0), 'kept', dish.kept.share)
  mainLine(dish).forEach((st, k) => {
    const end = k + 1 < r.stages ? r.starts[k + 1]! : r.ends[0]!
    const pts = trace.points.filter(p => p.stage === k)
    console.log('  ', st.id.padEnd(10), st.does.padEnd(9), JSON.stringify(st.until).padEnd(26), 'phys', ((end - r.starts[k]!) / 60).toFixed(1).padStart(6), 'usual', (usualSeconds(plan, st) / 60).toFixed(1).padStart(5), plan.flames[st.id], program.stages[k]!.flame.watts, 'T', pts.slice(0, 1).concat(pts.slice(-1)).map(p => p.tempC.toFixed(0)).join('-'), 'W', pts.at(-1)?.waterG.toFixed(0), 'm', pts.at(-1)?.contentG.toFixed(0), 'L', pts.at(-1)?.lightness.toFixed(0))
  })
  sideStages(dish).forEach((st, k) => console.log('   side', st.id, st.does, 'needs', (r.needs[k]! / 60).toFixed(1), 'usual', (usualSeconds(plan, st) / 60).toFixed(1)))
}
