import type { ApiProblem } from './api'

/** Runs what can fail, and keeps the failure for the screen to show; the next try clears it. */
export function useGuarded() {
  const problem = ref<ApiProblem | null>(null)
  const isBusy = ref(false)

  async function guarded(work: () => Promise<unknown>): Promise<void> {
    problem.value = null
    isBusy.value = true
    try {
      await work()
    } catch (error) {
      problem.value = toldOf(error)
    }
    isBusy.value = false
  }

  return { problem, isBusy, guarded }
}
