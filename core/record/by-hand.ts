import type { SessionSport } from '../session/document'
import type { Recording } from './recording'

/** A session that no device recorded, as the athlete tells it. */
export interface ByHand {
  sport: SessionSport
  startedAt: string
  /** Moving seconds. */
  seconds: number
  metres?: number
  /** The mean, in beats a minute. */
  heartRate?: number
  rpe?: number
  note?: string
}

/**
 * A recording of two samples, its start and its end, that says no more than the athlete did: what lies between stays unknown.
 *
 * @param timeZone of the place where it was, so that it stands on its day
 */
export function recordingByHand({ sport, startedAt, seconds, metres, heartRate, rpe, note }: ByHand, timeZone: string): Recording {
  const felt = { ...(rpe === undefined ? {} : { rpe }), ...(note ? { note } : {}) }
  return {
    format: 'agonis.recording',
    version: 1,
    sport,
    startedAt: new Date(startedAt).toISOString(),
    timeZone,
    samples: {
      t: [0, seconds],
      metres: metres === undefined ? [null, null] : [0, metres],
      ...(heartRate === undefined ? {} : { heartRate: [heartRate, heartRate] }),
    },
    marks: [],
    ...(Object.keys(felt).length > 0 ? { felt } : {}),
  }
}

/** Whether a recording says only how long and how far: it was entered by hand. */
export const isByHand = ({ samples }: Recording): boolean => samples.t.length === 2 && samples.t[0] === 0
