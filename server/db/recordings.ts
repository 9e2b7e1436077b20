import { sql } from 'drizzle-orm'
import {
  bigint,
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
import type { Burden } from '../../core/plan/burden'
import type { Cord } from '../../core/reckon/cord'
import type { StepBoundary } from '../../core/record/boundaries'
import type { Score } from '../../core/record/score'
import type { Learnt } from '../../core/trends/learn'
import { bytea, createdAt, owner, ownerPolicy } from './accounts'
import { session, watch } from './schema'

/** A recording that came home: its columns compressed, its score, and the program it was carried out from. */
export const recording = pgTable(
  'recording',
  {
    id: uuid('id').notNull().defaultRandom(),
    ownerId: owner(),
    digest: text('digest').notNull(),
    title: text('title').notNull(),
    sport: text('sport').notNull(),
    startedAt: timestamp('started_at', { withTimezone: true }).notNull(),
    timeZone: text('time_zone'),
    /** Seconds that the watch's clock was ahead when it came home; `started_at` is put right by it. */
    clockAhead: integer('clock_ahead'),
    seconds: doublePrecision('seconds').notNull(),
    metres: doublePrecision('metres'),
    watchId: uuid('watch_id'),
    sessionId: uuid('session_id'),
    /** The program it was carried out from; it may name one that nobody here knows. */
    programDigest: text('program_digest'),
    samples: bytea('samples').notNull(),
    /** Hours slept the night before, as the athlete says. */
    slept: doublePrecision('slept'),
    /** Where the athlete says that steps began, beside what was found. */
    boundaries: jsonb('boundaries').$type<StepBoundary[]>(),
    /** Another device's recording of what this one holds; it is put aside as removed, and can take its place. */
    copyOf: uuid('copy_of'),
    felt: jsonb('felt').$type<{ rpe?: number; note?: string; pain?: boolean }>(),
    score: jsonb('score').$type<Score>(),
    /** Of the score, so that a search need not unpack each. */
    held: doublePrecision('held').generatedAlwaysAs(sql`(score->'totals'->>'held')::double precision`),
    /** Its picture; null where nothing tells its steps, or until it is listed. */
    cord: jsonb('cord').$type<Cord>(),
    /** What it weighed: as it was felt, and by heart rate; null until it is looked at in a week. */
    burden: jsonb('burden').$type<Burden>(),
    /** What its samples tell for good; null until it is read for what moves. */
    learnt: jsonb('learnt').$type<Learnt>(),
    /** Removed ones keep their row, so that they can be brought back. */
    removedAt: timestamp('removed_at', { withTimezone: true }),
    createdAt: createdAt(),
  },
  table => [
    primaryKey({ columns: [table.ownerId, table.id] }),
    foreignKey({ columns: [table.ownerId, table.watchId], foreignColumns: [watch.ownerId, watch.id] }).onDelete('set null'),
    foreignKey({ columns: [table.ownerId, table.sessionId], foreignColumns: [session.ownerId, session.id] }).onDelete('set null'),
    uniqueIndex('recording_once').on(table.ownerId, table.digest),
    index('recording_by_start').on(table.ownerId, table.startedAt),
    ownerPolicy('recording'),
  ],
)

/** The file that a recording came in, byte for byte, compressed. */
export const recordingOriginal = pgTable(
  'recording_original',
  {
    recordingId: uuid('recording_id').notNull(),
    ownerId: owner(),
    name: text('name').notNull(),
    content: bytea('content').notNull(),
    createdAt: createdAt(),
  },
  table => [
    foreignKey({ columns: [table.ownerId, table.recordingId], foreignColumns: [recording.ownerId, recording.id] }).onDelete('cascade'),
    primaryKey({ columns: [table.ownerId, table.recordingId] }),
    ownerPolicy('recording_original'),
  ],
)

/** What the watch noted at an instant of a recording. */
export const mark = pgTable(
  'mark',
  {
    recordingId: uuid('recording_id').notNull(),
    position: bigint('position', { mode: 'number' }).notNull(),
    ownerId: owner(),
    t: doublePrecision('t').notNull(),
    kind: text('kind').notNull(),
    path: text('path'),
    round: integer('round').array(),
  },
  table => [
    foreignKey({ columns: [table.ownerId, table.recordingId], foreignColumns: [recording.ownerId, recording.id] }).onDelete('cascade'),
    primaryKey({ columns: [table.ownerId, table.recordingId, table.position] }),
    ownerPolicy('mark'),
  ],
)
