import type { Standpoint } from '../../athlete/standpoint'
import type { SessionSport } from '../../session/document'

/** What is known of a message beside its words. */
export interface MessageHints {
  /** Taken where the text names no sport and nothing in it tells one. */
  sport?: SessionSport
  /** A date of the week that named days stand for; named days stay names without it. */
  week?: string
}

/** What a text is read by: who reads it and when, and what is known of the message. */
export interface ReadContext extends MessageHints {
  standpoint: Standpoint
}

/** Where an item was said. */
export interface RowPlace {
  line: number
  column: number
  length: number
  said: string
  /** What completes it in later lines, as a count on a line of its own does. */
  further?: readonly { line: number; column: number; length: number }[]
}
