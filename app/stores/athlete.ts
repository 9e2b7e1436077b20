import { useNow } from '@vueuse/core'
import type { Athlete } from '~~/core/athlete/athlete'
import { unknownAthlete } from '~~/core/athlete/athlete'
import { preparingQuiet } from '~~/core/athlete/quiet-room'
import { usualNudging } from '~~/core/nudge/nudging'
import { standpointAt, standpointOf } from '~~/core/athlete/standpoint'
import type { KeptAthlete } from '~~/shared/api'

/** How often the clock is asked whether a new day has begun, in milliseconds. */
const dayAskedEvery = 20_000

const seenKey = 'agonis.athlete-seen'

function remember(kept: KeptAthlete): void {
  try {
    localStorage.setItem(seenKey, JSON.stringify(kept))
  } catch {
    return
  }
}

function lastSeen(): KeptAthlete | null {
  try {
    return JSON.parse(localStorage.getItem(seenKey) ?? 'null') as KeptAthlete | null
  } catch {
    return null
  }
}

/** Goes through a work bit by bit, whenever nothing else is to be done. */
function whenIdle(work: Generator<void>): void {
  const soon = (go: () => void) => ('requestIdleCallback' in window ? requestIdleCallback(go) : setTimeout(go, 50))
  const goOn = () => {
    if (!work.next().done) soon(goOn)
  }
  soon(goOn)
}

/** The athlete of today and the standpoint that every screen reckons from; loaded once and again after each save. */
export const useAthleteStore = defineStore('athlete', () => {
  const athlete = shallowRef<Athlete>(unknownAthlete)
  const number = ref(0)
  const isLoaded = ref(false)
  const now = useNow({ interval: dayAskedEvery })
  /** The day it is where the athlete lives, ISO date. */
  const today = computed(() => standpointAt(athlete.value, number.value, now.value).day)
  const standpoint = computed(() => standpointOf(athlete.value, today.value, number.value))

  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('agonis.athlete')

  function take(kept: KeptAthlete) {
    athlete.value = kept.athlete
    number.value = kept.number
    remember(kept)
    whenIdle(preparingQuiet(kept.athlete, usualNudging))
  }

  /** The athlete of the server; where it cannot be asked, as this browser saw them last. */
  async function load() {
    const kept = await api<KeptAthlete>('/me').catch((error: unknown) => {
      const last = toldOf(error).status === 0 ? lastSeen() : null
      if (!last) throw error
      return last
    })
    take(kept)
    isLoaded.value = true
  }

  async function save(document: Athlete) {
    const kept = await api<KeptAthlete>('/me', { method: 'PUT', body: { base: number.value, document } })
    take(kept)
    channel?.postMessage(kept)
  }

  /** Another tab has saved newer numbers: they are this tab's too, at once. */
  channel?.addEventListener('message', ({ data }: MessageEvent<KeptAthlete>) => {
    if (!isLoaded.value || data.number <= number.value) return
    take(data)
  })

  return { athlete, number, isLoaded, today, standpoint, load, save }
})
