import { afterAll, vi } from 'vitest'

/** What a page reads when it needs it has come in before the next file of tests begins. */
afterAll(async () => {
  await vi.dynamicImportSettled()
})
