/** Words that one room hands over to another: there once, and gone when they are taken. */
export const useHandoverStore = defineStore('handover', () => {
  const forDesk = ref<string | null>(null)
  const forWeeks = ref<string | null>(null)

  /** Hands words over to the sheet that is on the desk, or to a new one. */
  function toDesk(words: string, at: '/desk' | '/desk/new' = '/desk') {
    forDesk.value = words
    return navigateTo(at)
  }

  function toWeeks(words: string) {
    forWeeks.value = words
    return navigateTo('/weeks')
  }

  function taken(box: typeof forDesk): string | null {
    const words = box.value
    box.value = null
    return words
  }

  return { toDesk, toWeeks, takeForDesk: () => taken(forDesk), takeForWeeks: () => taken(forWeeks) }
})
