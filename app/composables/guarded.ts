import type { ApiProblem } from './api'

/** Runs what can fail, and keeps the failure for the screen to show; the next try clears it. */
export function useGuarded() {
  const problem = shallowRef<ApiProblem | null>(null)
  let quietOne: ApiProblem | null = null
  const running = ref(0)
  const isBusy = computed(() => running.value > 0)

  async function guarded(work: () => Promise<unknown>): Promise<void> {
    problem.value = null
    running.value++
    try {
      await work()
    } catch (error) {
      problem.value = toldOf(error)
    }
    running.value--
  }

  /**
   * The same for what nobody asked for, as when something has changed elsewhere: it takes away no button that is about to be pressed,
   * and no problem that is being read but one of its own.
   */
  async function quietly(work: () => Promise<unknown>): Promise<void> {
    try {
      await work()
      if (problem.value === quietOne) problem.value = null
    } catch (error) {
      problem.value ??= quietOne = toldOf(error)
    }
  }

  return { problem, isBusy, guarded, quietly }
}
