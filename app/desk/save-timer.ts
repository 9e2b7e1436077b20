/** When the words are sent next: one timer, set anew or left as it is. */
export function useSaveTimer(save: () => unknown) {
  let timer: ReturnType<typeof setTimeout> | undefined

  function stop(): void {
    clearTimeout(timer)
    timer = undefined
  }

  function schedule(after: number): void {
    stop()
    timer = setTimeout(() => {
      timer = undefined
      save()
    }, after)
  }

  return {
    stop,
    schedule,
    /** Not put off by what is typed meanwhile: so long after the first change that is not there yet, and no longer. */
    within(after: number): void {
      if (timer === undefined) schedule(after)
    },
  }
}
