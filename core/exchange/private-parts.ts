import type { Recording } from '../record/recording'

/** Parts of a recording that say more of the athlete than of the session; each goes out only where it is ticked. */
export const privateParts = ['position', 'heart', 'start', 'message'] as const
export type PrivatePart = (typeof privateParts)[number]

/** The start of a recording that does not say when it was. */
const nowhen = '2001-01-01T00:00:00.000Z'

/**
 * A recording without its private parts: where it was, the heart, when it was, and how it felt in words and numbers.
 *
 * @param kept the parts that stay
 */
export function withoutPrivate(recording: Recording, kept: ReadonlySet<PrivatePart>): Recording {
  const { timeZone, felt, ...rest } = recording
  const { lat, lon, altitude, heartRate, ...samples } = recording.samples
  return {
    ...rest,
    startedAt: kept.has('start') ? recording.startedAt : nowhen,
    ...(kept.has('start') && timeZone ? { timeZone } : {}),
    samples: {
      ...samples,
      ...(kept.has('position') ? { ...(lat ? { lat } : {}), ...(lon ? { lon } : {}), ...(altitude ? { altitude } : {}) } : {}),
      ...(kept.has('heart') && heartRate ? { heartRate } : {}),
    },
    ...(kept.has('message') && felt ? { felt } : {}),
  }
}
