import {
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
  uuid,
} from 'drizzle-orm/pg-core'
import type { PlanChange } from '../../core/plan/change'
import type { PlanKind } from '../../core/plan/entry'
import type { PlanShape } from '../../core/plan/shape'
import type { CalendarTimes } from '../../core/plan/times'
import type { Sport } from '../../core/session/document'
import type { RefusedPush } from '../../shared/plan'
import { createdAt, owner, ownerPolicy } from './accounts'
import { session, watch } from './schema'

/** One thing on one day of the plan. */
export const planEntry = pgTable(
  'plan_entry',
  {
    id: uuid('id').notNull().defaultRandom(),
    ownerId: owner(),
    /** The session of the shelf; null for all else that a day holds. */
    sessionId: uuid('session_id'),
    day: date('day').notNull(),
    /** Its place among those of its day. */
    at: integer('at').notNull().default(0),
    kind: text('kind').$type<PlanKind>().notNull().default('session'),
    name: text('name'),
    minutes: doublePrecision('minutes'),
    effort: doublePrecision('effort'),
    sport: text('sport').$type<Sport>(),
    /** Put there by a message: when it comes again, corrected, it is changed with it. */
    filled: boolean('filled').notNull().default(false),
    createdAt: createdAt(),
    changedAt: timestamp('changed_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [
    primaryKey({ columns: [table.ownerId, table.id] }),
    foreignKey({ columns: [table.ownerId, table.sessionId], foreignColumns: [session.ownerId, session.id] }).onDelete('cascade'),
    index('plan_entry_by_day').on(table.ownerId, table.day),
    ownerPolicy('plan_entry'),
  ],
)

/** One edit of the plan with what it changed, so that it can be taken back exactly. */
export const planEdit = pgTable(
  'plan_edit',
  {
    ownerId: owner(),
    number: integer('number').notNull(),
    /** What was done, in words. */
    said: text('said').notNull(),
    changes: jsonb('changes').$type<PlanChange[]>().notNull(),
    undoneAt: timestamp('undone_at', { withTimezone: true }),
    createdAt: createdAt(),
  },
  table => [primaryKey({ columns: [table.ownerId, table.number] }), ownerPolicy('plan_edit')],
)

/** Suggestions about the plan that the athlete has dismissed: one of them, or all of their kind for good. */
export const planDismissal = pgTable('plan_dismissal', { ownerId: owner(), key: text('key').notNull(), createdAt: createdAt() }, table => [
  primaryKey({ columns: [table.ownerId, table.key] }),
  ownerPolicy('plan_dismissal'),
])

/** The day that demo data was laid out around; no row where there is none. */
export const demoDay = pgTable('demo_day', { ownerId: owner(), day: date('day').notNull() }, table => [
  primaryKey({ columns: [table.ownerId] }),
  ownerPolicy('demo_day'),
])

/** An address by which another calendar reads the plan; whoever knows its key may. */
export const calendarFeed = pgTable(
  'calendar_feed',
  {
    ownerId: owner(),
    id: uuid('id').notNull().defaultRandom(),
    name: text('name').notNull(),
    keyDigest: text('key_digest').notNull().unique(),
    /** When the athlete trains, by their own clock; null for entries of the whole day. */
    times: jsonb('times').$type<CalendarTimes>(),
    /** Minutes before that it rings; null for never. */
    alarm: integer('alarm'),
    readAt: timestamp('read_at', { withTimezone: true }),
    createdAt: createdAt(),
  },
  table => [primaryKey({ columns: [table.ownerId, table.id] }), ownerPolicy('calendar_feed')],
)

/** What is done at a watch by itself: pushing at the athlete's hour, and clearing when their week is over. */
export const pushRoutine = pgTable(
  'push_routine',
  {
    ownerId: owner(),
    watchId: uuid('watch_id').notNull(),
    /** Minutes after midnight by the athlete's clock at which the watch is pushed; null where they push by hand. */
    hour: integer('hour'),
    pushAt: timestamp('push_at', { withTimezone: true }),
    clearAt: timestamp('clear_at', { withTimezone: true }),
    /** When it last was done or tried, and what stood in its way; nothing where all went well. */
    triedAt: timestamp('tried_at', { withTimezone: true }),
    refused: jsonb('refused').$type<RefusedPush[]>().notNull().default([]),
  },
  table => [
    primaryKey({ columns: [table.ownerId, table.watchId] }),
    foreignKey({ columns: [table.ownerId, table.watchId], foreignColumns: [watch.ownerId, watch.id] }).onDelete('cascade'),
    index('push_routine_due').on(table.pushAt),
    ownerPolicy('push_routine'),
  ],
)

/** The athlete's own shape of weeks, as they last set it. */
export const planShape = pgTable('plan_shape', { ownerId: owner(), shape: jsonb('shape').$type<PlanShape>().notNull() }, table => [
  primaryKey({ columns: [table.ownerId] }),
  ownerPolicy('plan_shape'),
])
