import { starterPlan } from '../test/support/plans'
import { compileProgram } from '../core/forecast/compileProgram'
import { replay } from '../core/live/replay'
import { beliefColumns, MEMBER_NAMES } from '../core/belief/memberValues'
import { runEnsemble } from '../core/forecast/runEnsemble'
const normals = new Float64Array(MEMBER_NAMES.length)
for (const id of ['diamond-cashew', 'tide-line-coconut']) for (const f of [0.05, 0.25, 1, 2]) {
  const plan = starterPlan(id)
  const p = compileProgram(plan, replay(plan, []), 0)
  const trace = { everyS: 60, points: [] as any[] }
  const r = runEnsemble({ ...p, stages: p.stages.map(s => ({ ...s, stepS: s.stepS * f })) }, beliefColumns(plan.belief), normals, trace)
  console.log(id, f, Array.from(r.starts).map(x => x.toFixed(0)).join(' '), trace.points.slice(0, 12).map(q => `${q.tempC.toFixed(1)}/${q.waterG.toFixed(1)}`).join(' '))
}
