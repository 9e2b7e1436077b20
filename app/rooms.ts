import { rooms as texts } from '~/texts/en'

/** A room of the application: where it is, what it is called, and what it is about, in the words that stand before anything is loaded. */
export interface Room {
  to: string
  name: string
  about: string
}

/** The rooms of the navigation, in its order. */
export const rooms: readonly Room[] = [
  { to: '/today', name: texts.today, about: texts.whatIsOnToday },
  { to: '/desk', name: texts.desk, about: texts.writeOneSessionIn },
  { to: '/shelf', name: texts.shelf, about: texts.allYourSessionsFound },
  { to: '/weeks', name: texts.weeks, about: texts.whatIsPlannedOn },
  { to: '/watches', name: texts.watches, about: texts.whatEachWatchHolds },
  { to: '/log', name: texts.log, about: texts.whatWasDoneBeside },
  { to: '/calculator', name: texts.calculator, about: texts.paceTimeAndDistance },
  { to: '/me', name: texts.me, about: texts.yourNumbersEachWith },
]

/** Rooms that are reached from another one. */
const inner: readonly Room[] = [
  { to: '/standin', name: texts.standInWatch, about: texts.aWatchToTry },
  { to: '/phone', name: texts.thisPhoneAsA, about: texts.leadsYouThroughA },
  { to: '/help', name: texts.help, about: texts.whatEachRoomIs },
  { to: '/about', name: texts.aboutAgonis, about: texts.whatItIsWhich },
  { to: '/passed', name: texts.passedOn, about: texts.aSessionThatCame },
  { to: '/card', name: texts.onPaper, about: texts.theSessionOnAn },
  { to: '/sign-in', name: texts.signIn, about: texts.agonisTurnsALine },
  { to: '/join', name: texts.comeIn, about: texts.agonisTurnsALine },
]

const isWithin = (path: string, to: string) => path === to || path.startsWith(`${to}/`)

/** Whether an address is one for whoever is not signed in yet. */
export const isOutside = (path: string): boolean => path === '/sign-in' || path === '/join'

/** Whether a room is one of whoever is signed in, and asks first who that is. */
export const isOfAthlete = (path: string): boolean => roomAt(path) !== undefined && !isOutside(path)

/** The room at an address. */
export const roomAt = (path: string): Room | undefined => [...rooms, ...inner].find(room => isWithin(path, room.to))

/** Whether a room of the navigation is the one at an address; the stand-in watch is reached from Watches, a card from its Desk. */
export const isHere = (path: string, to: string): boolean =>
  isWithin(path, to) || (to === '/watches' && isWithin(path, '/standin')) || (to === '/desk' && isWithin(path, '/card'))
