import { isOfAthlete } from '~/rooms'

/** Asks ahead where the room is one of whoever is signed in. */
export default defineNuxtPlugin(() => {
  if (isOfAthlete(window.location.pathname)) askFirst()
})
