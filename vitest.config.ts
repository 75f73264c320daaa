import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

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
          testTimeout: 60_000,
        },
      },
      {
        test: {
          name: 'unit',
          environment: 'node',
          include: ['{workers,demo,app/composables}/**/*.test.ts', 'test/server/**/*.test.ts', 'test/docs/**/*.test.ts', 'test/model/**/*.test.ts'],
          testTimeout: 60_000,
        },
      },
      {
        plugins: [vue()],
        test: {
          name: 'components',
          environment: 'happy-dom',
          include: ['app/components/**/*.test.ts', 'app/stores/**/*.test.ts'],
          server: { deps: { inline: ['element-plus'] } },
          testTimeout: 30_000,
        },
      },
    ],
  },
})
