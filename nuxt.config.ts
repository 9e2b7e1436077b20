import { relative } from 'node:path'
import { fileURLToPath } from 'node:url'
import application from './package.json'
import { offlineFiles } from './scripts/parts'
import { textsByPart } from './scripts/texts'

/** The page that opens where the server is away: no room's own, so that every room can grow from it. */
const shell = '/shell'

/** What every answer says to a browser, whether a page, a file, a route or a refusal. */
const sameOnEveryAnswer = {
  'x-frame-options': 'DENY',
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'cross-origin-resource-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
}

const source = fileURLToPath(new URL('app', import.meta.url))

/** Leaves the rooms themselves out of the server's build: it names them, and nothing of theirs runs there. */
const roomsWithoutServer = {
  name: 'rooms-without-server',
  enforce: 'pre' as const,
  load: (id: string) => (id.startsWith(`${source}/pages/`) && id.endsWith('.vue') ? '<template><div /></template>' : undefined),
}

/** Which file of the browser's build each room is in, by the room's source. */
const fileOfRoom = new Map<string, string>()

const notingRooms = {
  name: 'noting-rooms',
  generateBundle(_options: unknown, bundle: Record<string, { fileName: string; moduleIds?: string[] }>) {
    for (const { fileName, moduleIds = [] } of Object.values(bundle))
      for (const id of moduleIds)
        if (id.startsWith(`${source}/pages/`) && id.endsWith('.vue')) fileOfRoom.set(relative(source, id), fileName)
  },
}

/** What the service worker keeps ahead: known once the browser's part is built. */
let keptAhead = new Set<string>()

export default defineNuxtConfig({
  modules: ['@pinia/nuxt', '@element-plus/nuxt', '@nuxt/eslint', 'nuxt-security', '@vite-pwa/nuxt'],
  imports: {
    presets: [
      {
        from: '@vueuse/core',
        imports: [
          'useClipboard',
          'useDebounceFn',
          'useDropZone',
          'useEventListener',
          'useEventSource',
          'useFileDialog',
          'useLocalStorage',
          'useSessionStorage',
          'useWakeLock',
          'watchDebounced',
        ],
      },
    ],
  },
  devtools: { enabled: false },
  app: {
    head: {
      title: 'Agonis',
      htmlAttrs: { lang: 'en' },
      meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1, interactive-widget=resizes-content' }],
    },
  },
  css: ['~/theme/theme.css'],
  compatibilityDate: '2026-01-01',
  nitro: { preset: 'node-server', compressPublicAssets: { gzip: true, brotli: true } },
  /** The styles of what the server draws come with it. */
  features: { inlineStyles: id => !id?.includes('/pages/') },
  /** What every answer says, and rooms under the names they had before. */
  routeRules: {
    '/**': { headers: sameOnEveryAnswer },
    '/api/**': { headers: { 'content-security-policy': "default-src 'none'; frame-ancestors 'none'" } },
    '/': { redirect: '/today' },
    [shell]: { ssr: false },
    '/wrist': { redirect: '/watches' },
    '/reckoner': { redirect: '/calculator' },
    '/watch': { redirect: '/standin' },
    '/watch/**': { redirect: '/standin/**' },
  },
  vite: {
    resolve: { alias: { '@ctrl/tinycolor': fileURLToPath(new URL('app/theme/no-colours.ts', import.meta.url)) } },
    plugins: [textsByPart(source)],
    build: { chunkSizeWarningLimit: 2000 },
    $client: {
      build: {
        rollupOptions: {
          output: {
            /** Many small files cost a slow line more than one of their size. */
            experimentalMinChunkSize: 6_000,
            /** Trap: small pieces that every room needs would be put in with what few need. */
            manualChunks: id => (id.includes('node_modules/uqr/') ? 'code-picture' : undefined),
          },
        },
      },
    },
  },
  hooks: {
    /** A room is drawn in the browser; the server says its name and what it is about, and which part of the build it is. */
    'pages:extend': pages => {
      for (const page of pages) page.meta = { ...page.meta, part: relative(source, page.file!) }
    },
    'build:manifest': manifest => {
      /** Trap: a room whose file others lean on too stands there by the file's name, not by the room's. */
      const parts = Object.values(manifest)
      for (const [room, name] of fileOfRoom) manifest[room] ??= { ...parts.find(({ file }) => `_nuxt/${file}` === name)! }
      keptAhead = offlineFiles(manifest)
      for (const part of Object.values(manifest)) part.prefetch = false
    },
    /** Trap: the builder asks for an entry of the server while the pages are reloaded in development, where there is none without it. */
    'vite:extendConfig': (config, { isClient, isServer }) => {
      if (isServer) config.plugins?.push(roomsWithoutServer)
      if (isClient) config.plugins?.push(notingRooms)
      const input = config.build?.rollupOptions?.input
      const entry = typeof input === 'object' && !Array.isArray(input) ? input.entry : undefined
      if (isClient && entry && process.env.NODE_ENV === 'development')
        Object.assign(config, { environments: { ...config.environments, ssr: { build: { rollupOptions: { input: { server: entry } } } } } })
    },
  },
  runtimeConfig: { public: { version: application.version } },
  typescript: { strict: true },
  telemetry: false,
  /** No room fetches another's. */
  experimental: { appManifest: false, payloadExtraction: false, defaults: { nuxtLink: { prefetch: false } } },
  eslint: { config: { stylistic: false } },
  pwa: {
    registerType: 'autoUpdate',
    client: { registerPlugin: false },
    manifest: {
      name: 'Agonis',
      short_name: 'Agonis',
      description: 'Your session on the wrist or on this phone.',
      lang: 'en',
      start_url: '/phone',
      scope: '/',
      display: 'standalone',
      background_color: '#14110f',
      theme_color: '#1F1B18',
      icons: [
        { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
        { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any maskable' },
      ],
    },
    workbox: {
      globPatterns: ['**/*.{js,css,woff2}', 'icon-*.png'],
      manifestTransforms: [
        async entries => ({
          manifest: entries.filter(
            ({ url }) => !url.startsWith('_nuxt/') || /worker/.test(url) || keptAhead.has(url.slice('_nuxt/'.length)),
          ),
          warnings: [],
        }),
      ],
      /** The one page that every room is: it opens where the server is away, of this build and no other. */
      additionalManifestEntries: [{ url: shell, revision: String(Date.now()) }],
      navigateFallback: null,
      cleanupOutdatedCaches: true,
      clientsClaim: true,
      skipWaiting: true,
      runtimeCaching: [
        {
          urlPattern: ({ request }) => request.mode === 'navigate',
          handler: 'NetworkFirst',
          options: {
            cacheName: 'pages',
            networkTimeoutSeconds: 4,
            plugins: [{ handlerDidError: async () => caches.match('/shell', { ignoreSearch: true }) }],
          },
        },
      ],
    },
  },
  security: {
    strict: false,
    rateLimiter: false,
    requestSizeLimiter: false,
    xssValidator: false,
    corsHandler: false,
    allowedMethodsRestricter: false,
    headers: {
      strictTransportSecurity: false,
      xFrameOptions: 'DENY',
      crossOriginEmbedderPolicy: false,
      originAgentCluster: false,
      permissionsPolicy: { 'camera': [], 'display-capture': [], 'microphone': [], 'geolocation': ['self'], 'screen-wake-lock': ['self'] },
      contentSecurityPolicy: {
        'default-src': ["'self'"],
        'script-src': ["'self'", "'nonce-{{nonce}}'"],
        'style-src': ["'self'", "'unsafe-inline'"],
        'img-src': ["'self'", 'data:'],
        'font-src': ["'self'", 'data:'],
        'connect-src': ["'self'"],
        'worker-src': ["'self'", 'blob:'],
        'frame-ancestors': ["'none'"],
        'base-uri': ["'none'"],
        'form-action': ["'self'"],
        'upgrade-insecure-requests': false,
      },
    },
  },
})
