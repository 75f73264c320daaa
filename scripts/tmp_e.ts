import { STARTER_DISHES } from '../book/dishes'
import { starterPlan } from '../test/support/plans'
import { compileProgram } from '../core/forecast/compileProgram'
import { replay } from '../core/live/replay'
import { beliefColumns, MEMBER_NAMES } from '../core/belief/memberValues'
import { runEnsemble } from '../core/forecast/runEnsemble'
import { fillNormal } from '../core/random/fillNormal'
import { seededRandom } from '../core/random/seededRandom'
const n = 6
const normals = fillNormal(new Float64Array(n * MEMBER_NAMES.length), seededRandom(3))
for (const factor of [1, 1.5, 2, 3]) {
  const errs: number[] = []; let worst = ''; let wv = 0
  for (const c of STARTER_DISHES) {
    const plan = starterPlan(c.id)
    const p = compileProgram(plan, replay(plan, []), 0)
    const at = (f: number) => runEnsemble({ ...p, stages: p.stages.map(s => ({ ...s, stepS: s.stepS * f })) }, beliefColumns(plan.belief), normals)
    const fine = at(0.05), coarse = at(factor)
    for (let i = 0; i < n; i++) for (const k of [...fine.starts.keys()].filter(k => Math.floor(k / fine.stages) === i)) { const a = fine.starts[k]!, b = coarse.starts[k]!; if (a > 60 && Number.isFinite(a)) { const e = Math.abs(b / a - 1); errs.push(e); if (e > wv) { wv = e; worst = c.id + ' ' + plan.dish.stages.filter(s => !s.meets && (s.phase ?? 'fire') === 'fire')[k % fine.stages]?.id + ' ' + a.toFixed(0) + ' ' + b.toFixed(0) } } }
  }
  errs.sort((a, b) => a - b)
  console.log(factor, 'median', errs[errs.length >> 1], 'p95', errs[Math.floor(errs.length * .95)], 'max', wv, worst)
}
