// Generated requests at every route of the build: node scripts/run.mjs scripts/fuzz.ts [requests, default 50000] [seed,
// default 1]
import { fuzz } from '../test/support/fuzzing'

const [count, seed] = [Number(process.argv[2] ?? 50_000), Number(process.argv[3] ?? 1)]
if (!(Number.isInteger(count) && count > 0 && Number.isInteger(seed))) {
  console.error('Give a number of requests, and a seed. Nothing was started.')
  process.exit(1)
}
const began = Date.now()
const found = await fuzz(count, seed)
for (const line of found.wrong.slice(0, 40)) console.log(line)
console.log(
  `${found.requests} requests in ${Math.round((Date.now() - began) / 1000)} s (seed ${seed}): ${found.wrong.length} with 5xx or without an answer; memory ${found.memoryMb.join(' then ')} MB; integrity ${found.integrity}; ${JSON.stringify(found.statuses)}`,
)
process.exit(found.wrong.length === 0 && found.integrity === 'ok' ? 0 : 1)
