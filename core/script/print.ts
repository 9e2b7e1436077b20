import type { Block, Ceiling, Doubt, End, Grade, Item, Leg, PlaceOfSession, Prompt, Repeat, Session, Step, Swim } from '../session/document'
import { isBandTarget } from '../session/document'
import { formatNumber, formatTime } from '../quantity/time'
import { printTarget } from './print-target'

/** Writes a place as it stands after the word `place`. */
/** A place as it stands after the word `place`. */
export function printPlace(place: PlaceOfSession): string {
  switch (place.kind) {
    case 'pool':
      return `pool ${formatNumber(place.length)} ${place.unit}`
    case 'track':
      return place.lane === undefined ? 'track' : `track, lane ${place.lane}`
    default:
      return place.kind
  }
}

const printCeiling = (ceiling: Ceiling) => `ceiling ${formatNumber(ceiling.above)} ${ceiling.unit ?? 'bpm'}`

export function printPrompt(prompt: Prompt): string {
  const count = prompt.count === undefined ? '' : `, ${prompt.count} times`
  return `prompt ${prompt.say} from ${formatTime(prompt.from)} every ${formatTime(prompt.every)}${count}`
}

/** Writes an end; the second of two that are themselves a choice stands in brackets. */
export function printEnd(end: End): string {
  switch (end.on) {
    case 'time':
      return formatTime(end.seconds)
    case 'distance':
      return `${formatNumber(end.value)} ${end.unit}`
    case 'press':
      return 'until press'
    case 'heart-rate':
      return end.below !== undefined ? `until HR below ${formatNumber(end.below)}` : `until HR above ${formatNumber(end.above)}`
    case 'energy':
      return `${formatNumber(end.kilocalories)} kcal`
    case 'send-off':
      return `${formatNumber(end.value)} ${end.unit} on ${formatTime(end.seconds)}`
    case 'first': {
      const [first, second] = end.of
      return `${printEnd(first)} or ${second.on === 'first' ? `(${printEnd(second)})` : printEnd(second)}`
    }
  }
}

function printGrade(grade: Grade): string {
  const span = (low: number, high: number) => (low === high ? formatNumber(low) : `${formatNumber(low)}-${formatNumber(high)}`)
  if (grade.low >= 0) return `uphill ${span(grade.low, grade.high)} %`
  if (grade.high <= 0) return `downhill ${span(Math.abs(grade.high), Math.abs(grade.low))} %`
  return `grade ${formatNumber(grade.low)} to ${formatNumber(grade.high)} %`
}

export function printSwim(swim: Swim): string {
  const words: string[] = []
  if (swim.stroke) words.push(swim.stroke)
  if (swim.mode) words.push(swim.mode)
  if (swim.drill !== undefined) words.push(JSON.stringify(swim.drill))
  return [...words, ...(swim.kit ?? [])].join(' ')
}

function printDoubt(doubt: Doubt): string {
  const escaped = doubt.said.replace(/[\\}]/g, '\\$&').replace(/\n/g, '\\n').replace(/\r/g, '\\r')
  return `?{${escaped}}`
}

function noteLines(text: string, note: string | undefined, indent: string): string {
  if (note === undefined) return indent + text
  const [first, ...further] = note.split('\n')
  const mark = (line: string) => (line === '' ? '#' : `# ${line}`)
  return [`${indent}${text}  ${mark(first!)}`, ...further.map(line => indent + mark(line))].join('\n')
}

/** Writes one step as its row, without indent and note. */
export function printStep(step: Step): string {
  const parts: string[] = []
  if (step.off) parts.push('off')
  if (step.role !== 'work') parts.push(step.role)
  parts.push(printEnd(step.end))
  const ownTime = step.target && isBandTarget(step.target) && step.target.unit === 's/step' && distanceEnds(step.end)
  if (ownTime) parts.push('in', printTarget(step.target!, true))
  if (step.manner) parts.push(step.manner)
  const swim = step.swim && printSwim(step.swim)
  if (swim) parts.push(swim)
  if (step.grade) parts.push(printGrade(step.grade))
  if (ownTime) {
    if (step.also) parts.push('@', printTarget(step.also))
  } else if (step.target) {
    parts.push('@', printTarget(step.target))
    if (step.also) parts.push('and', printTarget(step.also))
  } else if (step.also) {
    parts.push('@ also', printTarget(step.also))
  }
  if (step.ceiling) parts.push(printCeiling(step.ceiling))
  if (step.doubt) parts.push(printDoubt(step.doubt))
  return parts.join(' ')
}

const distanceEnds = (end: End) => end.on === 'distance'

/** Writes what a block repeats: `3 times` or `repeat for 5 km`. */
export function printRepeat(repeat: Repeat): string {
  if ('times' in repeat && repeat.times !== undefined) return `${repeat.times} times`
  if ('distance' in repeat) return `repeat for ${formatNumber(repeat.distance.value)} ${repeat.distance.unit}`
  return `repeat for ${formatTime((repeat as { seconds: number }).seconds)}`
}

/** Writes a block's own row, without indent and note. */
export function printBlockHeader(block: Block): string {
  const parts = [printRepeat(block.repeat)]
  if (block.lastRecovery) parts.push('drop last recovery')
  if ('stopAfterMissed' in block.repeat && block.repeat.stopAfterMissed !== undefined)
    parts.push(`stop after ${block.repeat.stopAfterMissed} missed`)
  if (block.ceiling) parts.push(printCeiling(block.ceiling))
  return `${block.off ? 'off ' : ''}${parts.join(', ')}${block.doubt ? ` ${printDoubt(block.doubt)}` : ''}`
}

/** Writes a leg's own row, without its rows. */
export function printLegHeader(leg: Leg): string {
  return `leg ${leg.sport}${leg.place ? `, place ${printPlace(leg.place)}` : ''}`
}

/** Writes an item as its rows, each with its indent, nested items below their block or leg. */
export function printItem(item: Item, depth = 0): string {
  const indent = '  '.repeat(depth)
  switch (item.kind) {
    case 'step':
      return noteLines(printStep(item), item.note, indent)
    case 'unread':
      return `${indent}unread ${item.text}`
    case 'block':
      return [noteLines(printBlockHeader(item), item.note, indent), ...item.items.map(inner => printItem(inner, depth + 1))].join('\n')
    case 'leg':
      return [indent + printLegHeader(item), ...item.items.map(inner => printItem(inner, depth + 1))].join('\n')
  }
}

function printHeaders(session: Session): string[] {
  const lines: string[] = []
  if (session.title !== undefined) lines.push(`title ${session.title}`)
  lines.push(`sport ${session.sport}`)
  if (session.place) lines.push(`place ${printPlace(session.place)}`)
  if (session.day !== undefined) lines.push(`day ${session.day}`)
  if (session.ceiling) lines.push(printCeiling(session.ceiling))
  for (const prompt of session.prompts ?? []) lines.push(printPrompt(prompt))
  if (session.note !== undefined) lines.push(...session.note.split('\n').map(line => (line === '' ? '#' : `# ${line}`)))
  return lines
}

/**
 * Writes a session as canonical script.
 *
 * Laws, held by the tests: `read(print(s))` equals `normalise(s)`, and `print(read(t))` equals `t` for canonical `t`.
 *
 * @returns the text, ending in a newline
 */
export function printSession(session: Session): string {
  const rows = session.items.map(item => printItem(item))
  return [...printHeaders(session), ...(rows.length > 0 ? ['', ...rows] : [])].join('\n') + '\n'
}

/** Writes several sessions, parted by a line `---`. */
export function printSessions(sessions: readonly Session[]): string {
  return sessions.map(printSession).join('---\n')
}
