// How often the server may be killed: node scripts/run.mjs scripts/kills.ts [kills, default 300]
// Accelerated live cooks with observations arriving; after each kill every acknowledged one must be there once.
import { killAndCheck } from '../test/support/killing'

const kills = Number(process.argv[2] ?? 300)
if (!(Number.isInteger(kills) && kills > 0)) {
  console.error(`${process.argv[2]} is no number of kills. Nothing was started. Try: node scripts/run.mjs scripts/kills.ts 300`)
  process.exit(1)
}
const began = Date.now()
const found = await killAndCheck({ kills, cooks: 4, rate: 600, say: line => console.log(line) })
console.log(`${found.kills} kills in ${Math.round((Date.now() - began) / 1000)} s: ${found.acknowledged} acknowledged, ${found.lost} lost, ${found.doubled} doubled, integrity ok ${found.whole} of ${found.kills}`)
process.exit(found.lost + found.doubled === 0 && found.whole === found.kills ? 0 : 1)
