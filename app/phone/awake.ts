interface Lock {
  release: () => Promise<void>
}

/** Keeps the screen on while a run is going, as far as the browser does that; asked anew each time the page is seen again. */
export function keepAwake(onState: (isHeld: boolean) => void) {
  let lock: Lock | null = null
  let isWanted = false
  const wakeLock = (navigator as Navigator & { wakeLock?: { request: (kind: 'screen') => Promise<Lock> } }).wakeLock
  async function take() {
    if (!isWanted || !wakeLock || document.visibilityState !== 'visible') return
    try {
      lock = await wakeLock.request('screen')
      onState(true)
    } catch {
      onState(false)
    }
  }
  const seen = () => void take()
  return {
    isPossible: wakeLock !== undefined,
    async begin() {
      isWanted = true
      document.addEventListener('visibilitychange', seen)
      await take()
    },
    async end() {
      isWanted = false
      document.removeEventListener('visibilitychange', seen)
      await lock?.release().catch(() => {})
      lock = null
      onState(false)
    },
  }
}
