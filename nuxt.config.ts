export default defineNuxtConfig({
  compatibilityDate: '2026-01-01',
  modules: ['@pinia/nuxt', '@element-plus/nuxt', '@nuxt/eslint', 'nuxt-security'],
  ssr: false,
  imports: { presets: [{ from: '@vueuse/core', imports: ['useDebounceFn', 'watchDebounced'] }] },
  telemetry: false,
  devtools: { enabled: false },
  css: ['@fontsource-variable/atkinson-hyperlegible-next/index.css', '@fontsource-variable/atkinson-hyperlegible-mono/index.css', '@fontsource-variable/literata/index.css', '~/theme/theme.css'],
  app: { head: { title: 'Agonis', htmlAttrs: { lang: 'en' }, meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }] } },
  typescript: { strict: true },
  eslint: { config: { stylistic: { indent: 2, quotes: 'single', semi: false } } },
  security: {
    strict: false,
    rateLimiter: false, requestSizeLimiter: false, xssValidator: false, corsHandler: false, allowedMethodsRestricter: false,
    headers: {
      strictTransportSecurity: false, crossOriginEmbedderPolicy: false, originAgentCluster: false,
      contentSecurityPolicy: {
        'default-src': ['\'self\''], 'script-src': ['\'self\'', '\'nonce-{{nonce}}\''], 'style-src': ['\'self\'', '\'unsafe-inline\''],
        'img-src': ['\'self\'', 'data:'], 'font-src': ['\'self\'', 'data:'], 'connect-src': ['\'self\''], 'worker-src': ['\'self\'', 'blob:'],
        'frame-ancestors': ['\'none\''], 'base-uri': ['\'none\''], 'form-action': ['\'self\''], 'upgrade-insecure-requests': false,
      },
    },
  },
  nitro: { preset: 'node-server' },
  vite: { build: { chunkSizeWarningLimit: 2000 } },
})
