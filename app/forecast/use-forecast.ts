import type { Standpoint } from '~~/core/athlete/standpoint'
import type { NudgePicture, SessionForecast } from '~~/core/forecast/forecast'
import type { Nudging } from '~~/core/nudge/nudging'
import type { Session } from '~~/core/session/document'
import type { Answer, Question } from '~/workers/messages'
import { forecastUseForecast as texts } from '~/texts/en'

export const usualRuns = 400
export const manyRuns = 10_000
/** Asked for when typing pauses, so that no key waits for its picture. */
const askAfter = 250
/** Progress is drawn no more often than that much has been done. */
const progressStep = 0.1

/** The forecast of the session on the desk, made in a worker and made anew when the session, the athlete or the watch changes. */
export function useForecast(session: () => Session | undefined, standpoint: () => Standpoint, nudging: () => Nudging) {
  /** The forecast with the session that it is of: the one on the desk may have gone on. */
  const made = shallowRef<{ forecast: SessionForecast; session: Session } | null>(null)
  let askedFor: Session | undefined
  const picture = shallowRef<NudgePicture | null>(null)
  /** Share done of what is being reckoned; null when nothing is. */
  const progress = ref<number | null>(null)
  const runs = ref(usualRuns)
  const problem = ref('')
  let worker: Worker | undefined
  let id = 0

  const send = (question: Question) => worker?.postMessage(question)

  function hear({ data }: MessageEvent<Answer>) {
    if (data.id !== id) return
    if (data.kind === 'forecast' && askedFor) made.value = { forecast: data.forecast, session: askedFor }
    if (data.kind === 'progress' && (progress.value === null || data.share - progress.value >= progressStep)) progress.value = data.share
    if (data.kind === 'failed') problem.value = data.problem
    if (data.kind === 'nudges') picture.value = data.picture
    if (data.kind === 'nudges' || data.kind === 'failed') progress.value = null
  }

  function ask(wanted = usualRuns) {
    const asked = session()
    id++
    runs.value = wanted
    problem.value = ''
    if (!asked || asked.items.length === 0) {
      send({ kind: 'stop' })
      made.value = null
      picture.value = null
      progress.value = null
      return
    }
    if (!worker) {
      worker = new Worker(new URL('../workers/forecast.worker.ts', import.meta.url), { type: 'module' })
      worker.onmessage = hear
      worker.onerror = () => {
        problem.value = texts.theForecastCouldNot
        progress.value = null
      }
    }
    progress.value = 0
    askedFor = asked
    const { smoothingSeconds, alertAfterSeconds, alertRepeatSeconds } = nudging()
    send({
      kind: 'ask',
      id,
      session: asked,
      standpoint: standpoint(),
      nudging: { smoothingSeconds, alertAfterSeconds, alertRepeatSeconds },
      runs: wanted,
    })
  }

  function stop() {
    id++
    send({ kind: 'stop' })
    progress.value = null
  }

  watchDebounced([session, standpoint, nudging], () => ask(), { debounce: askAfter })
  onMounted(() => ask())
  onBeforeUnmount(() => worker?.terminate())
  return { made, picture, progress, runs, problem, ask, stop }
}
