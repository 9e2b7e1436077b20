import type { Said } from './said'

/** Sentences of what is in every room. */

export const app = { toTheRoom: 'To the room', agonis: 'Agonis', rooms: 'Rooms', find: 'Find', keys: 'Keys', help: 'Help' }

export const balanceAnswers = {
  move: (title: Said, day: Said) => `Move ${title} to ${day}`,
  notThisWeek: 'Not this week',
  never: 'Never say this',
}

export const composablesApi = {
  theServerDoesNot: 'The server does not answer.',
  theServerFailed: 'The server failed.',
  whatYouTypedIs: 'What you typed is kept here and goes there when it is back.',
}

export const composablesAsked = { keepIt: 'Keep it' }

export const composablesCalendarFile = {
  isLarger: (name: Said, megabytes: Said) => `${name} is larger than ${megabytes} MB, the limit. Export fewer months of it.`,
  hasARule: (name: Said) => `${name} has a rule that never comes true, so that reading it would not end. Nothing was taken in.`,
}

export const composablesUseImport = { chooseTheFileAgain: 'Choose the file again when it is back.' }

export const explained = { whatMeans: (word: Said) => `What ${word} means`, allOfThem: 'All of them' }

export const finder = {
  changed: (updatedAt: Said) => `changed ${updatedAt}`,
  aNewSessionOf: 'a new session of these words',
  findAnything: 'Find anything',
  findARoomA: 'Find a room, a session, what was done, or write one',
  aRoomATitle: 'a room, a title, 12x300, or the words of a new session',
  found: 'Found',
  theServerDoesNot: 'The server does not answer: only rooms are found now.',
  nothingFound: 'Nothing found',
  lookedFor: (how: Said) => `: looked for ${how}`,
  wordsThatReadAs: '. Words that read as rows can be written as a new session.',
  noSessionHasIt: 'No session has it; near it by title. ',
  lookedFor2: (near: Said, how: Said) => `${near}Looked for ${how}.`,
}

export const forecastHowHardChart = {
  shareUsed: 'share used',
  heartRate: 'heart rate',
  bpm: (bpm: Said) => `${bpm} bpm`,
  bpm2: (item: Said) => `${item} bpm`,
  used: (item: Said) => `${item} used`,
}

export const forecastUseForecast = { theForecastCouldNot: 'The forecast could not be reckoned here.' }

export const keysSheet = {
  aSessionDone: 'A session that was done',
  putWhatComesNext: 'put what comes next on its day',
  findARoomA: 'find a room, a session, what was done',
  theSameOutsideText: 'the same, outside text',
  thisListOutsideText: 'this list, outside text',
  closeWhatIsOpen: 'close what is open',
  theNextThingThe: 'the next thing; the first leads past the navigation',
  whatMayComeNext: 'what may come next',
  takeWhatIsOffered: 'take what is offered; else leave the sheet',
  takeBackWithoutEnd: 'take back, without end, after a reload too',
  doAgain: 'do again',
  foldThisRepeat: 'fold this repeat',
  unfoldIt: 'unfold it',
  theSessionBeforeOr: 'the session before or after, from a title',
  openItAtThe: 'open it at the Desk',
  pushTheButtonThat: 'push the button that has the focus',
  theNextButton: 'the next button',
  theSheet: 'The sheet',
  aSessionOnThe: 'A session on the shelf',
  theFace: 'The face',
  inEveryRoom: 'In every room',
  keys: 'Keys',
  close: 'Close',
}

export const composablesTakeRecordings = {
  couldNotBeRead: 'The file could not be read.',
  dropItAgain: 'Drop the file again: what is in the log already is known.',
  isCopyOf: (title: Said) => `another device's copy of ${title}, put aside there`,
  leftOut: (what: Said) => `left out: ${what}`,
  clockWasWrong: (day: Said) => `it says ${day}: its clock was wrong; put right on its page when it began`,
}

export const pluginsPopperPlace = { whatCanBeChosen: 'What can be chosen' }

export const roomOpening = { agonis: (name: Said) => `${name} · Agonis`, opening: 'Opening …' }

export const rooms = {
  passedOn: 'Passed on',
  aSessionThatCame: 'A session that came in a link.',
  today: 'Today',
  whatIsOnToday: 'What is on today, what is on the watch, and what waits for a decision.',
  desk: 'Desk',
  shelf: 'Shelf',
  weeks: 'Weeks',
  watches: 'Watches',
  log: 'Log',
  calculator: 'Calculator',
  me: 'Me',
  help: 'Help',

  writeOneSessionIn: 'Write one session in plain lines. What it comes to and how hard it is stand beside it.',
  allYourSessionsFound: 'All your sessions, found by what is in them.',
  whatIsPlannedOn: 'What is planned on which day. A message with a whole week can be pasted.',
  whatEachWatchHolds: 'What each watch holds, beside what it should hold.',
  whatWasDoneBeside: 'What was done, beside what was planned.',
  paceTimeAndDistance: 'Pace, time and distance, each from the other two.',
  yourNumbersEachWith: 'Your numbers, each with where it came from, and your ways of doing things.',
  standInWatch: 'Stand-in watch',
  aWatchToTry: 'A watch to try a session on: three buttons, its own memory and clock.',
  thisPhoneAsA: 'This phone as a watch',
  leadsYouThroughA: 'Leads you through a session, by screen, voice and tap.',
  whatEachRoomIs: 'What each room is for, what each number and word means, and where it comes from.',
  aboutAgonis: 'About Agonis',
  whatItIsWhich: 'What it is, which version this is, and where what is yours is kept.',
  onPaper: 'On paper',
  theSessionOnAn: 'The session on an arm band, a card or a sheet.',
  signIn: 'Sign in',
  agonisTurnsALine: 'Agonis turns a line of text into a session that a watch leads you through.',
  comeIn: 'Come in',
}

export const sessionBrief = { changed: (updatedAt: Said) => `changed ${updatedAt}` }

export const tagField = { takeTheTagOff: (tag: Said) => `Take the tag ${tag} off`, addATag: 'add a tag', addATag2: 'Add a tag' }

export const wordsDefine = {
  sayWhatItMeans: 'Say what it means',
  whatMeans: (said: Said) => `What ${said} means`,
  n32KmEasy: '3.2 km easy',
  keep: 'Keep',
  leaveIt: 'Leave it',
}

export const wordsLesson = {
  answered: 'Answered:',
  is: 'is',
  readItSoFrom: '. Read it so from now on?',
  keepTheAnswer: 'Keep the answer',
  onlyThisOnce: 'Only this once',
}

export const wordsUseMeaning = {
  aLengthARow: 'A length, a row, or a pace or effort to aim at.',
  thatSaysNoLength: 'That says no length and nothing to aim at.',
  aimsAt: (words: Said) => `Aims at ${words}.`,
  readsAs: (join: Said) => `Reads as ${join}.`,
}
