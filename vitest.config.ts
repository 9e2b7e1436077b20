import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    projects: [
      { test: { name: 'core', include: ['core/**/*.test.ts', 'bin/**/*.test.ts', 'standin/**/*.test.ts', 'demo/**/*.test.ts'], testTimeout: 120_000 } },
      { test: { name: 'server', include: ['tests/server/**/*.test.ts'], globalSetup: ['tests/server/setup.ts'], testTimeout: 60_000, hookTimeout: 120_000, fileParallelism: false } },
    ],
  },
})
