const shell = '/desk'

/** What every answer says to a browser, whether a page, a file, a route or a refusal. */
const sameOnEveryAnswer = {
  'x-frame-options': 'DENY',
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'cross-origin-resource-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
}

export default defineNuxtConfig({
  modules: ['@pinia/nuxt', '@element-plus/nuxt', '@nuxt/eslint', 'nuxt-security', '@vite-pwa/nuxt'],
  ssr: false,
  imports: { presets: [{ from: '@vueuse/core', imports: ['useDebounceFn', 'useEventListener', 'useFileDialog', 'watchDebounced'] }] },
  devtools: { enabled: false },
  app: {
    head: { title: 'Agonis', htmlAttrs: { lang: 'en' }, meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }] },
  },
  css: [
    '@fontsource-variable/atkinson-hyperlegible-next/index.css',
    '@fontsource-variable/atkinson-hyperlegible-mono/index.css',
    '@fontsource-variable/literata/index.css',
    '~/theme/theme.css',
  ],
  compatibilityDate: '2026-01-01',
  nitro: { preset: 'node-server' },
  /** What every answer says, and rooms under the names they had before. */
  routeRules: {
    '/**': { headers: sameOnEveryAnswer },
    '/api/**': { headers: { 'content-security-policy': "default-src 'none'; frame-ancestors 'none'" } },
    '/wrist': { redirect: '/watches' },
    '/reckoner': { redirect: '/calculator' },
    '/watch': { redirect: '/standin' },
    '/watch/**': { redirect: '/standin/**' },
  },
  vite: { build: { chunkSizeWarningLimit: 2000 } },
  hooks: {
    /** Trap: the builder asks for an entry of the server while the pages are reloaded in development, where there is none without it. */
    'vite:extendConfig': (config, { isClient }) => {
      const input = config.build?.rollupOptions?.input
      const entry = typeof input === 'object' && !Array.isArray(input) ? input.entry : undefined
      if (isClient && entry && process.env.NODE_ENV === 'development')
        Object.assign(config, { environments: { ...config.environments, ssr: { build: { rollupOptions: { input: { server: entry } } } } } })
    },
  },
  typescript: { strict: true },
  telemetry: false,
  eslint: { config: { stylistic: false } },
  pwa: {
    registerType: 'autoUpdate',
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
      maximumFileSizeToCacheInBytes: 8_000_000,
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
            plugins: [{ handlerDidError: async () => caches.match('/desk', { ignoreSearch: true }) }],
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
