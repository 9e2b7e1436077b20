import { sql } from 'drizzle-orm'
import { recording } from '../db/recordings'

/** The day that a recording began on, ISO, in the zone it was made in, else in one of the athlete's. */
export const dayDone = (zone: string) =>
  sql<string>`to_char(${recording.startedAt} at time zone coalesce(${recording.timeZone}, ${zone}), 'YYYY-MM-DD')`
