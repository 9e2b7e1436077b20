/** Keys of the whole desk, and what keeps words from being lost with the page. */
export function useDeskKeys(actions: { askKeys: () => void; quieten: () => void; focusRow: () => void }) {
  const keeping = useDeskKeepingStore()

  function onKey(event: KeyboardEvent) {
    const isTyping = (event.target as HTMLElement).closest('input, textarea, select, .cm-content') !== null
    if (event.key === '?' && !isTyping) actions.askKeys()
    const act = !event.altKey ? null : event.code === 'KeyQ' ? actions.quieten : event.key.toLowerCase() === 'e' ? actions.focusRow : null
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
