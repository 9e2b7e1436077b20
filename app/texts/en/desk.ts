import type { Said } from './said'

export const deskAloud = { theSessionReadAloud: 'The session, read aloud' }

export const deskBeside = {
  newSession: 'New session',
  howHardItIs: (missing: Said) => `How hard it is needs ${missing}.`,
  theWholeSession: 'The whole session',
  variants: 'Variants',
  beforeNow: 'Before now',
  earlierWordingsStandHere: 'Earlier wordings stand here once it is kept.',
  tags: 'Tags',
}

export const deskCarryOut = { theTextHoldsSeveral: 'The text holds several sessions; its rows are changed one session at a time.' }

export const deskDeskKeys = {
  takeTheFixOf: 'take the fix of this row',
  changeThisRowS: "change this row's length and target",
  takeTheQuietBand: 'take the quiet band in every row that would nudge',
  deeperIntoTheRepeat: 'deeper, into the repeat above',
  outOfIt: 'out of it',
}

export const deskFirstWalk = {
  typeOrPasteWhat: 'Type or paste what a coach would write: 9 x 500 m @ 5k effort / 2 min jog. Each row says at once when it begins ',
  andWhatItComes: 'and what it comes to.',
  whatItComesTo: 'What it comes to',
  timeDistanceHowHard: 'Time, distance, how hard it is for you, and how often a watch would nudge. A question mark beside a number says ',
  whereItComesFrom: 'where it comes from.',
  doubtsAreAsked: 'Doubts are asked',
  whatHasTwoReadings: 'What has two readings is asked at its row, with the answers beside it. Nothing is guessed silently.',
  ontoTheWatch: 'Onto the watch',
  whatTheWatchCannot:
    'What the watch cannot do is said before it goes. A receipt says that it is there, step by step. There is a stand-in to try it on.',
  findAnythingByKeys: 'Find anything, by keys',
  findLeadsToAny: 'Find leads to any room, session or day. Keys lists what the keyboard does in the room you are in.',
  of: (current: Said, total: Said) => `${current} of ${total}`,
}

export const deskHead = { title: 'Title', rename: 'Rename', severalSports: 'several sports' }

export const deskHomeBy = {
  startAt: 'Start at',
  aTimeAsIn: 'a time as in 06:30',
  home: (likely: Said) => `home ${likely}`,
  lengthNotKnown: 'length not known',
  to: (high: Said) => `to ${high}`,
  homeBy: 'Home by',
  aTimeAsIn07: 'a time as in 07:30',
  start: (likely: Said) => `start ${likely}`,
  toBeSure: (safe: Said) => `, to be sure ${safe}`,
}

export const deskHowHard = {
  notKnown: 'not known',
  orMore: (low: Said) => `${low} or more`,
  asHardAsA: 'as hard as a race',
  howHardItIs: 'How hard it is',
  better: (label: Said) => `Better ${label}.`,
  makesIt: (level: Said, used: Said) => `makes it ${level}, ${used}`,
  shareUsedAndHeart: 'Share used and heart rate through the session; the table below says the same',
  aboveT: 'Above: t',
  heShareUsedOf: (heart: Said, range: Said) =>
    `${heart}he share used of what you have shown, 100 % is a race; likely ${range}. Our own model.`,
  belowH: 'Below: h',
  eartRateAsForecast: (used: Said) => `${used}eart rate as forecast, within 10 bpm.`,
  loadByEffortMin: 'Load by effort × min',
  loadByHeartRate: 'Load by heart rate',
  twoWaysToEstimate:
    'Two ways to estimate load; neither is truth. A forecast of what is usual: pain, dizziness, illness or heat outrank it. When in doubt, ease, and ask a doctor or physiotherapist.',
  asATable: 'As a table',
  stepRound: 'step, round',
  ends: 'ends',
  used: 'used',
  bpm: 'bpm',
}

export const deskIdPage = {
  putOnADay: 'Put on a day',
  newSession: 'New session',
  deskAgonis: (title: Said) => `${title} · Desk · Agonis`,
  desk: 'Desk',
  beginANewSession: 'Begin a new session',
  title: (words: Said) => `title ${words}`,
  sport: (words: Said) => `sport ${words}`,
  thisHoldsSessions: (sessionCount: Said) => `This holds ${sessionCount} sessions.`,
  putThemOnTheir: 'Put them on their days',
  theSheetShowsThe: 'The sheet shows the first.',
  sendToWatch: 'Send to watch',
  onPaper: 'On paper',
  undo: 'Undo',
  redo: 'Redo',
}

export const deskKeepHere = { thisBrowserHasNo: 'this browser has no room left' }

export const deskKeeping = {
  kept: (at: Said) => `● kept, ${at}`,
  keeping: '● keeping…',
  keptHere: (why: Said) => `● kept here, ${why}`,
  notKept: (why: Said) => `● not kept: ${why}`,
  bothDifferChoose: '● both differ: choose',
  nothingWrittenYet: 'nothing written yet',
}

export const deskKeys = { inNoRepeat: 'in no repeat' }

export const deskMarks = {
  dragAnEndTo: 'Drag an end to change the band',
  dragToMovePress: 'Drag to move, press to change the count',
  dragToMove: 'Drag to move',
}

export const deskNudges = {
  leanFast: 'lean fast',
  asSaid: 'as said',
  rowNudgesAboutTimes: (path: Said, expected: Said) => `Row ${path} nudges about ${expected} times.`,
  rowsNudgeUpTo: (steps: Said, expected: Said) => `${steps} rows nudge up to ${expected} times each.`,
  nudges: 'Nudges',
  nothingHereThatA: 'Nothing here that a watch would hold you to.',
  about: 'About',
  withTheseBands: (low: Said, high: Said) => `(${low}–${high}) with these bands`,
  on: 'on',
  watch: 'Watch',
  anyWatch: 'any watch',
  reckoning: 'reckoning…',
  stop: 'stop',
  takeTheQuietBand: 'Take the quiet band',
  beLedByThe: (byMean: Said) => `Be led by the mean of ${byMean} s`,
  altQ: 'Alt Q',
  inRows: (edits: Said) => `in ${edits} rows`,
  aboutOneInFive: (edits: Said) => `${edits}: about one in five minutes`,
  noBandAloneIs: 'No band alone is quiet here: it would have to be wider than what you mean to do.',
  aZoneAnOpen: 'A zone, an open band or one that changes has no room to give: say a band of your own to be nudged less.',
  quietNoMoreThan: 'Quiet: no more than about one nudge in five minutes.',
  theNarrowestThatStays: (quietWords: Said) => `The narrowest that stays so: ${quietWords}.`,
  theBandOfEach: 'The band of each way around this target; the table below says the same',
  bandsAndNudgesAs: 'Bands and nudges as a table',
  way: 'way',
  band: 'band',
  aStep: 'a step',
  rowRound: 'row, round',
  expected: 'expected',
  range: 'range',
  carriedOutTimesWith: (toLocaleString: Said) => `Carried out ${toLocaleString} times with your steadiness.`,
  times: (toLocaleString: Said) => `${toLocaleString} times`,
}

export const deskOpening = { notThereYet: 'not there yet' }

export const deskQuestions = { isReadAs: (code: Said, trim: Said, trim2: Said) => `${code} “${trim}” is read as ${trim2}.` }

export const deskRemarkLine = { line: (line: Said) => `Line ${line}`, asRows: (split: Said) => `as ${split} rows`, alt: 'Alt ⏎' }

export const deskRemarks = {
  nothingToAsk: 'Nothing to ask; ',
  oneReading: 'one reading',
  readings: (count: Said) => `${count} readings`,
  noted: (doubtful: Said, count: Said) => `${doubtful}${count} noted`,
  remarks: 'Remarks',
  whatIsDoubtfulOr: 'What is doubtful or cannot be read is said here.',
  noneItReadsAs: 'None: it reads as it stands.',
  alt: 'Alt ⏎',
}

export const deskRowDiff = { rowByRow: 'Row by row' }

export const deskRowKeys = {
  dropLastRecovery: 'Drop last recovery',
  switchOff: 'Switch off',
  harderCopy: 'Harder copy',
  easierCopy: 'Easier copy',
}

export const deskRowMenu = { dropLastRecovery: 'Drop last recovery', thisRow: 'This row', row: 'Row' }

export const deskRowPanel = {
  and: (also: Said) => ` and ${also}`,
  thisRow: 'This row',
  repeat: 'repeat',
  length: 'length',
  target: 'target',
  none: 'none',
  copyAt: 'copy at',
  makeIt: 'make it',
  thisRowIsNot: 'This row is not read yet: the remarks say why.',
  putTheCaretIn: 'Put the caret in a row to change it here, or drag its clock to move it.',
}

export const deskSaving = { onItsWayThere: 'on its way there' }

export const deskSheetEditor = {
  signsThatCannotBe: 'Signs that cannot be kept were left out of what was pasted.',
  clock: 'clock',
  words: 'words',
  comesTo: 'comes to',
  sheet: 'Sheet',
}

export const deskSheetExtensions = {
  isNotSaidIn: (target: Said) => `${target} is not said in numbers that can be pulled; type another target.`,
  and: (also: Said) => ` and ${also}`,
  typeOrPasteA: 'Type or paste a session: 16 min easy, 2 x (4 x (90 s @ 102-106 %CP, 1 min easy)) / 4 min easy, 12 min easy',
  sessionScriptOneStep: 'Session script, one step a line',
}

export const deskSideColumn = {
  totalAndForecast: 'Total and forecast',
  mostTrainingShouldBe: 'Most training should be easy. Pain, dizziness or a tight chest: stop, and ask a doctor.',
}

export const deskSizes = {
  theWholeSession: 'The whole session',
  everyTargetHarder: (percent: Said) => `every target ${percent} % harder`,
  harder: 'Harder',
  everyTargetEasier: (percent: Said) => `every target ${percent} % easier`,
  easier: 'Easier',
  aboutMinLonger: (minutes: Said) => `about ${minutes} min longer`,
  longer: 'Longer',
  aboutMinShorter: (minutes: Said) => `about ${minutes} min shorter`,
  shorter: 'Shorter',
  noWorkHasA: 'No work has a target that could be harder or easier.',
  makeIt: 'Make it',
  min: 'min',
  itIsAboutThat: 'It is about that long already, or has nothing to count.',
  takeThisOne: 'Take this one',
}

export const deskSourceDrawer = {
  asItWasPasted: 'As it was pasted',
  everyWordBecameA: 'every word became a row',
  part: 'part',
  parts: 'parts',
  becameNoRowUnderlined: (leftOver: Said, leftOver2: Said) => `${leftOver} ${leftOver2} became no row: underlined`,
  letItGo: 'let it go',
}

export const deskSplits = { splitsOfRow: (path: Said) => `Splits of row ${path}`, per: (name: Said) => `per ${name}` }

export const deskSportChoice = { sport: 'Sport' }

export const deskSuggestions = {
  lastRecovery: 'Last recovery',
  twoInARow: 'Two in a row',
  narrowBand: 'Narrow band',
  beyondYourMarks: 'Beyond your marks',
  meantSo: 'Meant so?',
  mixedUnits: 'Mixed units',
  waitsForAPress: 'Waits for a press',
  nothingEasyAfter: 'Nothing easy after',
  noWarmUp: 'No warm-up',
  tooLongForToday: 'Too long for today',
  suggestions: 'Suggestions',
  line: (line: Said) => `Line ${line}`,
  dismiss: (code: Said) => `Dismiss: ${code}`,
  dismiss2: 'Dismiss',
  marksGrowOldEase: 'Marks grow old. Ease when it hurts; a doctor or physiotherapist knows more.',
  dismissed: (dismissedCount: Said) => `${dismissedCount} dismissed.`,
  showAgain: 'Show again',
}

export const deskTimeToday = { min: 'min' }

export const deskTotals = {
  notKnown: 'not known',
  about: (unit: Said) => `about ${unit}`,
  totals: 'Totals',
  total: 'Total',
  writeARowOr: "Write a row, or paste a coach's line.",
  fixed: (fixed: Said) => `${fixed} fixed`,
  estimated: (habit: Said) => `, ${habit} estimated`,
  distance: 'Distance',
  hardPart: 'Hard part',
  timeToday: 'Time today',
  steps: 'Steps',
  open: (open: Said) => `, ${open} open`,
}

export const deskTwoSides = {
  oneLine: 'one line',
  lines: (lines: Said) => `${lines} lines`,
  keepThisOne: 'Keep this one',
  theOtherTab: 'The other tab',
  keepThatOne: 'Keep that one',
  bothDiffer: 'Both differ',
  anotherTabLeftOther: 'Another tab left other words here.',
  thisSessionWasChanged: 'This session was changed elsewhere too.',
  theSideYouDo: 'The side you do not take goes.',
  nothingIsLostThe: 'Nothing is lost: the side you do not take stays in its earlier wordings.',
  nothingTheOtherLacks: 'nothing the other lacks',
  theOtherLacks: (only: Said) => `${only} the other lacks`,
}

export const deskVariants = {
  variant: (slice: Said) => `${slice}, variant`,
  whatDiffers: 'what differs',
  saveACopyAs: 'Save a copy as a variant',
}

export const deskWalkOffer = { newHere: 'New here?', aWalkOfA: 'A walk of a minute', noWalk: 'No walk', noThanks: 'no, thanks' }

export const deskWordings = {
  sameRows: 'same rows',
  sinceThenAddedGone: (added: Said, gone: Said) => `since then ${added} added, ${gone} gone`,
  earlierWordings: 'Earlier wordings',
  thereIsNoEarlier: 'There is no earlier wording: this is how it was first kept.',
  bringThisOneBack: 'Bring this one back',
  olderOnes: 'Older ones',
}
