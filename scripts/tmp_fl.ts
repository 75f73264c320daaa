import { starterPlan, examplePlan } from '../test/support/plans'
import { planFlames } from '../core/flame/planFlames'
for (const [id, step, pat] of [['sweet-water-semolina', 'golden', 900], ['sweet-water-semolina', 'deep-golden', 500], ['blue-door-gram', 'golden', 1200], ['brick-kiln-wheat', 'deep-golden', 1500], ['milk-morning-semolina', 'aroma', 600]] as const) {
  const plan = starterPlan(id)
  const t = performance.now(); let first = 0
  const p = planFlames(plan, { step, patienceS: pat, risk: 0.02 }, () => { first ||= performance.now() - t })
  const say = (s: any) => s && s.turns.map((x: any) => x.cue + ':' + x.mark).join(' ') + ' ' + [s.lastsS.early, s.lastsS.middle, s.lastsS.late].map((x: number) => (x / 60).toFixed(1)).join('-') + ' reach ' + s.reaches.toFixed(3) + ' burn ' + s.burns.toFixed(3) + ' inTime ' + s.inTime.toFixed(2)
  console.log(id, step, pat, 'first', first.toFixed(0), 'all', (performance.now() - t).toFixed(0), p.met, p.tried, '\n  ', say(p.advised), '\n   safer', say(p.safer), '\n   quicker', say(p.quicker))
}
