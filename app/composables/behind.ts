/** Does some work once the frame that is being made is shown; soon in a tab that is hidden, which shows none. */
function afterFrame(work: () => void) {
  if (document.hidden) setTimeout(work)
  else requestAnimationFrame(() => setTimeout(work))
}

/**
 * What `tell` says, one frame behind: for those parts of a screen that nobody reads between two keys.
 *
 * @param atOnce with a change of this, nothing stays behind
 */
export function useBehind<T>(tell: () => T, atOnce: () => unknown) {
  const told = shallowRef(tell())
  let isBehind = false
  watch([tell, atOnce], ([now, wanted], [, before]) => {
    if (wanted !== before) told.value = now
    else if (!isBehind) {
      isBehind = true
      afterFrame(() => {
        isBehind = false
        told.value = tell()
      })
    }
  })
  return told
}
