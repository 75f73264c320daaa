// How often the server may be killed: node scripts/run.mjs scripts/kills.ts [kills in all, default 500]
// Killed while marks, finishes, days, shelves, restores, backups, copies and migrations are under way; afterwards
// everything that was
// acknowledged must be there once, whole, on disk, by what the server answers and in the ledger.
import { KILLED_IN } from '../test/support/killing/house'
import { killAndCheck } from '../test/support/killing/killAndCheck'

const kills = Number(process.argv[2] ?? 500)
if (!(Number.isInteger(kills) && kills > 0)) {
  console.error(
    `${process.argv[2]} is no number of kills. Nothing was started. Try: node scripts/run.mjs scripts/kills.ts 500`,
  )
  process.exit(1)
}
const began = Date.now()
const each = Math.ceil(kills / KILLED_IN.length)
const found = await killAndCheck({ kills: each, cooks: 4, rate: 600, say: line => console.log(line) })
console.log(
  `${found.kills} kills in ${Math.round((Date.now() - began) / 1000)} s: ${found.acknowledged} acknowledged, ${found.lost} lost, ${found.doubled} doubled, ${found.half} half, integrity ok ${found.whole} of ${found.kills}, longest start ${Math.round(found.longestStartMs)} ms`,
)
process.exit(found.lost + found.doubled + found.half === 0 && found.whole === found.kills ? 0 : 1)
