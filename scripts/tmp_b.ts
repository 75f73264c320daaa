import { examplePlan } from '../test/support/plans'
import { compileProgram } from '../core/forecast/compileProgram'
import { replay } from '../core/live/replay'
import { beliefColumns, MEMBER_NAMES } from '../core/belief/memberValues'
import { runEnsemble } from '../core/forecast/runEnsemble'
import { fillNormal } from '../core/random/fillNormal'
import { seededRandom } from '../core/random/seededRandom'
const plan = examplePlan()
const program = compileProgram(plan, replay(plan, []), 0)
const n = 1000
const normals = fillNormal(new Float64Array(n * MEMBER_NAMES.length), seededRandom(3))
for (let r = 0; r < 4; r++) {
  const t = performance.now(); const rec = runEnsemble(program, beliefColumns(plan.belief), normals); const ms = performance.now() - t
  let s = 0; for (const e of rec.ends) s += Math.min(e, 14400); let need = 0; for (const e of rec.needs) need += Math.min(5400, e)
  console.log(ms.toFixed(0), 'ms', 'mean min', s / n / 60, 'side mean', need/n/60, 'ms per 30 min of main', (ms / (s / 1800)).toFixed(4))
}
for (let r = 0; r < 3; r++) { const t0 = performance.now(); let acc = 0; for (let i = 0; i < 5e6; i++) acc += Math.exp(-(i % 100) / 50); console.log('exp ns', ((performance.now() - t0) / 5).toFixed(1), acc > 0) }
