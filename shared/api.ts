import type { Athlete } from '../core/athlete/athlete'
import type { Cord } from '../core/reckon/cord'
import type { Session, SessionSport } from '../core/session/document'
import type { ComparedRow } from '../core/wrist/program/compare'
import type { Knob } from '../core/wrist/engine/buttons'
import type { Face } from '../core/wrist/engine/face'
import type { Fitting } from '../core/wrist/fit/fit'
import type { WatchProfile } from '../core/wrist/program/profile'
import type { SlotState } from '../core/wrist/link/protocol'
import type { NamingSchool, PushAct, PushingSchool } from '../core/wrist/link/schools'
import type { SlotStatus, StaleReason } from '../core/wrist/link/slot-status'

/** What the routes answer: the shapes that the server gives and the screens read. */

export interface KeptAthlete {
  number: number
  athlete: Athlete
}

/** One accepted save of the athlete document. */
export interface AthleteRevision {
  number: number
  savedAt: string
  athlete: Athlete
}

export interface KeptSession {
  id: string
  number: number
  script: string
  document: Session
  title: string
  updatedAt: string
  /** The words as pasted, where there were some. */
  source: string | null
  tags: string[]
  dismissed: string[]
  isArchived: boolean
}

/** A session as it was worded once. */
export interface Wording {
  number: number
  base: number
  script: string
  createdAt: string
}

/** Where a session stands beside the shelf. */
export interface SessionStanding {
  /** The next day it is planned on, ISO date. */
  plannedOn: string | null
  /** Names of the watches that hold it. */
  watches: string[]
  timesDone: number
  lastDone: string | null
}

export interface ShelfRow extends SessionStanding {
  id: string
  title: string
  sport: SessionSport
  seconds: number | null
  metres: number | null
  steps: number
  open: number
  cord: Cord | null
  updatedAt: string
  tags: string[]
  isArchived: boolean
  /** Other sessions of its family, and others with the same rows. */
  variants: number
  duplicates: number
}

export type ShelfSort = 'newest' | 'title' | 'shortest' | 'longest'

/** The note on what was taken in before, and is the same. */
export const hereAlready = 'is here already'

/** What became of one file that was taken in. */
export interface ImportedFile {
  file: string
  titles: string[]
  problem?: string
  /** Such as that it was here already. */
  note?: string
}

/** A page of the shelf: how the search was understood, and where nothing has it, titles that come near. */
export interface FoundSessions extends Listed<ShelfRow> {
  how: string
  near: ShelfRow[]
}

/** A page of a list, and how many rows there are in all. */
export interface Listed<Row> {
  rows: Row[]
  total: number
}

export interface KeptWatch {
  id: string
  name: string
  address: string
  profile: WatchProfile
  link: LinkKind
  /** Standing choices about losses, by what they are about. */
  standing: Record<string, string>
  isPaired: boolean
}

export interface SlotRow {
  slot: number
  status: SlotStatus
  generation: number
  holds: string | null
  by: SlotState['by']
  isRunning: boolean
  should: { title: string; sessionId: string | null; revision: number; readBackAt: string | null; day: string | null } | null
  /** What has changed since it was sent. */
  stale: StaleReason[]
}

export interface WatchState {
  watch: string
  incarnation: string
  clock: string
  /** Seconds that its clock is ahead. */
  clockAhead: number
  profile: string
  /** Bytes free on it, and recordings that wait there. */
  free: number
  recordings: number
  /** It was reset since it was last seen. */
  wasReset: boolean
  rows: SlotRow[]
}

/** What pushing would do, and the digest by which exactly that is asked for. */
export interface PushPlan {
  acts: PushAct[]
  digest: string
  naming: NamingSchool
  pushing: PushingSchool
  today: string
}

export interface TransferState {
  id: string
  watchId: string
  sessionId: string
  slot: number
  title: string
  state: 'sending' | 'stopped' | 'done' | 'cancelled'
  arrived: number
  size: number
  problem: string | null
  updatedAt: string
}

/** A slot read back from the watch, beside what it should hold. */
export interface SlotComparison {
  rows: ComparedRow[]
  equal: boolean
  holds: string | null
}

export interface FitPreview extends Fitting {
  /** Of the program, by which exactly that is asked to be sent. */
  digest: string
  /** What the athlete has chosen row by row. */
  here: Record<string, string>
}

/** A session of the same family. */
export interface Relative {
  id: string
  title: string
  seconds: number | null
}

/** The two ways to a watch: a cable, quick and orderly while it is plugged in, and a radio, slow and unsure. */
export type LinkKind = 'cable' | 'radio'

/** How a link to a watch behaves: slow, lossy or cut. A real fault, met by both sides. */
export interface LinkFaults {
  /** Milliseconds that every message takes, each way, and how much more it may take. */
  delay: number
  jitter: number
  /** Shares of messages that come twice, and that come seconds late, when others have passed. */
  double: number
  late: number
  /** Share of messages lost, from 0 to 1, each way. */
  loss: number
  /** Bytes that still get through before the link is cut; null for no cut. */
  cutAfter: number | null
}

/** What the glass of a watch shows: the programs to choose from, or the program that is going. */
export interface Glass {
  watch: string
  profile: string
  /** What it holds, and whether that was made or changed by hand. */
  slots: { slot: number; name: string; isOwn: boolean }[]
  chosen: number | null
  /** The rows of the chosen program. */
  rows: { words: string; depth: number }[]
  face: Face | null
  /** What is being said just now. */
  said: string | null
  /** Entrances to choose from, and the one pointed at. */
  entrances: { words: string[]; at: number } | null
  /** Counts and lengths to change, and the one pointed at. */
  changes: { words: string[]; at: number } | null
  /** What the three buttons do now. */
  knobs: Record<Knob, string>
  /** The code for pairing, while it is shown. */
  code: string | null
  isOn: boolean
  isPaired: boolean
  /** Milliseconds that its clock is ahead. */
  clockOff: number
  recordingsWaiting: number
  speed: number
  look: boolean
  links: Record<LinkKind, LinkFaults>
}

/** How one comes into this server. */
export interface EntranceState {
  kind: 'open' | 'locked' | 'home'
  /** Opened by a host name, by which passkeys work. */
  hasPasskeys: boolean
}

/** A browser or phone that is signed in. */
export interface DeviceRow {
  id: string
  name: string
  signedInAt: string
  isThis: boolean
}
export interface PasskeyRow {
  id: string
  name: string
  madeAt: string
}
/** Who may come in as the athlete, and where others reach the server. */
export interface SignInState extends EntranceState {
  signInName: string | null
  address: string
  /** The page where a phone comes to trust this server, and what it should show there. */
  trustAt: string | null
  fingerprint: string | null
  devices: DeviceRow[]
  passkeys: PasskeyRow[]
}

/** What would be erased, and the key by which it is when that is asked for again. */
export interface EraseAsked {
  holds: { sessions: number; wordings: number; recordings: number; planned: number }
  key: string
}

/** A row of the athlete's that has changed, wherever that was done. */
export interface Change {
  what: 'session' | 'plan_entry' | 'athlete_revision' | 'watch' | 'holding' | 'transfer' | 'recording'
  id: string
}
