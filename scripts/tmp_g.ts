import { STARTER_DISHES } from '../book/dishes'
import { stageDish } from '../core/dish/stageDish'
import { stepVessel } from '../core/forecast/stepVessel'
import { seededRandom } from '../core/random/seededRandom'
import { drawOccasion } from '../cli/judge/household'
import { judgeCook } from '../cli/judge/judgeCook'
import { withUsualMinutes } from '../cli/judge/usualOf'
for (const card of STARTER_DISHES.filter(c => c.family === process.argv[2])) {
  const dish = withUsualMinutes(stageDish(card), stepVessel, 77)
  const v = []
  for (let i = 0; i < 40; i++) { const u = seededRandom(3000 + i); const x = judgeCook(drawOccasion(dish, u), stepVessel, Number(process.argv[3]), 500 + i, false, u); if (x) v.push(...x.held) }
  for (const s of ['none', 'boil', 'boilTwoTaps']) for (const of of ['roast', 'dish']) { const h = v.filter(x => x.state === s && x.of === of); if (h.length) console.log(card.id.padEnd(22), s.padEnd(11), of, h.length, 'held', (h.filter(x => x.held).length / h.length).toFixed(2), 'late', (h.filter(x => !x.held && x.off > 0).length / h.length).toFixed(2), 'early', (h.filter(x => !x.held && x.off < 0).length / h.length).toFixed(2), 'bias', (h.reduce((a, x) => a + x.off, 0) / h.length).toFixed(2)) }
}
