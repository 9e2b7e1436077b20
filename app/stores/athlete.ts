import type { Athlete } from '~~/core/athlete/athlete'
import { unknownAthlete } from '~~/core/athlete/athlete'
import type { KeptAthlete } from '~~/shared/api'

/** The athlete of today, loaded once and again after each save. */
export const useAthleteStore = defineStore('athlete', () => {
  const athlete = shallowRef<Athlete>(unknownAthlete)
  const number = ref(0)
  const isLoaded = ref(false)

  async function load() {
    const kept = await api<KeptAthlete>('/me')
    athlete.value = kept.athlete
    number.value = kept.number
    isLoaded.value = true
  }

  async function save(document: Athlete) {
    const kept = await api<KeptAthlete>('/me', { method: 'PUT', body: { base: number.value, document } })
    athlete.value = kept.athlete
    number.value = kept.number
  }

  return { athlete, number, isLoaded, load, save }
})
