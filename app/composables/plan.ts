import type { PlanAsk, PlanSpan } from '~~/shared/plan'

/** Some days of the plan: what is on them, edits of it, and taking the last one back. */
export function usePlan(from: () => string, to: () => string) {
  const span = shallowRef<PlanSpan | null>(null)
  const { problem, isBusy, guarded, quietly } = useGuarded()
  const asking = useLastAsked()

  async function fetchSpan() {
    const isLast = asking()
    const answer = await api<PlanSpan>(`/plan/span?from=${from()}&to=${to()}`)
    if (isLast()) span.value = answer
  }
  const load = () => guarded(fetchSpan)
  const lookAgain = () => quietly(fetchSpan)
  /** What was refused leaves the plan as it is, and shows it as it is. */
  const sending = (path: string, body: object) =>
    guarded(async () => {
      try {
        await api(path, { method: 'POST', body })
      } finally {
        await fetchSpan()
      }
    })
  const edit = (ask: PlanAsk) => sending('/plan/edits', ask)
  const undo = () => (span.value?.undo ? sending('/plan/undo', { number: span.value.undo.number }) : Promise.resolve())
  const dismiss = (key: string) => sending('/plan/dismissals', { key })
  return { span, problem, isBusy, load, lookAgain, edit, undo, dismiss, guarded }
}
