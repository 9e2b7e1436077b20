import type { SessionSport, Sport } from '../../session/document'

/** What the caller of the reader knows beside the text. */
export interface ReadOptions {
  /** Taken where the text names no sport and nothing in it tells one. */
  sport?: SessionSport
  /** How this athlete writes paces and pool lengths, where the text leaves it open. */
  units?: { run: 'km' | 'mi'; ride: 'km' | 'mi'; swim: 'm' | 'yd' }
  /** A date of the week that named days stand for; named days stay names without it. */
  week?: string
  /** Today, where a date without a year is read and no week is given. */
  on?: string
  /** What `Z4` counts, by sport; else heart rate for a run, power for a ride, pace for a swim. */
  preferredMeasure?: Partial<Record<Sport, 'pace' | 'heart-rate' | 'power'>>
}

/** Where an item was said. */
export interface RowPlace {
  line: number
  column: number
  length: number
  said: string
}
