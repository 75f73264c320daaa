import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { build as bundled } from 'esbuild'
import { fileURLToPath } from 'node:url'
import { filesOfPages, type PageFiles } from './scripts/filesOfPages'

const { version } = JSON.parse(readFileSync(new URL('./package.json', import.meta.url), 'utf8')) as { version: string }
const buildId = `${version}-${Date.now()}`

/** What the parts' package brings is a layer beneath: every rule of ours stands above it, whatever its weight. */
const partsBeneath = {
  name: 'parts-beneath',
  enforce: 'pre' as const,
  transform: (code: string, id: string) =>
    /element-plus\/theme-chalk\/[^?]*\.css/.test(id)
      ? { code: `@layer parts{${code.replace('@charset "UTF-8";', '')}}`, map: null }
      : null,
}

/** Known once the client is built, wanted when the server is. */
let pageFiles: PageFiles[] = []

export default defineNuxtConfig({
  compatibilityDate: '2026-01-01',
  // Without it the development server of a client-only page finds no entry (Nuxt 4.4.5).
  $development: { experimental: { viteEnvironmentApi: true } },
  // The built server stands behind a door of its own; the development server listens to this machine alone.
  $production: { nitro: { entry: fileURLToPath(new URL('./server/entry.ts', import.meta.url)) } },
  buildDir: process.env.HEARTH_BUILDING ?? '.nuxt',
  ssr: false,
  telemetry: false,
  devtools: { enabled: false },
  sourcemap: false,
  imports: { scan: false },
  components: { dirs: [] },
  pinia: { storesDirs: [] },
  modules: ['@pinia/nuxt', '@element-plus/nuxt', '@vite-pwa/nuxt', 'nuxt-security', '@nuxt/eslint'],
  css: ['~/assets/fonts.css', '~/assets/hearth.css', '~/assets/element.css'],
  elementPlus: { importStyle: 'css', icon: false, themes: [] },
  app: {
    head: {
      title: 'Yon Hearth',
      htmlAttrs: { lang: 'en' },
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1, viewport-fit=cover' },
        { name: 'description', content: 'A forecast at the stove for home halwa makers.' },
        { name: 'theme-color', content: '#e9eef1' },
      ],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/mark.svg' }],
    },
    pageTransition: false,
    layoutTransition: false,
  },
  spaLoadingTemplate: 'spa-loading-template.html',
  experimental: {
    payloadExtraction: false,
    appManifest: false,
    // The offline shell keeps every chunk after the first visit; the first view need not carry them all.
    defaults: { nuxtLink: { prefetch: false } },
  },
  vite: {
    plugins: [partsBeneath],
    worker: { format: 'es' },
    // Small files that are asked for together travel together: forty of them cost the first view more than their bytes.
    build: { target: 'es2022', assetsInlineLimit: 0, rollupOptions: { output: { experimentalMinChunkSize: 8_000 } } },
  },
  typescript: {
    strict: true,
    tsConfig: { compilerOptions: { noUncheckedIndexedAccess: true }, references: [{ path: '../core/day/solver' }] },
    nodeTsConfig: { compilerOptions: { noUncheckedIndexedAccess: true } },
  },
  hooks: {
    // What is asked for only when it is wanted is not fetched beside the first view; the offline shell brings it
    // afterwards.
    'build:manifest': (manifest) => {
      for (const part of Object.values(manifest)) {
        part.prefetch = false
        part.dynamicImports = []
      }
      pageFiles = filesOfPages(manifest)
    },
    // Every route of the build, for the walk around the house: a new one that nobody looks at is found.
    'nitro:init': (nitro) => {
      nitro.options.virtual['#page-files'] = () => `export const PAGE_FILES = ${JSON.stringify(pageFiles)}`
      nitro.hooks.hook('compiled', () => {
        const routes = [...nitro.options.handlers, ...nitro.scannedHandlers]
          .filter(one => !one.middleware && one.route)
          .map(({ route, method }) => ({ route, method: method ?? 'all' }))
        writeFileSync(join(nitro.options.output.serverDir, 'routes.json'), JSON.stringify(routes, null, 1))
        // The program that works beside the server, in a bundle of its own.
        return bundled({
          entryPoints: [fileURLToPath(new URL('./server/aside.ts', import.meta.url))],
          outfile: join(nitro.options.output.serverDir, 'aside.mjs'),
          bundle: true,
          platform: 'node',
          format: 'esm',
          target: 'node20',
          external: ['sqlite3', 'sequelize'],
          minifySyntax: true,
          logLevel: 'error',
          banner: {
            js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);",
          },
        }).then(() => undefined)
      })
    },
  },
  nitro: {
    compressPublicAssets: { gzip: true },
    // Hundreds of small files are a second of every start: all but the database's own packages go into the bundle.
    externals: {
      inline: [
        'zod',
        'culori',
        'luxon',
        'vue',
        '@vue',
        'unhead',
        'hookable',
        'devalue',
        'ufo',
        'entities',
        'estree-walker',
        'vue-bundle-renderer',
        'ical-generator',
        'hash-wasm',
      ],
    },
    imports: false,
    errorHandler: '~~/server/http/errorHandler.ts',
    typescript: { tsConfig: { compilerOptions: { noUncheckedIndexedAccess: true }, references: [{ path: '../core/day/solver' }] } },
  },
  security: {
    nonce: true,
    sri: true,
    rateLimiter: false,
    corsHandler: false,
    requestSizeLimiter: false,
    xssValidator: false,
    allowedMethodsRestricter: false,
    headers: {
      strictTransportSecurity: false,
      crossOriginEmbedderPolicy: 'unsafe-none',
      // Over plain http browsers pass it over with an error in the console.
      crossOriginOpenerPolicy: false,
      contentSecurityPolicy: {
        'default-src': ["'none'"],
        'base-uri': ["'none'"],
        'connect-src': ["'self'"],
        'font-src': ["'self'"],
        'form-action': ["'self'"],
        'frame-ancestors': ["'none'"],
        'img-src': ["'self'", 'data:'],
        'manifest-src': ["'self'"],
        'object-src': ["'none'"],
        'script-src': ["'self'", "'nonce-{{nonce}}'"],
        'script-src-attr': ["'none'"],
        'style-src': ["'self'", "'nonce-{{nonce}}'"],
        'style-src-attr': ["'none'"],
        'worker-src': ["'self'"],
        'upgrade-insecure-requests': false,
      },
    },
  },
  routeRules: {
    '/_nuxt/**': {
      headers: { 'content-security-policy': "default-src 'none'; script-src 'self'; connect-src 'self'" },
    },
  },
  pwa: {
    registerType: 'prompt',
    manifest: {
      name: 'Yon Hearth', short_name: 'Hearth', description: 'A forecast at the stove for home halwa makers.',
      theme_color: '#e9eef1', background_color: '#e9eef1', display: 'standalone', start_url: '/',
      icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml' }],
    },
    workbox: {
      globPatterns: ['**/*.{js,css,woff2,svg}'],
      globIgnores: ['**/*devanagari*', '**/*tamil*', '**/*vietnamese*', '**/*latin-ext*'],
      navigateFallback: '/',
      navigateFallbackDenylist: [/^\/api\//],
      additionalManifestEntries: [{ url: '/', revision: buildId }],
    },
  },
})
