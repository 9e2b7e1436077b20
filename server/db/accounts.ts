/** Whom the server knows, and what every table of theirs has in common. */
import { sql } from 'drizzle-orm'
import { bigint, customType, integer, pgPolicy, pgRole, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core'

/**
 * What the plain role may do that the server enters by: it owns nothing, and row-level security binds it. The role itself is made
 * where the database is prepared, as a member of this one.
 */
export const appRole = pgRole('agonis_app')

export const bytea = customType<{ data: Uint8Array; driverData: Buffer }>({
  dataType: () => 'bytea',
  toDriver: value => Buffer.from(value),
})

export const owner = () =>
  uuid('owner_id')
    .notNull()
    .default(sql`current_setting('agonis.owner')::uuid`)
    .references(() => account.id, { onDelete: 'cascade' })
export const createdAt = () => timestamp('created_at', { withTimezone: true }).notNull().defaultNow()

/**
 * A row is seen and written only under its owner's name. The key of every table of theirs leads with the owner too, so that the rows
 * of one owner lie together, and a database parted by owner can hold them. Trap: where a reference is let go, only the column that
 * refers is emptied, never the owner, which the migrations say by hand.
 */
export const ownerPolicy = (table: string) =>
  pgPolicy(`${table}_by_owner`, {
    for: 'all',
    to: appRole,
    using: sql`owner_id = current_setting('agonis.owner', true)::uuid`,
    withCheck: sql`owner_id = current_setting('agonis.owner', true)::uuid`,
  })

/**
 * Who owns rows. The token that names an account is kept only as its digest. Whoever is not yet known to be an owner comes here by
 * the functions of the migrations alone: `account_of_token`, `open_account`, `erase_account`.
 */
export const account = pgTable(
  'account',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    name: text('name').notNull(),
    tokenDigest: text('token_digest').notNull().unique(),
    /** The name to sign in by, and the passphrase as scrypt made it; null where nobody signs in from elsewhere. */
    signInName: text('sign_in_name').unique(),
    passphrase: text('passphrase'),
    createdAt: createdAt(),
  },
  () => [pgPolicy('account_of_owner', { for: 'select', to: appRole, using: sql`id = current_setting('agonis.owner', true)::uuid` })],
)

/** A browser or phone that somebody is signed in with: it is known by a token, kept as its digest, until it is ended. */
export const device = pgTable(
  'device',
  {
    id: uuid('id').notNull().defaultRandom(),
    ownerId: owner(),
    name: text('name').notNull(),
    tokenDigest: text('token_digest').notNull().unique(),
    createdAt: createdAt(),
    seenAt: timestamp('seen_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [primaryKey({ columns: [table.ownerId, table.id] }), ownerPolicy('device')],
)

/** A key that lets somebody in once: its owner, or somebody who joins with an account of their own. */
export const invitation = pgTable(
  'invitation',
  {
    ownerId: owner(),
    keyDigest: text('key_digest').notNull().unique(),
    lets: text('lets').$type<'enter' | 'join'>().notNull(),
    until: timestamp('until', { withTimezone: true }).notNull(),
    createdAt: createdAt(),
  },
  table => [primaryKey({ columns: [table.ownerId, table.keyDigest] }), ownerPolicy('invitation')],
)

/** A key pair in a device of the athlete that they sign in by instead of a passphrase; only its public half is here. */
export const passkey = pgTable(
  'passkey',
  {
    ownerId: owner(),
    credential: text('credential').notNull().unique(),
    name: text('name').notNull(),
    publicKey: bytea('public_key').notNull(),
    counter: bigint('counter', { mode: 'number' }).notNull(),
    transports: text('transports')
      .array()
      .notNull()
      .default(sql`'{}'`),
    createdAt: createdAt(),
  },
  table => [primaryKey({ columns: [table.ownerId, table.credential] }), ownerPolicy('passkey')],
)

/** How often somebody has knocked lately, by what they knocked with; it slows down guessing, over all copies of the server. */
export const knock = pgTable('knock', {
  who: text('who').primaryKey(),
  count: integer('count').notNull(),
  until: timestamp('until', { withTimezone: true }).notNull(),
}).enableRLS()
