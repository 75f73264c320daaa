// npm start: one's own house, empty at first.
import { join } from 'node:path'
import { ensureBuilt, ensureInstalled, ROOT, serve } from './house.mjs'

ensureInstalled()
ensureBuilt()
await serve(process.env.HEARTH_DATA ?? join(ROOT, '.data', 'house'), { title: 'Yon Hearth', command: 'start' })
