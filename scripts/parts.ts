// npm run parts: what the interface is made of, and what is done by hand that a kept package does.
import { countParts } from './countParts'

const { native, parts, byHand } = countParts('.')
const uses = Object.entries(parts).sort(([, p], [, q]) => q - p)
console.log(`native controls: ${native.length}`)
for (const { tag, file, line } of native) console.log(`  <${tag}> ${file}:${line}`)
console.log(`parts of Element Plus: ${uses.length}, used ${uses.reduce((sum, [, count]) => sum + count, 0)} times`)
console.log(`  ${uses.map(([name, count]) => `${name} ${count}`).join(', ')}`)
for (const [what, places] of Object.entries(byHand))
  console.log(`${what} by hand: ${places.length}${places.map(place => `\n  ${place}`).join('')}`)
