import { printSession } from '~~/core/script/print'
import type { Session } from '~~/core/session/document'
import type { KeptSession, Listed, ShelfRow } from '~~/shared/api'
import type { OwnSession } from './completion'

const rowsTextOf = (document: Session) => printSession(document).split('\n\n').slice(1).join('\n\n').trimEnd()

/** The athlete's own sessions, to be put into the sheet by the first letters of their titles. */
export function useOwnSessions() {
  const text = useDeskTextStore()
  const own = ref<OwnSession[]>([])
  onMounted(async () => {
    const { rows } = await api<Listed<ShelfRow>>('/sessions?limit=60').catch(() => ({ rows: [] as ShelfRow[] }))
    own.value = rows
      .filter(row => row.id !== text.id)
      .map(row => ({
        title: row.title,
        rows: () =>
          api<KeptSession>(`/sessions/${row.id}`)
            .then(kept => rowsTextOf(kept.document))
            .catch(() => null),
      }))
  })
  return own
}
