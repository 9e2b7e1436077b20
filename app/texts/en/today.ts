import type { Said } from './said'

export const todayPage = {
  todayAgonis: 'Today · Agonis',
  today: 'Today',
  lookingWhatIsOn: 'Looking what is on …',
  isToday: (race: Said) => `${race} is today`,
  oneDayTo: (race: Said) => `one day to ${race}`,
  daysTo: (days: Said, race: Said) => `${days} days to ${race}`,
  thisDayIsBlocked: 'This day is blocked.',
  aRest: 'A rest',
  min: (minutes: Said) => `${minutes} min`,
  besideToday: 'Beside today',
}

export const todayFirstLook = {
  nothingIsPlannedYet: 'Nothing is planned yet',
  agonisTurnsA: 'Agonis turns a line of text into a session that a watch leads you through, and says afterwards how it went.',
  pasteAMessage: 'Paste a message with a session or a week in it',
  tue6X800: 'Tue: 2 km easy, 6 x 800 / 90 s jog, 2 km easy',
  readIt: 'Read it',
  writeALine: 'Write a line yourself',
  lookRound: 'Look round with the demo',
  help: 'Help',
}

export const todaySession = {
  orMore: (low: Said) => `(${low} or more of what you have shown)`,
  toOf: (low: Said, high: Said) => `(${low} to ${high} of what you have shown)`,
  howLongIsNot: 'How long is not known.',
  done: 'done',
  onThe: (watches: Said) => `on the ${watches}`,
  onNoWatchYet: 'on no watch yet',
  carryOutOnThis: 'Carry out on this phone',
  toTheWatches: 'Send to a watch',
  openAtTheDesk: 'Open at the Desk',
  copyAsText: 'Copy as text',
  copied: 'Copied',
}

export const todayMoveTo = { moveToAnother: 'Move to another day', daysToMove: 'Days to move it to' }

export const todayNothingOn = {
  aDayOfRest: 'A day of rest',
  nothingIsOnToday: 'Nothing is on today',
  anEasyOneFrom: 'An easy one from the shelf',
  writeOne: 'Write one',
  keepItAs: 'Keep it as a rest',
  rest: 'Rest',
  comingUp: 'Coming up',
  doItToday: 'do it today',
  doToday: (title: Said) => `Do ${title} today`,
}

export const todayLast = {
  last: (title: Said, day: Said) => `Last: ${title}, ${day}`,
  took: (time: Said) => `It took ${time}.`,
  held: (percent: Said) => `Held ${percent} % of what had a target.`,
  felt: (effort: Said) => `It felt like ${effort} of 10.`,
  howItFelt: 'How it felt is not said yet.',
  asRun: 'As run',
}

export const todayDecisions = {
  toDecide: 'To decide',
  oneRecording: 'One recording waits',
  recordings: (count: Said) => `${count} recordings wait`,
  waitsOnThe: (recordings: Said, watch: Said) => `${recordings} on the ${watch}.`,
  bringItHome: 'Bring it home',
  onTheIsOlder: (title: Said, watch: Said) => `${title} on the ${watch} is older than the session.`,
  lookAtIt: 'Look at it',
  theDemoIsAWeek: 'The demo was laid out around last week.',
  theDemoIsWeeks: (weeks: Said) => `The demo was laid out around a day ${weeks} weeks ago.`,
  moveItToToday: 'Move it to today',
  readsTwoWays: (title: Said, day: Said) => `${title} of ${day} has a row that reads two ways.`,
  answerIt: 'Answer it',
  cameHomeWithout: (day: Said) => `What was done on ${day} has no plan.`,
  yourYoungestMark: (sport: Said, day: Said) => `Your youngest mark for the ${sport} is of ${day}: what is reckoned from it may be off.`,
  toYourNumbers: 'To your numbers',
  didNotArrive: (title: Said, watch: Said, problem: Said) => `${title} did not arrive on the ${watch}. ${problem}`,
  nothingWaitsFor: 'Nothing waits for you.',
  lastChange: (said: Said) => `${said}.`,
  undo: 'Undo',
}

export const todayRefused = {
  pushWasRefused: (moment: Said, watch: Said) => `What was pushed by itself on ${moment} is not all on the ${watch}.`,
  tryAgain: 'Try again now',
  toTheWatches: 'To the watches',
}

export const todayWeek = {
  thisWeek: 'This week',
  doneOf: (done: Said, whole: Said) => `${done} done of ${whole}`,
  easy: (percent: Said) => `${percent} % easy`,
  nothing: 'nothing',
}
