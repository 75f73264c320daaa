import vue from '@vitejs/plugin-vue'
import { join, relative } from 'node:path'
import { build } from 'esbuild'
import type { Plugin } from 'vite'
import { defineConfig } from 'vitest/config'
import { BaseSequencer, type TestSpecification } from 'vitest/node'

const TOGETHER = 'test-results/together'
/**
 * Puts each file of tests together with what it imports of the house and hands it to Node as it is: a call from one
 * module to another otherwise goes through a namespace, which in the loops of the laws takes longer than the laws.
 */
const together: Plugin = {
  name: 'tests-together',
  enforce: 'pre',
  async load(id) {
    const [file = ''] = id.split('?')
    if (!file.endsWith('.test.ts')) return null
    const outfile = join(process.cwd(), TOGETHER, `${relative(process.cwd(), file)}.mjs`)
    const { metafile } = await build({
      entryPoints: [file],
      outfile,
      bundle: true,
      format: 'esm',
      platform: 'node',
      packages: 'external',
      sourcemap: 'inline',
      metafile: true,
      logLevel: 'silent',
    })
    for (const input of Object.keys(metafile.inputs)) this.addWatchFile(input)
    return `import ${JSON.stringify(outfile)}`
  },
}

/**
 * Files that judge the laws take longest and are short: by their length, which is all that a fresh house knows of them,
 * they would be the last ones running, alone.
 */
class LongestFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const sorted = await super.sort(files)
    const judges = ({ moduleId }: TestSpecification): boolean => moduleId.includes('/test/model/')
    return [...sorted.filter(judges), ...sorted.filter(one => !judges(one))]
  }
}

const inNode = { environment: 'node', testTimeout: 180_000, hookTimeout: 180_000 } as const
/** Where tests are put together. */
const togetherInNode = { ...inNode, server: { deps: { external: [new RegExp(TOGETHER)] } } }
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
    sequence: { sequencer: LongestFirst },
    projects: [
      {
        plugins: [together],
        test: {
          name: 'core',
          ...togetherInNode,
          include: ['{core,contracts,book,words,devices,cli,demo,app/drawings}/**/*.test.ts'],
          // Pure functions: files of tests cannot disturb one another, and share what they import.
          isolate: false,
        },
      },
      {
        test: {
          name: 'unit',
          ...inNode,
          include: ['{workers,app/clients,app/composables}/**/*.test.ts', 'test/model/**/*.test.ts'],
          setupFiles: ['test/support/pinia.ts'],
        },
      },
      {
        plugins: [together],
        test: {
          name: 'server',
          ...togetherInNode,
          include: ['test/{server,docs}/**/*.test.ts'],
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
