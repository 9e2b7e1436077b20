import type { Fix } from '~~/core/sensors/position'
import { phoneUsePosition as texts } from '~/texts/en'

/** The phone's own position while a session runs, and why there is none. */
export function usePosition(hear: (fix: Omit<Fix, 't'>) => void) {
  const problem = ref('')
  let watching: number | undefined

  function stop() {
    if (watching !== undefined) navigator.geolocation.clearWatch(watching)
    watching = undefined
  }

  function start() {
    if (!('geolocation' in navigator)) {
      problem.value = texts.thisBrowserTellsNo
      return
    }
    watching = navigator.geolocation.watchPosition(
      ({ coords }) => {
        problem.value = ''
        hear({ lat: coords.latitude, lon: coords.longitude, accuracy: coords.accuracy, altitude: coords.altitude })
      },
      error => (problem.value = error.code === error.PERMISSION_DENIED ? texts.thePositionIsNot : texts.noPositionJustNow),
      { enableHighAccuracy: true, maximumAge: 0 },
    )
  }
  onBeforeUnmount(stop)

  return { problem, start, stop }
}
