import { picturingNudges, forecastOf } from '~~/core/forecast/forecast'
import type { Answer, Question } from './messages'

/** The question being answered; a newer one takes its place at the next breath. */
let current = 0
const tell = (answer: Answer) => self.postMessage(answer)
const breath = () => new Promise(resolve => setTimeout(resolve, 0))

async function answer({ id, session, standpoint, nudging, runs }: Extract<Question, { kind: 'ask' }>): Promise<void> {
  tell({ kind: 'forecast', id, forecast: forecastOf(session, standpoint) })
  const picturing = picturingNudges(session, standpoint, nudging, { runs })
  for (let step = picturing.next(); ; step = picturing.next()) {
    if (step.done) return tell({ kind: 'nudges', id, picture: step.value })
    tell({ kind: 'progress', id, share: step.value })
    await breath()
    if (current !== id) return
  }
}

self.onmessage = ({ data }: MessageEvent<Question>) => {
  if (data.kind === 'stop') {
    current = 0
    return
  }
  current = data.id
  answer(data).catch((error: unknown) => tell({ kind: 'failed', id: data.id, problem: (error as Error).message }))
}
