// npm run demo: installs and builds if needed, makes the demo house if it is not there, starts it.
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { ensureBuilt, ensureInstalled, must, ROOT, serve } from './house.mjs'

ensureInstalled()
ensureBuilt()
const folder = process.env.HEARTH_DATA ?? join(ROOT, '.data', 'demo')
if (!existsSync(join(folder, 'hearth.sqlite'))) {
  console.log('Cooking the demo batches …')
  must(process.execPath, [join(ROOT, 'scripts', 'run.mjs'), 'demo/makeDemo.ts', folder])
}
await serve(folder, { title: 'Yon Hearth, demo house', command: 'demo' })
