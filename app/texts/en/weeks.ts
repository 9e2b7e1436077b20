import type { Said } from './said'

export const weeksFillFromMessage = {
  noDayItGoes: 'no day: it goes on the shelf',
  fillFromAMessage: 'Fill from a message',
  theWeekAsIt: 'The week as it came, each day with its name or date',
  tue2KmEasy: 'Tue: 2 km easy, 6 x 800 / 90 s jog, 2 km easy\nThu: rest\nSat: ride 90 min Z2',
  whatItReadsAs: 'What it reads as stands here before anything is kept.',
  session: 'session',
  sessions: 'sessions',
  keep: (readSessions: Said, readSessions2: Said) => `Keep ${readSessions} ${readSessions2}`,
}

export const weeksMessageLines = {
  theShelf: 'the shelf',
  asANote: (line: Said, join: Said) => `${line}; as a note: ${join}`,
  aRestDay: 'a rest day',
  headsWhatFollows: 'heads what follows',
  noWordsOfIts: 'no words of its own',
  noteOf: (line: Said) => `note of ${line}`,
  notReadKeptOn: (line: Said) => `not read, kept on ${line} as it is`,
  notKeptNoSession: 'not kept: no session on that day',
  whatBecomesOfEach: 'What becomes of each line',
  eachLine: 'Each line',
  noneIsLost: 'none is lost',
  is: 'is',
  are: 'are',
  notKept: (notKept: Said, notKept2: Said) => `${notKept} ${notKept2} not kept`,
  line: (line: Said, label: Said) => `Line ${line}: ${label}`,
}

export const weeksPage = {
  to: (firstDay: Said, year: Said) => `${firstDay} to ${year}`,
  whatIsShown: 'What is shown',
  week: 'Week',
  toTheRace: 'To the race',
  weekBefore: 'Week before',
  thisWeek: 'This week',
  weekAfter: 'Week after',
  fillFromAMessage: 'Fill from a message',
  undo: 'Undo',
  onWhichDay: (title: Said) => `On which day is ${title}?`,
  leaveIt: 'Leave it',
  fetchingTheWeek: 'Fetching the week …',
  nothingIsPlannedThis: 'Nothing is planned this week. Put a session on a day, or fill the week from a message.',
  today: ', today',
  here: 'Here',
  putSomethingOn: (name: Said) => `Put something on ${name}`,
  add: 'add',
  besideTheWeek: 'Beside the week',
}

export const weeksEntry = {
  lengthNotKnown: 'length not known',
  noEffortSaid: 'no effort said, so no load',
  effort: (effort: Said) => `effort ${effort} of 10`,
  note: 'note',
  rest: 'rest',
  blocked: 'nothing can be done that day',
  race: 'race',
  restDay: 'Rest',
  blockedDay: 'Blocked',
  done: 'done',
  moveTo: (title: Said) => `Move ${title} to`,
  earlierInItsDay: (title: Said) => `${title} earlier in its day`,
  takeOffTheDay: (title: Said) => `Take ${title} off its day`,
  takeOff: 'take off',
  move: 'move',
  to: 'To',
  change: 'change',
  changeIt: (title: Said) => `Change ${title}`,
}

export const weeksAddTo = {
  aSession: 'Session',
  otherWork: 'Other work',
  aNote: 'Note',
  aRest: 'Rest',
  aRace: 'Race',
  notAvailable: 'Blocked day',
  putOn: (name: Said) => `Put on ${name}`,
  what: 'What',
  whatItIs: 'what it is',
  whyIfYouLike: 'why, if you like',
  name: 'Name',
  putIt: 'Put it there',
  leaveIt: 'Leave it',
}

export const weeksWorkFields = { minutes: 'minutes', effortOf10: 'effort, 0 to 10' }

export const weeksChange = { name: 'What it is', keep: 'Keep', leaveIt: 'Leave it' }

export const weeksSums = {
  nothingYet: 'nothing yet',
  lastWeeks: (low: Said, high: Said) => `${low} to ${high} in the four weeks before`,
  km: (kilometres: Said) => `${kilometres} km`,
  whatTheWeekComesTo: 'What the week comes to',
  theWeek: 'The week',
  all: 'all',
  shares: (easy: Said, between: Said, hard: Said) => `${easy} % easy, ${between} % between the thresholds, ${hard} % hard`,
  loadByEffort: 'Load by effort',
  loadByHeart: 'Load by heart rate',
  notKnown: 'not known',
  monotony: 'Monotony',
  strain: (strain: Said) => `strain ${strain}`,
  leftOut: (count: Said) => `${count} without a load: nothing tells it.`,
  neitherIsTruth:
    'Two ways to estimate load; neither is the truth. What is done counts as it was felt, what is planned as forecast. With pain, dizziness or illness stop, and ask a doctor.',
}

export const weeksFilled = {
  added: 'Put there:',
  changed: 'Changed:',
  moved: 'Moved:',
  gone: 'Taken off:',
  same: 'As it was:',
  close: 'Close',
}

export const weeksThoughts = { suggestions: 'Suggestions', nothingStandsOut: 'Nothing stands out in this week.' }

export const weeksBlock = { theWeeksToThe: 'The weeks to the race', week: 'Week of', load: 'Load' }

export const weeksJump = { jumpToADay: 'Jump to a day' }

export const weeksWholeWeek = {
  wholeWeek: 'Whole week',
  copyToTheNext: 'Copy to the next week',
  asItIs: 'as it is',
  aLittleHarder: 'a little harder',
  aLittleEasier: 'a little easier',
  aStepIs:
    'A little is about 8 % more, or 15 % less, of what you have shown you can do, session by session; each becomes a variant of its own. Ease rather than step up after illness or pain, and ask a doctor or physiotherapist.',
  takeAllOff: 'Take all of it off',
  moveAllFrom: 'Move all from',
  fromDay: 'From which day',
  onBy: 'on by',
  days: 'days',
  moveThem: 'Move them',
  swap: 'Swap',
  oneDay: 'One day',
  and: 'and',
  otherDay: 'The other day',
  swapThem: 'Swap them',
}

export const weeksFromShape = {
  fromAShape: 'From a shape',
  yourOwnWeeks:
    'Weeks by your own hours and days, filled from your shelf. Change what you like; nothing is put on a day before you say so.',
  hoursOfTheFirst: 'Hours of the first week',
  weeksThatGrow: 'Weeks that grow',
  by: 'by',
  thenOneAt: 'then one at',
  weeksInAll: 'Weeks in all',
  comingDown: 'of these coming down to a race',
  upTo: (race: Said) => `Up to the ${race}`,
  hoursWeekByWeek: 'Hours, week by week:',
  aSharpRise:
    'More than 10 % a week is a sharp rise. The evidence on limits is mixed; with pain or illness ease instead, and ask a doctor or physiotherapist.',
  whatItIsFor: (day: Said) => `What ${day} is for`,
  sportOf: (day: Said) => `Sport of ${day}`,
  parts: { rest: 'rest', easy: 'easy', long: 'long', hard: 'hard' },
  anySport: 'any sport',
  layOut: 'Lay the weeks out',
  nothingToPut: 'Nothing to put on a day',
  putOnTheirDays: (count: Said) => `Put ${count} on their days`,
  leaveIt: 'Leave it',
}

export const weeksLaidWeek = {
  ofAimed: (sum: Said, aim: Said, load: Said) => `${sum} of ${aim} aimed at, load ${load}`,
  allTaken: 'all its days hold something already, or are over',
  nothingOf: (aim: Said) => `nothing yet of ${aim} aimed at`,
  isTaken: 'something is there already, or the day is over',
  rest: 'rest',
  nothingFits: (length: Said) => `nothing on your shelf fits about ${length}`,
  leftFree: 'left free',
  another: 'another',
  anotherFor: (day: Said) => `Another one for ${day}`,
}

export const weeksPassOn = {
  passOn: 'Print or pass on',
  paper: 'Paper',
  pageA4: 'page, A4',
  stripForTheFridge: 'strip for the fridge',
  withNotes: 'with notes',
  saveAsPdf: 'Save as PDF',
  openToPrint: 'Open to print',
  copyAsText: 'Copy as text',
  copied: 'Copied',
  eachDayWithIts: 'Each day with its rows, as another Agonis reads it; your notes and what a coach wrote stay here.',
  rest: 'Rest',
  notAvailable: 'Not available',
  weekOf: (day: Said) => `Week of ${day}`,
  nothingIsPlanned: 'nothing is planned',
  ofTraining: (length: Said) => `${length} of training`,
  pieceOf: (piece: Said, count: Said) => `The week on paper, piece ${piece} of ${count}`,
}

export const weeksCalendars = {
  calendars: 'Calendars',
  inAnotherCalendar: 'Your plan in another calendar',
  when: 'When',
  atMyUsualTimes: 'at my usual times',
  onWholeDays: 'on whole days',
  onWeekdays: 'Monday to Friday',
  atTheWeekend: 'at the weekend',
  aTimeAsIn: 'A time as in 18:00.',
  alarm: 'Alarm',
  noAlarm: 'none',
  theDayBeforeAt: (time: Said) => `the day before at ${time}`,
  whenItBegins: 'when it begins',
  minutesBefore: (minutes: Said) => `${minutes} min before`,
  forWhich: 'For',
  phone: 'my phone',
  training: 'Training',
  makeAnAddress: 'Make an address',
  saveAsFile: 'Save as a file',
  copy: 'Copy',
  copied: 'Copied',
  shownThisOnce: 'Shown this once. Whoever has it can read your plan until you end it.',
  atTimes: (weekdays: Said, weekend: Said) => `at ${weekdays}, at the weekend ${weekend}`,
  wholeDays: 'whole days',
  readLast: (moment: Said) => `read last ${moment}`,
  notReadYet: 'not read yet',
  endOf: (name: Said) => `End the address for ${name}`,
  endIt: 'End it',
  fromAnotherCalendar: 'From another calendar',
  chooseAFile: 'Choose a file',
  whatIsCalled: 'Calendar files (.ics). What is called like a session of yours becomes it.',
  eventsFound: (count: Said, name: Said) => `${count} events of the coming year${name === '' ? '' : ` in ${name}`}.`,
  leftOut: (count: Said, why: Said, titles: Said) => `${count} left out, ${why}: ${titles}`,
  why: {
    'no-day': 'they have no day',
    'before': 'their day is over',
    'after': 'they are more than a year ahead',
    'too-many': 'there are too many of them',
    'rule': 'their rule is not understood',
    'unknown-zone': 'their time zone is not known',
  },
  takeThemAs: 'Take them in as',
  asNotes: 'notes',
  asOtherWork: 'other work',
  asBlocked: 'days that cannot be used',
  takeThemIn: 'Take them in',
  told: (added: Said, sessions: Said, changed: Said, gone: Said, left: Said) =>
    `${added} put on their days (${sessions} of them sessions of yours), ${changed} changed, ${gone} taken off, ${left} left as they are.`,
}

export const weeksAhead = {
  toTheWatch: 'To the watch',
  ways: (when: Said, names: Said) => `gets what is planned ${when}, ${names}.`,
  byTheirTitles: 'by their titles',
  byTheirWeekday: 'by their weekdays',
  inOneSlot: 'in one slot',
  sevenDaysAhead: 'seven days ahead',
  onTheirDay: 'on its day',
  onlyByHand: 'when you push it',
  youPushByHand: '',
  nothingGoesByItself: 'Nothing goes by itself.',
  goesByItselfAt: (time: Said) => `It goes by itself at ${time}.`,
  change: 'Change',
  nothingMore: 'All of it is there.',
  onDays: (count: number) => (count === 1 ? 'What goes, on one day' : `What goes, on ${count} days`),
  byLastReceipts: 'It is out of reach: this is by its last receipts.',
}
