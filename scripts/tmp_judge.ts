import { judgeSlice } from '../cli/judge/slice'
const famOnly = process.argv[5]
const [world, n, members] = [process.argv[2] as any, Number(process.argv[3]), Number(process.argv[4])]
const t = performance.now()
const v = judgeSlice({ world, from: 0, to: n, members, only: famOnly } as any)
console.log(world, v.length, 'of', n, 's', ((performance.now() - t) / 1000).toFixed(1), 'ms per cook', ((performance.now() - t) / n).toFixed(0))
const med = (a: number[]) => a.sort((p, q) => p - q)[Math.floor(a.length / 2)]
const all = v.flatMap(x => x.held)
for (const state of ['none', 'boil', 'boilAroma', 'boilTwoTaps', 'first', 'afterOne']) for (const of of ['roast', 'dish', 'weight', null]) {
  const h = all.filter(x => x.state === state && (of === null ? x.of !== 'weight' : x.of === of))
  if (h.length) console.log(state.padEnd(12), String(of).padEnd(7), h.length, 'held', (h.filter(x => x.held).length / h.length * 100).toFixed(1), 'width', med(h.map(x => x.width))!.toFixed(3), 'eff', med(h.map(x => x.effective))!.toFixed(2), 'eff10', h.map(x => x.effective).sort((p, q) => p - q)[Math.floor(h.length / 10)]!.toFixed(2))
}
for (const of of ['roast', 'wet']) { const r = v.flatMap(x => x.rivalry).filter(x => x.of === of); if (r.length) console.log(of, r.length, Object.fromEntries((['ours', 'oursFirst', 'same', 'scaled'] as const).map(k => [k, med(r.map(x => x[k]))!.toFixed(3)]))) }
const fams = [...new Set(all.map(x => x.family))]
for (const f of fams) console.log(f.padEnd(14), ['none', 'boil', 'boilAroma', 'boilTwoTaps'].map(s => { const h = all.filter(x => x.family === f && x.state === s && x.of !== 'weight'); return h.length + ':' + (h.filter(x => x.held).length / h.length * 100).toFixed(0) + '/' + (med(h.map(x => x.width)) ?? NaN).toFixed(2) + '/' + (h.reduce((s, x) => s + x.off, 0) / h.length).toFixed(2) }).join('  '))
console.log('roast median min', (med(v.flatMap(x => x.roastEndS === null ? [] : [x.roastEndS]))! / 60).toFixed(2))
