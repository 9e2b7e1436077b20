import { isAltKey } from '~/keys/alt-key'
import { deskKey } from './desk-keys'

/** Keys of the whole desk, and what keeps words from being lost with the page. */
export function useDeskKeys(actions: { quieten: () => void; focusRow: () => void }) {
  const keeping = useDeskKeepingStore()

  function onKey(event: KeyboardEvent) {
    const act = isAltKey(event, deskKey('quiet')) ? actions.quieten : isAltKey(event, deskKey('row')) ? actions.focusRow : null
    if (!act) return
    event.preventDefault()
    act()
  }
  const onHide = () => {
    if (document.visibilityState === 'hidden') void keeping.save()
  }
  /** The browser asks before it leaves words that are kept nowhere. */
  const onUnload = (event: BeforeUnloadEvent) => {
    if (keeping.keeping.state === 'nowhere' || keeping.keeping.state === 'writing') event.preventDefault()
  }
  useEventListener(window, 'keydown', onKey)
  useEventListener(document, 'visibilitychange', onHide)
  useEventListener(window, 'beforeunload', onUnload)
  useEventListener(window, 'pagehide', keeping.leave)
}
