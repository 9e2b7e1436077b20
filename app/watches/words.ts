import type { SlotRow, TransferState } from '~~/shared/api'
import type { PushAct } from '~~/core/wrist/link/schools'

const staleWords = {
  session: 'the session has changed',
  athlete: 'your numbers have changed',
  profile: 'what the watch can do has changed',
} as const

/** How a slot stands, in words. */
export function slotStatusWords(row: Pick<SlotRow, 'status' | 'stale' | 'by'>): string {
  switch (row.status) {
    case 'equal':
      return 'equal'
    case 'stale':
      return `older: ${row.stale.map(reason => staleWords[reason]).join(', ') || 'the session has changed'}`
    case 'edited':
      return 'changed there'
    case 'missing':
      return 'missing'
    case 'extra':
      return row.by === 'hand' ? 'made there' : 'there, but not sent from here'
    case 'leaving':
      return 'asked to be cleared, still there'
    case 'empty':
      return 'free'
  }
}

export const slotStatusClass = (row: Pick<SlotRow, 'status'>): string =>
  row.status === 'equal' ? 'good' : row.status === 'stale' || row.status === 'extra' || row.status === 'leaving' ? 'doubt' : 'bad'

/** One thing that pushing would do, in words; `sayDay` as the athlete wants days said. */
export function actWords(act: PushAct, sayDay: (day: string) => string): string {
  switch (act.do) {
    case 'send':
      return (
        `${sayDay(act.day)}: send “${act.name}” to slot ${act.slot}` +
        `${act.replaces === null ? '' : act.replaces === act.name ? ', in place of the older one' : `, in place of “${act.replaces}”`}`
      )
    case 'keep':
      return `${sayDay(act.day)}: “${act.name}” is there already, slot ${act.slot}`
    case 'remove':
      return `clear “${act.name}” from slot ${act.slot}: ${act.why}`
    case 'wait':
      return `${sayDay(act.day)}: “${act.name}” waits, ${act.why}`
    case 'ask':
      return `slot ${act.slot}: “${act.name}” ${act.why} and stays; clear it yourself to make room`
  }
}

/** How a push went: how many of the sendings arrived. */
export function pushedWords(ends: readonly (TransferState['state'] | undefined)[]): string {
  const arrived = ends.filter(end => end === 'done').length
  if (ends.length === 0) return 'Done.'
  return arrived === ends.length ? `${arrived} sent.` : `${arrived} of ${ends.length} sent; the rest can be gone on with.`
}

export const shareArrived = (transfer: Pick<TransferState, 'arrived' | 'size'>): number =>
  Math.round((transfer.arrived / Math.max(1, transfer.size)) * 100)

/** What a standing choice is about, in words: `target pace run treadmill` is pace targets of a run, treadmill. */
export function aboutWords(about: string): string {
  const [kind, of = '', sport = '', place] = about.split(' ')
  const measure = of.replace('-', ' ')
  switch (kind) {
    case 'target':
      return `${measure} targets of a ${sport}${place ? `, ${place}` : ''}`
    case 'also':
      return `${measure} shown beside the target of a ${sport}${place ? `, ${place}` : ''}`
    case 'end':
      return `steps of a ${sport} that end by ${of === 'first' ? 'whichever comes first' : measure}`
    case 'nesting':
      return 'repeats it cannot nest'
    case 'repeat':
      return 'repeats until a distance or time'
    case 'steps':
      return 'programs that are too long'
    default:
      return about
  }
}
