import type { SessionSport, Sport } from '../../session/document'

/** What the caller of the reader knows beside the text. */
export interface ReadOptions {
  /** Taken where the text names no sport and nothing in it tells one. */
  sport?: SessionSport
  /** How this athlete writes paces and pool lengths, where the text leaves it open. */
  units?: { run: 'km' | 'mi', ride: 'km' | 'mi', swim: 'm' | 'yd' }
  /** What `Z4` counts, by sport; else heart rate for a run, power for a ride, pace for a swim. */
  preferredMeasure?: Partial<Record<Sport, 'pace' | 'heart-rate' | 'power'>>
}

/** Where an item was said. */
export interface RowPlace { line: number, column: number, length: number, said: string }
