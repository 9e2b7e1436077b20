/** A room of the application: where it is, what it is called, and what it is about, in the words that stand before anything is loaded. */
export interface Room {
  to: string
  name: string
  about: string
}

/** The rooms of the navigation, in its order. */
export const rooms: readonly Room[] = [
  { to: '/desk', name: 'Desk', about: 'Write one session in plain lines. What it comes to and how hard it is stand beside it.' },
  { to: '/shelf', name: 'Shelf', about: 'All your sessions, found by what is in them.' },
  { to: '/weeks', name: 'Weeks', about: 'What is planned on which day. A message with a whole week can be pasted.' },
  { to: '/watches', name: 'Watches', about: 'What each watch holds, beside what it should hold.' },
  { to: '/log', name: 'Log', about: 'What was done, beside what was planned.' },
  { to: '/calculator', name: 'Calculator', about: 'Pace, time and distance, each from the other two.' },
  { to: '/me', name: 'Me', about: 'Your numbers, each with where it came from, and your ways of doing things.' },
]

/** Rooms that are reached from another one. */
const inner: readonly Room[] = [
  { to: '/standin', name: 'Stand-in watch', about: 'A watch to try a session on: three buttons, its own memory and clock.' },
  { to: '/phone', name: 'This phone as a watch', about: 'Leads you through a session, by screen, voice and tap.' },
  { to: '/help', name: 'Help', about: 'What each room is for, what each number and word means, and where it comes from.' },
  { to: '/about', name: 'About Agonis', about: 'What it is, which version this is, and where what is yours is kept.' },
  { to: '/card', name: 'On paper', about: 'The session on an arm band, a card or a sheet.' },
  { to: '/sign-in', name: 'Sign in', about: 'Agonis turns a line of text into a session that a watch leads you through.' },
  { to: '/join', name: 'Come in', about: 'Agonis turns a line of text into a session that a watch leads you through.' },
]

const isWithin = (path: string, to: string) => path === to || path.startsWith(`${to}/`)

/** Whether an address is one for whoever is not signed in yet. */
export const isOutside = (path: string): boolean => path === '/sign-in' || path === '/join'

/** The room at an address. */
export const roomAt = (path: string): Room | undefined => [...rooms, ...inner].find(room => isWithin(path, room.to))

/** Whether a room of the navigation is the one at an address; the stand-in watch is reached from Watches, a card from its Desk. */
export const isHere = (path: string, to: string): boolean =>
  isWithin(path, to) || (to === '/watches' && isWithin(path, '/standin')) || (to === '/desk' && isWithin(path, '/card'))
