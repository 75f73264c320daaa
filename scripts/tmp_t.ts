import { STARTER_DISHES } from '../book/dishes'
import { stageDish } from '../core/dish/stageDish'
import { seededRandom } from '../core/random/seededRandom'
import { stepVessel } from '../core/forecast/stepVessel'
import { compileProgram } from '../core/forecast/compileProgram'
import { replay } from '../core/live/replay'
import { beliefColumns, MEMBER_NAMES } from '../core/belief/memberValues'
import { runEnsemble } from '../core/forecast/runEnsemble'
import { fillNormal } from '../core/random/fillNormal'
import { drawOccasion, planOf } from '../cli/judge/household'
let steps = 31900
const counted: typeof stepVessel = (...a) => { steps++; stepVessel(...a) }
for (let pass = 0; pass < 4; pass++) for (const c of STARTER_DISHES.filter((_, i) => i % 6 === 0)) {
  const u = seededRandom(5)
  const o = drawOccasion(stageDish(c), u)
  const t0 = performance.now(); const p = planOf(o, [], 3); const tp = performance.now() - t0
  const program = { ...compileProgram(p, replay(p, []), 0) }
  const normals = fillNormal(new Float64Array(100 * MEMBER_NAMES.length), seededRandom(3))
  steps = 31900
  const t1 = performance.now(); const r = runEnsemble(program, beliefColumns(p.belief), normals); const ms = performance.now() - t1
  const ends = Array.from(r.ends).map(e => Math.min(e, program.mostS)).sort((a, b) => a - b)
  console.log(c.id.padEnd(28), 'plan', tp.toFixed(1), 'run', ms.toFixed(0), 'steps/member', steps / 100, 'ns/step', (ms * 1e6 / steps).toFixed(0), 'min median', (ends[50]! / 60).toFixed(0), 'p90', (ends[90]! / 60).toFixed(0), 'inf', r.ends.filter(e => !Number.isFinite(e)).length, 'most', program.mostS / 60)
}
