import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

const inPages = {
  environment: 'happy-dom',
  server: { deps: { inline: ['element-plus'] } },
  testTimeout: 90_000,
  hookTimeout: 180_000,
  setupFiles: ['test/support/settled.ts', 'test/support/parts.ts', 'test/support/pinia.ts'],
}

export default defineConfig({
  test: {
    // Two cores: one worker would leave one of them idle.
    maxWorkers: 2,
    projects: [
      {
        test: {
          name: 'core',
          environment: 'node',
          include: ['{core,contracts,book,words,devices,cli,app/drawings}/**/*.test.ts'],
          // Pure functions: files of tests cannot disturb one another, and share what they import.
          isolate: false,
          testTimeout: 180_000,
          hookTimeout: 180_000,
        },
      },
      {
        test: {
          name: 'unit',
          environment: 'node',
          include: [
            '{workers,demo,app/clients,app/composables}/**/*.test.ts',
            'test/server/**/*.test.ts',
            'test/docs/**/*.test.ts',
            'test/model/**/*.test.ts',
          ],
          setupFiles: ['test/support/pinia.ts'],
          testTimeout: 180_000,
          hookTimeout: 180_000,
        },
      },
      {
        plugins: [vue()],
        test: {
          name: 'components',
          ...inPages,
          include: ['app/{components,stores}/**/*.test.ts'],
          exclude: ['**/*.alone.test.ts'],
          // Most of their time was the import of what they all share.
          isolate: false,
        },
      },
      {
        plugins: [vue()],
        test: {
          name: 'components alone',
          ...inPages,
          // These put something in the place of a module: nobody else may see it.
          include: ['app/{components,stores}/**/*.alone.test.ts'],
        },
      },
    ],
  },
})
