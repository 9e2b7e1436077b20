import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const alias = { '~~': fileURLToPath(new URL('.', import.meta.url)).replace(/\/$/, ''), '~': fileURLToPath(new URL('app', import.meta.url)) }

export default defineConfig({
  test: {
    projects: [
      {
        resolve: { alias },
        test: {
          name: 'core',
          include: [
            'core/**/*.test.ts',
            'bin/**/*.test.ts',
            'tests/corpus/**/*.test.ts',
            'tests/whole/**/*.test.ts',
            'standin/**/*.test.ts',
            'demo/**/*.test.ts',
            'app/**/*.test.ts',
          ],
          setupFiles: ['tests/support/laws.ts'],
          testTimeout: 120_000,
        },
      },
      { test: { name: 'long', include: ['tests/long/**/*.test.ts'], testTimeout: 120_000 } },
      {
        test: {
          name: 'server',
          include: ['tests/server/**/*.test.ts'],
          globalSetup: ['tests/server/setup.ts'],
          setupFiles: ['tests/support/laws.ts'],
          testTimeout: 60_000,
          hookTimeout: 120_000,
          fileParallelism: false,
        },
      },
    ],
  },
})
