// npm run dev: the development server over its own database.
import { join } from 'node:path'
import { ensureInstalled, must, ROOT, tool } from './house.mjs'

ensureInstalled()
must(tool('nuxt'), ['dev', '--host', process.env.HOST ?? '127.0.0.1', '--port', process.env.PORT ?? '3000'], {
  HEARTH_DATA: process.env.HEARTH_DATA ?? join(ROOT, '.data', 'dev'),
})
