// npm run structure [folder of a project]: the layers of the core and what each may see, as they stand.
import { describeStructure } from './structureOf'

const root = process.argv[2] ?? '.'
const { folders, layers, circles } = await describeStructure(root)
for (const { name, files, lines, uses } of layers)
  console.log(
    `${name.padEnd(12)} ${String(files).padStart(4)} files ${String(lines).padStart(6)} lines   uses ${uses.join(', ') || 'nothing'}`,
  )
console.log()
for (const { name, files, lines, uses } of folders)
  console.log(
    `  ${name.padEnd(26)} ${String(files).padStart(3)} files ${String(lines).padStart(5)} lines -> ${uses.join(' ') || '-'}`,
  )
console.log(
  `\ncircles of folders: ${circles.folders.length}${circles.folders.map(one => `\n  ${one.join(' ')}`).join('')}`,
)
console.log(`circles of files: ${circles.files.length}${circles.files.map(one => `\n  ${one.join(' ')}`).join('')}`)
