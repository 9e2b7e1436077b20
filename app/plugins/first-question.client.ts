import { isOutside, roomAt } from '~/rooms'

/** Asks ahead where the room is one of whoever is signed in. */
export default defineNuxtPlugin(() => {
  const { pathname } = window.location
  if (roomAt(pathname) && !isOutside(pathname)) askFirst()
})
