import type { Athlete } from '~~/core/athlete/athlete'
import { unknownAthlete } from '~~/core/athlete/athlete'

/** The athlete of today, loaded once and again after each save. */
export const useAthleteStore = defineStore('athlete', () => {
  const athlete = shallowRef<Athlete>(unknownAthlete)
  const number = ref(0)
  const isLoaded = ref(false)

  async function load() {
    const kept = await api<{ number: number, athlete: Athlete }>('/me')
    athlete.value = kept.athlete
    number.value = kept.number
    isLoaded.value = true
  }

  async function save(document: Athlete) {
    const kept = await api<{ number: number, athlete: Athlete }>('/me', { method: 'PUT', body: { base: number.value, document } })
    athlete.value = kept.athlete
    number.value = kept.number
  }

  return { athlete, number, isLoaded, load, save }
})
