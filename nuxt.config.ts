export default defineNuxtConfig({
  modules: ['@pinia/nuxt', '@element-plus/nuxt', '@nuxt/eslint', 'nuxt-security'],
  ssr: false,
  imports: { presets: [{ from: '@vueuse/core', imports: ['useDebounceFn', 'watchDebounced'] }] },
  devtools: { enabled: false },
  app: { head: { title: 'Agonis', htmlAttrs: { lang: 'en' }, meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }] } },
  css: ['@fontsource-variable/atkinson-hyperlegible-next/index.css', '@fontsource-variable/atkinson-hyperlegible-mono/index.css', '@fontsource-variable/literata/index.css', '~/theme/theme.css'],
  compatibilityDate: '2026-01-01',
  nitro: { preset: 'node-server' },
  vite: { build: { chunkSizeWarningLimit: 2000 } },
  typescript: { strict: true },
  telemetry: false,
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
})
