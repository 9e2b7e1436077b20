import type { Item, Step } from '../../session/document'
import { formatTime } from '../../quantity/time'
import type { RowPlace } from './options'
import type { State } from './state'

const shortestSeconds = 180
const clockWords = /(?<![\d:])(\d{1,2}:[0-5]\d)(?![\d:])/

/** The steps of a session of times only, or null when something else says how long it is. */
function timedSteps(items: readonly Item[]): Step[] | null {
  const steps: Step[] = []
  for (const item of items) {
    if (item.kind !== 'step' || item.end.on !== 'time') return null
    steps.push(item)
  }
  return steps
}

/**
 * `1:30` is a minute and a half; where a whole ride or run would then be over in three minutes, an hour and a half is
 * likelier, and it is asked.
 */
export function readHourClocks(state: State, places: ReadonlyMap<Item, RowPlace>): void {
  if (state.session.sport !== 'run' && state.session.sport !== 'ride') return
  const steps = timedSteps(state.session.items)
  if (!steps || steps.length === 0) return
  const total = steps.reduce((sum, step) => sum + (step.end as { seconds: number }).seconds, 0)
  if (total >= shortestSeconds) return
  for (const step of steps) {
    const place = places.get(step)
    const clock = place && clockWords.exec(place.said)
    if (!place || !clock || step.doubt) continue
    const seconds = (step.end as { seconds: number }).seconds
    const longer = formatTime(seconds * 60)
    step.end = { on: 'time', seconds: seconds * 60 }
    step.doubt = { said: clock[1]!, others: [formatTime(seconds)] }
    state.remarks.push({
      line: place.line,
      column: place.column + clock.index,
      length: clock[1]!.length,
      level: 'ask',
      code: 'hours-or-minutes',
      said: clock[1]!,
      readAs: longer,
      fixes: [longer, formatTime(seconds)].map(text => ({ label: text, replacement: text })),
    })
  }
}
