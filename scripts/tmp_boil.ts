import { readBoilCheck } from '../core/boil/readBoilCheck'
const base = { id: 'c', fire: { id: 'front', kind: 'gas' as const, mark: 'm3', watts: 450 }, pan: { id: 'p', massGuessed: false, vessel: { innerDiameterMm: 260, depthMm: 75, massG: 1300, material: 'steel' as const } }, lid: true, waterG: 1000, fromC: 25, boilS: 900, half: null, boiledOn: null, atBoilC: 98.5, airC: 26, altitudeM: 200, when: 0 }
const t = performance.now()
console.log(JSON.stringify(readBoilCheck(base), null, 1), performance.now() - t)
const r2 = readBoilCheck({ ...base, boiledOn: { seconds: 300, lostG: 45 }, half: { timeS: 400, tempC: 60 } })
console.log(JSON.stringify(r2.powerW), JSON.stringify(r2.lossW), JSON.stringify(r2.evidence))
