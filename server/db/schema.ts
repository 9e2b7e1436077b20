import { sql } from 'drizzle-orm'
import {
  bigint,
  boolean,
  date,
  doublePrecision,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core'
import type { AnyPgColumn } from 'drizzle-orm/pg-core'
import type { Receipt } from '../../core/wrist/link/transfer'
import type { Burden } from '../../core/plan/burden'
import type { Cord } from '../../core/reckon/cord'
import type { WatchProfile } from '../../core/wrist/program/profile'
import type { LinkKind } from '../../shared/api'
import { bytea, createdAt, owner, ownerPolicy } from './accounts'

export * from './accounts'

/** Every accepted save of the athlete document; the highest number is the athlete of today. */
export const athleteRevision = pgTable(
  'athlete_revision',
  {
    ownerId: owner(),
    number: integer('number').notNull(),
    document: text('document').notNull(),
    digest: text('digest').notNull(),
    createdAt: createdAt(),
  },
  table => [primaryKey({ columns: [table.ownerId, table.number] }), ownerPolicy('athlete_revision')],
)

/** A session on the shelf; what it says is in its revisions. Removed ones keep their row until they are purged. */
export const session = pgTable(
  'session',
  {
    id: uuid('id').notNull().defaultRandom(),
    ownerId: owner(),
    title: text('title').notNull(),
    sport: text('sport').notNull(),
    head: integer('head').notNull(),
    seconds: doublePrecision('seconds'),
    metres: doublePrecision('metres'),
    steps: integer('steps').notNull(),
    open: integer('open').notNull(),
    /** Its picture where there is no room for its rows, reckoned as its time and distance are; null until then. */
    cord: jsonb('cord').$type<Cord>(),
    /** The session that this one is a variant of, or its own id: variants of one session share it. */
    familyId: uuid('family_id'),
    tags: text('tags')
      .array()
      .notNull()
      .default(sql`'{}'`),
    /** Suggestions about it that the athlete has dismissed, by their keys. */
    dismissed: text('dismissed')
      .array()
      .notNull()
      .default(sql`'{}'`),
    /** What is in it, as words a search asks for; made from the newest revision, by the version of the rules that made it. */
    facets: text('facets')
      .array()
      .notNull()
      .default(sql`'{}'`),
    words: text('words').notNull().default(''),
    /** Digest of its rows alone: sessions with equal rows share it, whatever they are called. */
    content: text('content').notNull().default(''),
    facetsVersion: integer('facets_version').notNull().default(0),
    /** By which numbers of the athlete its time and distance were reckoned; others make them stale. */
    reckonedBy: text('reckoned_by').notNull().default(''),
    /** What it weighs for the athlete, and by which numbers; reckoned once it stands on a day. */
    burden: jsonb('burden').$type<Burden>(),
    burdenBy: text('burden_by').notNull().default(''),
    archivedAt: timestamp('archived_at', { withTimezone: true }),
    removedAt: timestamp('removed_at', { withTimezone: true }),
    createdAt: createdAt(),
    updatedAt: timestamp('updated_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [
    primaryKey({ columns: [table.ownerId, table.id] }),
    index('session_by_owner').on(table.ownerId, table.updatedAt),
    index('session_by_facets').using('gin', table.facets),
    index('session_by_content').on(table.ownerId, table.content),
    index('session_by_family').on(table.ownerId, table.familyId),
    ownerPolicy('session'),
  ],
)

/** One accepted save: the words as typed, the document they read as, and the number it started from. */
export const revision = pgTable(
  'revision',
  {
    sessionId: uuid('session_id').notNull(),
    ownerId: owner(),
    number: integer('number').notNull(),
    base: integer('base').notNull(),
    script: text('script').notNull(),
    /** The words as pasted, where the script was made from some. */
    source: text('source'),
    document: text('document').notNull(),
    /** From where it was read: the revision of the athlete and their day; null where that was not written down yet. */
    athleteRevision: integer('athlete_revision'),
    readOn: date('read_on'),
    digest: text('digest').notNull(),
    /** The tab that saved it, and which of its changes was the last in it, by that tab's clock in milliseconds. */
    tab: text('tab'),
    change: bigint('change', { mode: 'number' }),
    /** When it was begun: later saves of the same tab within a minute are the same revision, written over. */
    createdAt: createdAt(),
  },
  table => [
    foreignKey({ columns: [table.ownerId, table.sessionId], foreignColumns: [session.ownerId, session.id] }).onDelete('cascade'),
    primaryKey({ columns: [table.ownerId, table.sessionId, table.number] }),
    index('revision_by_digest').on(table.ownerId, table.digest),
    ownerPolicy('revision'),
  ],
)

/**
 * A watch of the athlete: its profile, where the link finds it, and the key that pairing gave. One server at a time speaks with
 * it: the one that holds the lease, whose number grows with every taking and stands in every frame.
 */
export const watch = pgTable(
  'watch',
  {
    id: uuid('id').notNull().defaultRandom(),
    ownerId: owner(),
    name: text('name').notNull(),
    address: text('address').notNull(),
    profile: jsonb('profile').$type<WatchProfile>().notNull(),
    link: text('link').$type<LinkKind>().notNull().default('radio'),
    key: text('key'),
    /** A key agreed on that the watch may or may not have taken yet. */
    pendingKey: text('pending_key'),
    /** The athlete's standing choices about losses, by what they are about. */
    standing: jsonb('standing').$type<Record<string, string>>().notNull().default({}),
    incarnation: text('incarnation'),
    leaseNumber: bigint('lease_number', { mode: 'number' }).notNull().default(0),
    leaseHolder: text('lease_holder'),
    leaseUntil: timestamp('lease_until', { withTimezone: true }),
    createdAt: createdAt(),
  },
  table => [
    primaryKey({ columns: [table.ownerId, table.id] }),
    uniqueIndex('watch_by_address').on(table.ownerId, table.address),
    ownerPolicy('watch'),
  ],
)

/** What the athlete has chosen instead of a loss, row by row, for one session on one watch. */
export const fitChoice = pgTable(
  'fit_choice',
  {
    watchId: uuid('watch_id').notNull(),
    sessionId: uuid('session_id').notNull(),
    ownerId: owner(),
    here: jsonb('here').$type<Record<string, string>>().notNull(),
  },
  table => [
    foreignKey({ columns: [table.ownerId, table.watchId], foreignColumns: [watch.ownerId, watch.id] }).onDelete('cascade'),
    foreignKey({ columns: [table.ownerId, table.sessionId], foreignColumns: [session.ownerId, session.id] }).onDelete('cascade'),
    primaryKey({ columns: [table.ownerId, table.watchId, table.sessionId] }),
    ownerPolicy('fit_choice'),
  ],
)

/** What has come home so far of a recording that is on its way, part by part in order. */
export const arrival = pgTable(
  'arrival',
  {
    watchId: uuid('watch_id').notNull(),
    digest: text('digest').notNull(),
    at: integer('at').notNull(),
    ownerId: owner(),
    bytes: bytea('bytes').notNull(),
    createdAt: createdAt(),
  },
  table => [
    foreignKey({ columns: [table.ownerId, table.watchId], foreignColumns: [watch.ownerId, watch.id] }).onDelete('cascade'),
    primaryKey({ columns: [table.ownerId, table.watchId, table.digest, table.at] }),
    ownerPolicy('arrival'),
  ],
)

/**
 * A program as it was made for a watch or brought by a phone, frozen and kept once for all that refer to it: slots, sendings and
 * recordings. It outlives them, so that what comes home late still finds its words.
 */
export const program = pgTable(
  'program',
  {
    ownerId: owner(),
    digest: text('digest').notNull(),
    name: text('name').notNull(),
    document: text('document').notNull(),
    sessionId: uuid('session_id'),
    /** The revision of the session it was made from; null where a phone brought it. */
    revision: integer('revision'),
    /** Made out of what was sent, with the buttons of a watch. */
    changedThere: boolean('changed_there').notNull().default(false),
    createdAt: createdAt(),
  },
  table => [
    foreignKey({ columns: [table.ownerId, table.sessionId], foreignColumns: [session.ownerId, session.id] }).onDelete('set null'),
    primaryKey({ columns: [table.ownerId, table.digest] }),
    ownerPolicy('program'),
  ],
)

/** What refers to a program by its digest. */
const programReference = (table: { ownerId: AnyPgColumn; digest: AnyPgColumn }) =>
  foreignKey({ columns: [table.ownerId, table.digest], foreignColumns: [program.ownerId, program.digest] })

/** What a slot of a watch should hold, and how it came there. */
export const holding = pgTable(
  'holding',
  {
    watchId: uuid('watch_id').notNull(),
    slot: integer('slot').notNull(),
    ownerId: owner(),
    sessionId: uuid('session_id'),
    revision: integer('revision').notNull(),
    digest: text('digest').notNull(),
    receipt: jsonb('receipt').$type<Receipt & { readBackAt: string }>(),
    /** The day it was pushed for; null where it was sent by hand. */
    day: date('day'),
    /** Asked to be cleared, and perhaps still there. */
    isLeaving: boolean('is_leaving').notNull().default(false),
    /** The slot's generation that is to be cleared as soon as the watch can be reached; null where nobody waits for that. */
    clears: integer('clears'),
    createdAt: createdAt(),
  },
  table => [
    foreignKey({ columns: [table.ownerId, table.watchId], foreignColumns: [watch.ownerId, watch.id] }).onDelete('cascade'),
    foreignKey({ columns: [table.ownerId, table.sessionId], foreignColumns: [session.ownerId, session.id] }).onDelete('set null'),
    primaryKey({ columns: [table.ownerId, table.watchId, table.slot] }),
    programReference(table),
    ownerPolicy('holding'),
  ],
)

/** One sending of a program, with how far it came; it can be resumed until it is done. */
export const transfer = pgTable(
  'transfer',
  {
    id: uuid('id').notNull().defaultRandom(),
    ownerId: owner(),
    watchId: uuid('watch_id').notNull(),
    sessionId: uuid('session_id').notNull(),
    revision: integer('revision').notNull(),
    /** 0 until its turn at the watch, where that was busy when it was asked for. */
    slot: integer('slot').notNull(),
    expects: integer('expects').notNull(),
    /** What was changed on the watch in its slot may be replaced. */
    isOver: boolean('is_over').notNull().default(false),
    incarnation: text('incarnation').notNull().default(''),
    day: date('day'),
    isCancelled: boolean('is_cancelled').notNull().default(false),
    digest: text('digest').notNull(),
    state: text('state').$type<'sending' | 'stopped' | 'done' | 'cancelled'>().notNull(),
    arrived: integer('arrived').notNull().default(0),
    size: integer('size').notNull(),
    problem: text('problem'),
    createdAt: createdAt(),
    updatedAt: timestamp('updated_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [
    primaryKey({ columns: [table.ownerId, table.id] }),
    foreignKey({ columns: [table.ownerId, table.watchId], foreignColumns: [watch.ownerId, watch.id] }).onDelete('cascade'),
    foreignKey({ columns: [table.ownerId, table.sessionId], foreignColumns: [session.ownerId, session.id] }).onDelete('cascade'),
    index('transfer_by_watch').on(table.watchId, table.createdAt),
    programReference(table),
    ownerPolicy('transfer'),
  ],
)
