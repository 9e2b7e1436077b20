import { defineConfig } from 'drizzle-kit'

export default defineConfig({
  dialect: 'postgresql',
  schema: ['./server/db/accounts.ts', './server/db/schema.ts', './server/db/plan.ts', './server/db/recordings.ts'],
  out: './server/db/migrations',
  entities: { roles: true },
})
