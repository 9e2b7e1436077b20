import type { SlotRow, TransferState } from '~~/shared/api'
import type { PushAct } from '~~/core/wrist/link/schools'
import { watchesWords as texts } from '~/texts/en'

const staleWords = { session: texts.theSessionHasChanged, athlete: texts.yourNumbersHaveChanged, profile: texts.whatTheWatchCan } as const

/** How a slot stands, in words. */
export function slotStatusWords(row: Pick<SlotRow, 'status' | 'stale' | 'by'>): string {
  switch (row.status) {
    case 'equal':
      return 'equal'
    case 'stale':
      return `older: ${row.stale.map(reason => staleWords[reason]).join(', ') || texts.theSessionHasChanged}`
    case 'edited':
      return texts.changedThere
    case 'missing':
      return 'missing'
    case 'extra':
      return row.by === 'hand' ? texts.madeThere : texts.thereButNotSent
    case 'leaving':
      return texts.askedToBeCleared
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
        texts.sendToSlot(sayDay(act.day), act.name, act.slot) +
        `${act.replaces === null ? '' : act.replaces === act.name ? texts.inPlaceOfThe : texts.inPlaceOf(act.replaces)}`
      )
    case 'keep':
      return texts.isThereAlreadySlot(sayDay(act.day), act.name, act.slot)
    case 'remove':
      return texts.clearFromSlot(act.name, act.slot, act.why)
    case 'wait':
      return texts.waits(sayDay(act.day), act.name, act.why)
    case 'ask':
      return texts.slotAndStaysClear(act.slot, act.name, act.why)
  }
}

/** How a push went: how many of the sendings arrived. */
export function pushedWords(ends: readonly (TransferState['state'] | undefined)[]): string {
  const arrived = ends.filter(end => end === 'done').length
  if (ends.length === 0) return 'Done.'
  return arrived === ends.length ? texts.sent(arrived) : texts.ofSentTheRest(arrived, ends.length)
}

export const shareArrived = (transfer: Pick<TransferState, 'arrived' | 'size'>): number =>
  Math.round((transfer.arrived / Math.max(1, transfer.size)) * 100)

/** What a standing choice is about, in words: `target pace run treadmill` is pace targets of a run, treadmill. */
export function aboutWords(about: string): string {
  const [kind, of = '', sport = '', place] = about.split(' ')
  const measure = of.replace('-', ' ')
  switch (kind) {
    case 'target':
      return texts.targetsOfA(measure, sport, place ? `, ${place}` : '')
    case 'also':
      return texts.shownBesideTheTarget(measure, sport, place ? `, ${place}` : '')
    case 'end':
      return texts.stepsOfAThat(sport, of === 'first' ? texts.whicheverComesFirst : measure)
    case 'nesting':
      return texts.repeatsItCannotNest
    case 'repeat':
      return texts.repeatsUntilADistance
    case 'steps':
      return texts.programsThatAreToo
    default:
      return about
  }
}
