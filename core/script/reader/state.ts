import { sports } from '../../session/sports'
import { unitsOf } from '../../athlete/athlete'
import type { Item, Session, Sport, Step } from '../../session/document'
import type { Remark } from '../remark'
import type { SoftSteps } from './soft'
import type { ReadContext, RowPlace } from './options'
import { ownWordsOf } from '../token/own-words'
import type { Noticed, Setting } from '../token/scanner'

export interface Line {
  number: number
  raw: string
  indent: number
  /** Where the row's own words begin: what stands before is a heading or a bullet that was taken already. */
  start: number
  /** The sport its label named, in a session of several. */
  sport?: Sport
}

/** A line's reading, kept until the whole session is known: roles can depend on what follows. */
export interface LineReading {
  line: Line
  /** The last line of what was read as one, where later lines completed it. */
  through?: Line
  items: Item[]
  noticed: Noticed[]
  printed: () => string
}

/** A session while it is being read. */
export interface State {
  session: Session
  setting: Setting
  context: ReadContext
  soft: SoftSteps
  /** The step, kept from an earlier reading of the same row, that each is a copy of. */
  knownAs: Map<Step, Step>
  /** The sport that an item's words named, where the pieces name several. */
  sports: Map<Item, Sport>
  readings: LineReading[]
  remarks: Remark[]
  places: Map<Item, RowPlace>
  /** Steps that the rows so far come to, the rounds of the blocks around them not counted. */
  steps: number
  /** The free lines come to more steps than a session may have, so that each is read alone. */
  isPastLimit?: true
}

/** What the reader goes by in a sport, given the athlete's units. */
export function settingFor(sport: Sport, context: ReadContext, poolUnit: 'm' | 'yd', poolLength?: number): Setting {
  const { athlete } = context.standpoint
  const units = unitsOf(athlete)
  const { paceMetres, paceUnits, defaultMeasure } = sports[sport]
  const paceUnit = paceUnits[paceMetres === 100 ? poolUnit : units[sport]]!
  const ownWords = ownWordsOf(athlete.words)
  const preferredMeasure = athlete.preferredMeasure?.[sport] ?? defaultMeasure
  return { sport, poolUnit, poolLength, paceUnit, preferredMeasure, ...(ownWords ? { ownWords } : {}) }
}

/** From the start of one line to the end of a later one, in characters. */
export const lengthThrough = (lines: readonly Line[], first: Line, last: Line) =>
  lines.slice(lines.indexOf(first), lines.indexOf(last) + 1).reduce((sum, line) => sum + line.raw.length + 1, -1)

/** Turns what was noticed in a line into a remark on the text. */
export function addRemark(state: State, line: Line, noticed: Noticed): void {
  state.remarks.push({
    line: line.number,
    column: noticed.from + 1,
    length: noticed.to - noticed.from,
    level: noticed.level,
    code: noticed.code,
    said: line.raw.slice(noticed.from, noticed.to),
    readAs: noticed.readAs,
    fixes: noticed.fixes,
  })
}

/** Where the words of a line begin and end, without the blanks around them. */
export const wordsOf = (raw: string) => ({ from: raw.length - raw.trimStart().length, to: raw.trimEnd().length })

/** Notes what a stretch of a line was read as. */
export function noteWords(state: State, line: Line, { from, to }: { from: number; to: number }, code: string, readAs: string): void {
  addRemark(state, line, { from, to, level: 'note', code, readAs, fixes: [] })
}

/** Says how a line is kept that was written otherwise, with that as the fix; up to `to` where it reaches over several lines. */
export function addSpelling(state: State, line: Line, kept: string, to = line.raw.length): void {
  addRemark(state, line, {
    from: line.start,
    to,
    level: 'note',
    code: 'spelling',
    readAs: kept,
    fixes: [{ label: kept.includes('\n') ? 'set out in rows' : 'write it so', replacement: kept }],
  })
}
