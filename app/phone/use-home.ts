import { get, set } from 'idb-keyval'
import { digestOf } from '~~/core/wrist/program/digest'
import type { Program } from '~~/core/wrist/program/program'
import type { Athlete } from '~~/core/athlete/athlete'
import { unknownAthlete } from '~~/core/athlete/athlete'
import { standpointAt } from '~~/core/athlete/standpoint'
import type { Loss } from '~~/core/wrist/fit/fit'
import type { KeptAthlete, Listed, ShelfRow } from '~~/shared/api'
import { bringHome, takeAlong, takeWeek } from './home'
import type { HeldProgram } from './store'
import { heldPrograms, holdPrograms, waitingRecordings } from './store'
import { phoneUseHome as texts } from '~/texts/en'

const athleteKey = 'agonis.phone.athlete'
const sayLosses = (losses: readonly Loss[]) =>
  texts.doneOtherwise(losses.length, losses.length === 1 ? texts.thing : texts.things) +
  losses.map(loss => `${loss.what}: ${loss.instead}`).join('; ')

/** What is known on this phone, with or without the server. */
function useKnownHere() {
  const kept = shallowRef<KeptAthlete>({ number: 0, athlete: unknownAthlete })
  const held = shallowRef<HeldProgram[]>([])
  const waiting = ref(0)
  const shelf = shallowRef<ShelfRow[]>([])
  const isOnline = ref(true)

  async function count() {
    held.value = await heldPrograms()
    waiting.value = (await waitingRecordings()).length
  }

  async function loadAthlete() {
    const before = await get<KeptAthlete | Athlete>(athleteKey)
    if (before) kept.value = 'format' in before ? { number: 0, athlete: before } : before
    try {
      kept.value = await api<KeptAthlete>('/me')
      await set(athleteKey, kept.value)
      shelf.value = (await api<Listed<ShelfRow>>('/sessions?limit=50')).rows
      isOnline.value = true
    } catch {
      isOnline.value = false
    }
  }

  const standpointNow = () => standpointAt(kept.value.athlete, kept.value.number, new Date())
  return { kept, held, waiting, shelf, isOnline, count, loadAthlete, standpointNow }
}

/** Takes sessions along as programs, and lets them go again. */
function useTakingAlong(
  { held, count, standpointNow }: ReturnType<typeof useKnownHere>,
  guarded: ReturnType<typeof useGuarded>['guarded'],
) {
  const told = ref('')
  const week = () =>
    guarded(async () => {
      const { taken, problems } = await takeWeek(standpointNow())
      told.value = [texts.takenAlong(taken), ...problems].join(' ')
      await count()
    })
  const along = (id: string) =>
    guarded(async () => {
      const { program, losses } = await takeAlong(id, standpointNow(), null)
      told.value = texts.isOnThisPhone(program.name, losses.length > 0 ? texts.with(sayLosses(losses)) : '')
      await count()
    })
  const leave = (entry: HeldProgram) =>
    guarded(async () => {
      await holdPrograms(held.value.filter(other => other.slot !== entry.slot))
      await count()
    })
  /** Counts or lengths changed with the buttons: carried out so from now on, until the session is taken along anew. */
  const change = (slot: number, program: Program) =>
    guarded(async () => {
      const changed = { program, digest: digestOf(program), isChanged: true }
      await holdPrograms(held.value.map(entry => (entry.slot === slot ? { ...entry, ...changed } : entry)))
      await count()
    })
  return { told, week, along, leave, change }
}

/** What this phone holds, and its way home: programs taken along, recordings that wait, the athlete as last heard of. */
export function usePhoneHome() {
  const known = useKnownHere()
  const { waiting, isOnline, count, loadAthlete } = known
  const home = ref<string[]>([])
  const { problem, isBusy, guarded } = useGuarded()

  /** Recordings go home whenever the server is there; where it is not, they wait and nothing is said to be wrong. */
  async function bring() {
    await count()
    if (waiting.value === 0) return
    try {
      home.value = [...(await bringHome()), ...home.value]
      isOnline.value = true
    } catch (error) {
      const failure = toldOf(error)
      isOnline.value = failure.status !== 0
      if (isOnline.value) problem.value = failure
    }
    await count()
  }
  useEventListener(window, 'online', async () => {
    await loadAthlete()
    await bring()
  })

  const athlete = computed(() => known.kept.value.athlete)
  return { ...known, ...useTakingAlong(known, guarded), athlete, home, problem, isBusy, guarded, bring }
}
