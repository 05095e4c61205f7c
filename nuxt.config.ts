import { readFileSync } from 'node:fs'
import { fusilisThemes } from './app/assets/themes'
import { useNuxt } from 'nuxt/kit'
import { workerScripts } from './bin/workerScripts.mjs'
import { SIGN_IN_HOURS } from './contract/signIns'

const { version } = JSON.parse(readFileSync(new URL('package.json', import.meta.url), 'utf8')) as { version: string }

/** What the Bench stands on is one file each: a tablet asks once for it, not for each of its parts. */
const CHUNKS: readonly (readonly [name: string, of: RegExp])[] = [
  ['vuetify', /node_modules\/vuetify\/lib\/components/],
  ['trade', /\/core\/(calendar|coupon|criteria|deposit|diagnosis|floor|grading|house|setup|statistics|trade|units)\//],
]
const chunkOf = (id: string) => CHUNKS.find(([, of]) => of.test(id))?.[0]

/** Charts are drawn in the browser alone: the library's second copy, for drawing them on a server, is left out. */
const NO_CHARTS = '\0no-server-charts'
const withoutServerCharts = {
  name: 'without-server-charts',
  enforce: 'pre' as const,
  resolveId: (id: string) => (/apexcharts\.ssr\.esm/.test(id) ? NO_CHARTS : null),
  load: (id: string) => (id === NO_CHARTS ? 'export default {}' : null),
}

/** Each build's page is its own. */
const BUILT = String(Date.now())

export default defineNuxtConfig({
  compatibilityDate: '2026-09-01',
  ssr: false,
  // The room's frame is painted with the first bytes, before the script has run.
  spaLoadingTemplate: 'spa-loading-template.html',
  srcDir: 'app/',
  telemetry: false,
  devtools: { enabled: false },
  modules: ['vuetify-nuxt-module', '@pinia/nuxt', 'nuxt-auth-utils', 'nuxt-security', '@vite-pwa/nuxt', '@nuxt/eslint'],
  // The application asks who is signed in by a route of its own.
  auth: { loadStrategy: 'none' },
  css: ['@fontsource-variable/inter/index.css', '~/assets/base.css', '~/assets/print.css'],
  components: [{ path: '~/components', pathPrefix: false }],
  app: {
    head: {
      htmlAttrs: { lang: 'en' },
      title: 'Fusilis',
      meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' }],
    },
  },
  runtimeConfig: {
    version,
    session: {
      // Another by its port, and secure where it is reached through TLS: said when the server is started.
      name: 'fusilis',
      maxAge: 60 * 60 * SIGN_IN_HOURS,
      password: '',
      cookie: { sameSite: 'lax', secure: false },
    },
  },
  nitro: {
    errorHandler: '~~/server/http/errorHandler.ts',
    compressPublicAssets: { gzip: true, brotli: true },
    virtual: workerScripts(['answers', 'fitCurves', 'passwords']),
    esbuild: { options: { target: 'node20' } },
  },
  experimental: {
    // A rail of rooms is always in sight: a room is fetched ahead when a hand is on its way there, not all at once.
    defaults: { nuxtLink: { prefetchOn: { visibility: false, interaction: true } } },
  },
  vuetify: {
    moduleOptions: { ssrClientHints: { reloadOnFirstRequest: false }, styles: true },
    vuetifyOptions: {
      icons: { defaultSet: 'mdi-svg' },
      theme: { defaultTheme: 'shop', themes: fusilisThemes },
      defaults: {
        VBtn: { height: 44, rounded: 'lg', style: 'text-transform: none; letter-spacing: 0' },
        VTextField: { variant: 'outlined', density: 'comfortable', color: 'primary' },
        VSelect: { variant: 'outlined', density: 'comfortable', color: 'primary' },
        VCombobox: { variant: 'outlined', density: 'comfortable', color: 'primary' },
        VAutocomplete: { variant: 'outlined', density: 'comfortable', color: 'primary' },
        VTextarea: { variant: 'outlined', density: 'comfortable', color: 'primary' },
      },
    },
  },
  // After one visit every room opens without a server, where the school serves through TLS (or on this machine).
  pwa: {
    strategies: 'injectManifest',
    srcDir: 'service-worker',
    filename: 'sw.ts',
    registerType: 'prompt',
    manifest: {
      name: 'Fusilis, a bench book',
      short_name: 'Fusilis',
      description: 'A welding instructor’s bench book',
      display: 'standalone',
      start_url: '/',
      background_color: '#eceeee',
      theme_color: '#20282c',
      icons: [
        { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
        { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
        { src: '/icon-maskable.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
      ],
    },
    // Tablets lie open all day: they look for a newer version by themselves.
    client: { periodicSyncForUpdates: 3600 },
    injectManifest: {
      globPatterns: ['**/*.{js,css,woff2,svg,png}'],
      // What prints is some megabytes that most classes never ask for: kept from its first use on.
      manifestTransforms: [entries => ({ manifest: entries.filter(part => part.size < 700_000) })],
      additionalManifestEntries: [{ url: '/', revision: BUILT }],
    },
  },
  security: {
    rateLimiter: false,
    requestSizeLimiter: false,
    xssValidator: false,
    corsHandler: false,
    headers: {
      crossOriginEmbedderPolicy: false,
      xFrameOptions: 'DENY',
      strictTransportSecurity: false,
      contentSecurityPolicy: {
        'default-src': [`'self'`],
        'img-src': [`'self'`, 'data:', 'blob:'],
        'font-src': [`'self'`, 'data:'],
        'style-src': [`'self'`, `'unsafe-inline'`],
        // The solver of cutting plans is WebAssembly; nothing else is evaluated.
        'script-src': [`'self'`, `'nonce-{{nonce}}'`, `'wasm-unsafe-eval'`],
        'worker-src': [`'self'`, 'blob:'],
        'connect-src': [`'self'`],
        'object-src': [`'none'`],
        'base-uri': [`'none'`],
        'frame-ancestors': [`'none'`],
        'form-action': [`'self'`],
        'upgrade-insecure-requests': false,
      },
    },
  },
  vite: {
    plugins: [withoutServerCharts],
    build: {
      target: 'es2022',
      cssCodeSplit: false,
      rollupOptions: {
        // Nuxt's builder is Rollup; the types that are found first are those of another bundler, without this option.
        output: {
          experimentalMinChunkSize: 20_000,
          manualChunks: chunkOf,
        } as object,
      },
    },
  },
  hooks: {
    // A route that is not declared under server/api/ is none of ours: sessions are asked for and ended there.
    'modules:done': () => {
      const { options } = useNuxt()
      options.serverHandlers = options.serverHandlers.filter(({ route }) => !route?.startsWith('/api/'))
    },
    // A page's parts are fetched when it is opened: a tablet on the shop's network loads what it shows first.
    'build:manifest': manifest => {
      for (const part of Object.values(manifest)) {
        part.prefetch = false
        part.dynamicImports = []
      }
    },
  },
  // Drawings and states side by side, for the one who changes them; the school's build has no such page.
  $development: {
    hooks: {
      'pages:extend': pages => {
        pages.push({ name: 'gallery', path: '/gallery', file: '~/gallery/GalleryPage.vue' })
      },
    },
  },
  typescript: { strict: true, tsConfig: { compilerOptions: { noUncheckedIndexedAccess: true } } },
  eslint: { config: { stylistic: false } },
})
