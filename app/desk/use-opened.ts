import { lastOnDesk, rememberFresh, rememberOnDesk } from './draft'
import type { KeptHistory } from './history'
import { keptHistory } from './history'
import type { ApiProblem } from '~/composables/api'

/** The session that the address names, opened on the desk; without a name the last one, or a new one. */
export async function useOpened() {
  const route = useRoute()
  const athletes = useAthleteStore()
  const keeping = useDeskKeepingStore()
  const shelf = useDeskShelfStore()
  const problem = ref<ApiProblem | null>(null)
  const history = ref<KeptHistory | null>(null)
  const openedId = ref('')

  async function openNamed(wanted: string, isNamed: boolean) {
    const past = await keptHistory(wanted)
    const { kept, isShown } = await keeping.open(wanted)
    if (!isShown) return
    shelf.show(kept)
    history.value = past
    openedId.value = wanted
    rememberOnDesk(wanted)
    if (!isNamed) window.history.replaceState(window.history.state, '', `/desk/${wanted}`)
  }

  async function openFor(id: string | undefined) {
    problem.value = null
    try {
      if (!athletes.isLoaded) await athletes.load().catch(() => {})
      if (id === 'new') {
        const made = crypto.randomUUID()
        rememberFresh(made)
        return await navigateTo(`/desk/${made}`, { replace: true })
      }
      const wanted = id || lastOnDesk()
      if (!wanted) return await navigateTo('/desk/new', { replace: true })
      await openNamed(wanted, id === wanted)
    } catch (error) {
      problem.value = toldOf(error)
    }
  }
  watch(
    () => route.params.id,
    id => openFor(id as string | undefined),
  )
  await openFor(route.params.id as string | undefined)
  return { problem, history, openedId }
}
