/** Every sentence of the screens, one part for each of their files: the language of the screens is this file. */

/** A word or number put into a sentence. */
type Said = string | number

export const aboutPage = {
  vueNuxtPiniaVueuse: 'Vue, Nuxt, Pinia, VueUse',
  theApplication: 'the application',
  elementPlus: 'Element Plus',
  theEditorBelowThe: 'the editor below the sheet',
  apacheEcharts: 'Apache ECharts',
  postgresqlDrizzle: 'PostgreSQL, Drizzle',
  whatIsKept: 'what is kept',
  atkinsonHyperlegibleLiterata: 'Atkinson Hyperlegible, Literata',
  aboutAgonis: 'About Agonis',
  agonisIsForAthletes:
    'Agonis is for athletes who coach themselves. A line of text becomes a structured run, ride or swim; a watch leads you through it; and afterwards each repeat stands beside what was planned.',
  version: 'Version',
  licence: 'Licence',
  mitNothingIsFetched: 'MIT. Nothing is fetched from elsewhere while it runs.',
  whatIsYours: 'What is yours',
  sessionsRecordingsAndNumbers:
    'Sessions, recordings and numbers are on the machine that runs Agonis, and nowhere else. They go out and come in again as open formats: see',
  everythingOfYours: 'Everything of yours',
  whereNumbersComeFrom: 'Where numbers come from',
  eachFormulaHasIts: 'Each formula has its source beside it: see',
  help: 'Help',
  madeWith: 'Made with',
  agonisIsNoMedical:
    'Agonis is no medical device. Before hard training after illness, injury or a long pause, and with any pain, dizziness or a tight chest, ask a doctor or physiotherapist.',
}

export const app = { toTheRoom: 'To the room', agonis: 'Agonis', rooms: 'Rooms', find: 'Find', keys: 'Keys', help: 'Help' }

export const balanceAnswers = {
  move: (title: Said, day: Said) => `Move ${title} to ${day}`,
  notThisWeek: 'Not this week',
  never: 'Never say this',
}

export const calculatorEquivalents = {
  halfMarathon: 'half marathon',
  equivalentTimes: 'Equivalent times',
  over: 'over',
  powerLaw: 'power law',
  oxygen: 'oxygen',
  pace: 'pace',
  use: 'use',
  paceToTheDesk: (metres: Said) => `${metres} pace to the Desk`,
  powerLawRiegel1981:
    'Power law: Riegel (1981), with your own exponent where two efforts tell one. Oxygen: Daniels & Gilbert (1979). Far from the known distance both guess; training for it decides.',
}

export const calculatorFuel = {
  drinkAndEat: 'Drink and eat',
  say: 'say',
  firstAt: 'first at',
  min: 'min',
  thenEvery: 'then every',
  keepGoingIfIt: 'keep going if it takes longer',
  aWordToSay: 'A word to say, a first time up to 600 min, and 1 to 240 min between.',
  tooShortToNeed: 'Too short to need one.',
  times: (times: Said, join: Said, times2: Said) => `${times} times: ${join}${times2}`,
  toTheDesk: 'to the Desk',
  drinkToThirstIn: 'Drink to thirst; in heat earlier. How much agrees with you is found out in training, not in a race.',
}

export const calculatorLanes = {
  aLapByLane: 'A lap by lane',
  lane: 'lane',
  lapM: 'lap, m',
  atThisPace: 'at this pace',
  costsS: 'costs, s',
  use: 'use',
  laneToTheDesk: (lane: Said) => `Lane ${lane} to the Desk`,
  placeTrackLane: (lane: Said) => `place track, lane ${lane}`,
  onAStandard400: 'On a standard 400 m track, measured 30 cm out from the kerb in lane 1 and 20 cm out from the line in the others.',
}

export const calculatorPage = {
  aDistanceAsIn: 'A distance as in 10 km, 400 m or 6 mi.',
  aTimeAsIn: 'A time as in 47:00 or 1:05:00.',
  aPaceAsIn: 'A pace as in 4:42, or a speed.',
  calculator: 'Calculator',
  print: 'Print',
  distanceTimeAndPace: 'Distance, time and pace',
  sport: 'sport',
  run: 'run',
  ride: 'ride',
  swim: 'swim',
  distance: 'distance',
  in: 'in',
  is: 'is',
  unitOfPaceOr: 'Unit of pace or speed',
  toTheDesk: 'to the Desk',
  itTakes: (missing: Said) => `It takes ${missing}.`,
  typeAnyTwoThe: 'Type any two; the third, in italics, follows from the two typed last.',
}

export const calculatorSendOffs = {
  sendOffs: 'Send-offs',
  for: 'for',
  swumIn: (swim: Said) => `swum in ${swim}`,
  on: 'on',
  restS: 'rest, s',
  ofTheTime: 'of the time',
  use: 'use',
  mOnToThe: (metres: Said, sendOff: Said) => `${metres} m on ${sendOff} to the Desk`,
  n8TimesMOn: (metres: Said, sendOff: Said) => `8 times\n  ${metres} m on ${sendOff}`,
}

export const calculatorSplits = {
  splits: 'Splits',
  each: 'each',
  howItIsPaced: 'How it is paced',
  even: 'even',
  secondHalfFaster: 'second half faster',
  fasterWithEach: 'faster with each',
  by: 'by',
  toTheDesk: 'to the Desk',
  at: 'at',
  split: 'split',
  clock: 'clock',
}

export const calculatorTreadmill = {
  sameEffortUphillOr: 'Same effort uphill, or on a belt',
  grade: 'grade',
  kmH: 'km/h',
  use: 'use',
  toTheDesk: (grade: Said) => `${grade} % to the Desk`,
  uphill: (grade: Said) => ` uphill ${grade} %`,
  byTheCostOf:
    'By the cost of running on a slope, Minetti (2002). Wind is left out: a belt has none, and at a fast pace a grade of 1 % makes up for it.',
}

export const cardIdPage = {
  armBand60180: 'Arm band, 60 × 180 mm',
  indexCard12776: 'Index card, 127 × 76 mm',
  onPaperAgonis: (document: Said) => `${document} on paper · Agonis`,
  onPaperAgonis2: 'On paper · Agonis',
  onPaper: 'On paper',
  backToTheDesk: 'Back to the Desk',
  layingItOut: 'Laying it out …',
  paper: 'Paper',
  withACodeOf: 'with a code of the script',
  theScriptIsToo: 'The script is too long for a code that paper can hold.',
  saveAsPdf: 'Save as PDF',
  saveAsSvg: 'Save as SVG',
  openToPrint: 'Open to print',
  piece: 'piece',
  pieces: 'pieces',
  atItsRealSize: (pages: Said, pages2: Said) => `${pages} ${pages2}, at its real size when printed at 100 %`,
  pieceOf: (title: Said, size: Said, index: Said, pages: Said) => `${title}, ${size}, piece ${index} of ${pages}`,
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

export const entranceNameForm = { isMissing: 'is missing', theName: 'The name', thePassphrase: 'The passphrase' }

export const entranceSignInForm = { name: 'Name', passphrase: 'Passphrase', signIn: 'Sign in', useAPasskey: 'Use a passkey' }

export const error = {
  thereIsNothingAt: 'There is nothing at this address',
  thisRoomHasFailed: 'This room has failed',
  agonis: (title: Said) => `${title} · Agonis`,
  itMayBeMistyped: 'It may be mistyped, or what stood there has gone. Nothing of yours is lost by it.',
  whatYouTypedIs: 'What you typed is kept in this browser. Load the page again; where it fails again, go on in another room.',
}

export const explained = { whatMeans: (word: Said) => `What ${word} means`, allOfThem: 'All of them' }

export const faceFaceGlass = {
  inBand: 'in band',
  belowBand: 'below band',
  aboveBand: 'above band',
  paused: 'paused',
  ease: 'ease',
  bpm: (heartRate: Said) => `${heartRate} bpm`,
  settling: 'settling',
  noTarget: 'no target',
  time: 'time',
  distance: 'distance',
  heart: 'heart',
  target: 'target',
  and: 'and',
}

export const faceFaceSensors = {
  heartRate: 'heart rate',
  powerOnTheBike: 'power on the bike',
  cadenceOnTheBike: 'cadence on the bike',
  sensorOnTheFoot: 'sensor on the foot',
  noSensorWasChosen: 'No sensor was chosen.',
  notHeard: ', not heard',
  letGo: 'let go',
  connect: 'connect',
  thisBrowserHasNo: 'This browser has no Bluetooth, so no heart-rate strap and no power meter; position and clock work without it.',
}

export const faceIdleGlass = {
  pairingCode: 'pairing code',
  nothingToCarryOut: 'nothing to carry out',
  changedHere: 'changed here',
  row: 'row',
  rows: 'rows',
  more: (rest: Said, rest2: Said) => `${rest} more ${rest2}`,
}

export const facePickSession = { orOne: 'or one', ofTheShelf: 'of the shelf' }

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

export const helpPage = {
  straightRepeats: 'Straight repeats',
  n9X500M: '9 x 500 m @ 5k effort / 2 min jog',
  withWarmUpAnd: 'With warm-up and cool-down',
  n2KmWu4: '2 km WU, 4 x 6 min @ 4:20-4:26 w 90 s float, 2 km CD',
  inSets: 'In sets',
  n2X4X: '2 x (4 x (90 s @ 102-106 %CP, 1 min easy)) / 4 min easy',
  onSendOffs: 'On send-offs',
  byFeel: 'By feel',
  n40MinEasy6: '40 min easy + 6 x 20 s strides',
  help: 'Help',
  oneLineOfText: 'One line of text becomes a session, the session goes to a watch, and what comes home is laid beside it.',
  walkThroughItAt: 'Walk through it at the Desk',
  aMinuteLong: ', a minute long.',
  theRooms: 'The rooms',
  linesThatRead: 'Lines that read',
  coachesShorthandOfMost:
    "Coaches' shorthand of most kinds reads too. What has two readings is asked, what cannot be read is kept and said.",
  numbersAndWords: 'Numbers and words',
  numbersHereAreEstimates:
    'Numbers here are estimates. Pain, dizziness, a tight chest or illness outrank each of them: stop, and ask a doctor or physiotherapist.',
  aboutAgonis: 'About Agonis',
}

export const joinPage = {
  comeInAgonis: 'Come in · Agonis',
  joinThisAgonis: 'Join this Agonis',
  letThisDeviceIn: 'Let this device in',
  thisAddressHasNo: 'This address has no key in it.',
  haveAnotherOneMade: 'Have another one made.',
  toAgonis: 'To Agonis',
  youGetAnAccount: 'You get an account of your own here; nobody else sees what is in it.',
  nameToSignIn: 'Name to sign in by',
  passphrase12LettersOr: 'Passphrase, 12 letters or more',
  comeIn: 'Come in',
  itWillOpenYour: 'It will open your sessions, plan and log, until it is ended under Me, Devices.',
}

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

export const logChart = {
  keysOfTheChart: 'Arrows move along, + and - go closer and wider, 0 shows all',
  closer: 'Closer',
  wider: 'Wider',
  whole: 'All of it',
  power: 'Power',
  pace: 'Pace',
  andHeartRateOver: (byPower: Said) => `${byPower} and heart rate over time; the table below says the same step by step`,
  blackWhatWasDone: 'Black: what was done. Ribbon: the band that was asked for. Thin lines: where a step begins.',
}

export const logFelt = {
  slept: 'Slept, hours',
  howItFelt: 'How it felt',
  effort: 'Effort',
  notSaid: 'not said',
  of10: (n: Said) => `${n} of 10`,
  note: 'Note',
  somethingHurt: 'something hurt',
  leaveHardSessionsUntil: 'Leave hard sessions until it has gone, and ask a doctor or physiotherapist if it stays.',
}

export const logWhatNext = {
  whatNext: 'The next time',
  kinds: { progress: 'A little harder.', repeat: 'The same again.', ease: 'A little easier.', rest: 'Rest first.' },
  orElse: 'Or:',
  putItOn: (day: Said) => `Put it on ${day}`,
  anotherDay: 'another day',
  undo: 'Undo',
}

export const logPlanOf = {
  whichSession: 'Which session was it?',
  atItsLaps: (percent: Said) => `Its steps were found at its laps, ${percent} % sure.`,
  byItsShape: (percent: Said) => `Its steps were found by the shape of what was recorded, ${percent} % sure.`,
  nothingTells: 'Nothing was recorded that tells its steps.',
  mayBeAnother: 'It may well have been another session, or carried out otherwise.',
  itWasAnother: 'It was another',
  itHadNoPlan: 'It had no plan',
  plannedThatDay: 'Planned that day:',
}

export const logIdPage = {
  log: 'Log',
  agonis: (title: Said) => `${title} · Agonis`,
  theRecordingHasNo: 'The recording has no marks of the watch, so nothing is claimed about its steps.',
  held: (held: Said) => `, ${held} % held`,
  round2: (worst: Said) => `, round ${worst}`,
  furthestOff: (worst: Said, worst2: Said, worst3: Said) => ` Furthest off: ${worst}${worst2}, ${worst3}.`,
  ofStepsDone: (done: Said, planned: Said, held: Said, edges: Said, where: Said) =>
    `${done} of ${planned} steps done${held}.${edges}${where}`,
  fetchingTheRecording: 'Fetching the recording …',
  backToTheLog: 'Back to the log',
  isOutOfThe: (title: Said) => `${title} is out of the log.`,
  bringItBack: 'Bring it back',
  toTheLog: 'To the log',
  theSession: 'the session',
  plannedBesideDone: 'Planned beside done',
  carriedOutAsIt: 'Carried out as it was changed on the watch; it is judged by that.',
  saidOnTheWay: (join: Said) => `Said on the way: ${join}.`,
  itWasCarriedOut: 'It was carried out without a plan.',
  putRight: 'put right',
  startsMoved: (count: number) =>
    `${count === 1 ? 'One step begins' : `${count} steps begin`} where you put ${count === 1 ? 'it' : 'them'}.`,
  asFound: 'As it was found',
  takeItOutOf: 'Take it out of the log',
}

export const logLoggedSteps = {
  statuses: {
    'done': 'done',
    'cut-short': 'cut short',
    'ran-over': 'ran over',
    'skipped': 'skipped',
    'merged': 'merged',
    'moved': 'moved',
    'extra': 'extra',
    'unknown': 'not known',
  },
  reasons: { 'too-hard': 'too hard', 'too-easy': 'too easy', 'uneven': 'uneven', 'no-signal': 'no signal', 'ceiling': 'over the ceiling' },
  tooFast: 'too fast',
  tooSlow: 'too slow',
  of: (count: Said, times: Said) => `${count} of ${times}`,
  round: (rounds: Said) => `, round ${rounds}`,
  begunAt: (beganAt: Said) => ` Begun at ${beganAt}.`,
  endedEarlyIn: (endedAt: Said) => ` Ended early in ${endedAt}.`,
}

export const logBeside = {
  planned: 'Planned',
  round: 'Round',
  done: 'Done',
  time: 'Time',
  distance: 'Distance',
  band: 'Band, and its mean',
  bpm: 'bpm',
  held: 'Held',
  lookAtIt: 'Look at it in the chart',
}

export const logStartHandle = { whereItBegan: 'Where the step began: arrows move it by a second' }

export const logFindings = { ofRepeats: (step: Said, sentence: Said) => `${step}: ${sentence}` }

export const logSplits = {
  splits: (every: Said) => `In stretches of ${every}`,
  by: 'Laps, or stretches',
  laps: 'its laps',
  lengths: 'equal stretches',
  slower: (percent: Said) => `The second half was ${percent} % slower than the first.`,
  faster: (percent: Said) => `The second half was ${percent} % faster than the first.`,
  at: 'At',
  time: 'Time',
  bpm: 'bpm',
  climbed: 'Climbed',
}

export const logTrack = {
  theWay: 'The way, north up',
  heavyIsWork: 'Heavy: the work. North is up; the square is the start.',
  northIsUp: 'North is up; the square is the start.',
}

export const logFacts = {
  putRight: 'Put right',
  title: 'Title',
  day: 'Day',
  at: 'Begun at',
  sport: 'Sport',
  keep: 'Keep it so',
  never: 'Leave it',
}

export const logCopies = {
  another: (name: Said, time: Said) => `Another device recorded it too: ${name}, from ${time}. It is put aside.`,
  instead: 'Take that one instead',
}

export const logUnplanned = {
  looksLike: (count: Said, length: Said, how: Said, rest: Said) =>
    `It looks like ${count} x about ${length}, at ${how}, with ${rest} between.`,
  keep: 'Keep that as a session',
}

export const logPassOn = {
  passOn: 'Pass it on, or keep it',
  goesAlong: 'Goes along only where ticked:',
  ticks: { position: 'positions', heart: 'heart rate', start: 'when it was', message: 'how it felt, and the note' },
  inWords: 'In words',
  theSessionWithIts: 'The session with its results',
  copyWords: 'Copy the words',
  copyLink: 'Copy a link',
  asPicture: 'A picture of it',
  copied: 'copied',
  linkCopied: 'link copied',
  linkCarries: 'The link carries the session in itself: no server sees it, and any Agonis opens it.',
  tooLong: 'Too long for a link; copy the words.',
  asFile: 'As a file',
  original: (name: Said) => `The file it came in, ${name}`,
  inIt: (parts: Said) => `In it: ${parts}.`,
  parts: {
    time: 'time',
    distance: 'distance',
    power: 'power',
    heart: 'heart rate',
    position: 'positions',
    start: 'when it was',
    message: 'how it felt',
  },
  leftOut: (what: Said) => `Left out: ${what}.`,
  noPositions: 'GPX holds positions only, and there are none in it: tick them, or take CSV or JSON.',
  asSession: 'As a session',
  keepDone: 'Keep it as it was done',
  asItWasDone: 'A session with the rounds you did, at what you held.',
}

export const logTrendsPage = {
  title: 'What moves · Agonis',
  whatMoves: 'What moves',
  sport: 'Sport',
  toTheLog: 'To the Log',
  looking: 'Reading what was done …',
  stillReading: (count: Said) => `${count} recordings are still to be read; what stands here grows.`,
}

export const trendsMarks = {
  marks: 'Marks that training speaks for',
  none: 'None: what was done lately lies where your marks say.',
  mark: (amount: Said, value: Said) => `${amount} in ${value}`,
  insteadOf: (value: Said) => `instead of ${value}.`,
  aStretch: (title: Said, day: Said, percent: Said) => `In ${title} on ${day} a stretch was ${percent} faster than your marks say.`,
  offTheirBands: (count: Said, percent: Said, side: Said) =>
    `The work of ${count} sessions lay ${percent} ${side} than the middle of its bands.`,
  harder: 'harder',
  easier: 'easier',
  slowerMayBe:
    'Slower for weeks may be tiredness, heat or an illness as well as fitness: rest first, and see a doctor where it stays or anything hurts.',
  restsOn: (count: number) => (count === 1 ? 'What it rests on' : `The ${count} sessions it rests on`),
  wouldChange: 'It would change, in the next seven days',
  yes: 'Yes, take it',
  no: 'No',
  later: 'Ask in a week',
  itIsAdvice: 'A test tells it better.',
  answers: {
    yes: 'Taken into your marks, dated; targets from today on hang from it. Every number with its history stands',
    no: 'Left. Your marks stand',
    later: 'It will be asked again in a week. Your marks stand',
  },
  inMe: 'in Me',
}

export const trendsPeriods = {
  sums: 'What it came to',
  weeks: 'weeks',
  blocks: 'blocks of four',
  chart: 'Distance by week or block',
  asTable: 'As a table',
  from: 'From',
  sessions: 'Done',
  time: 'Time',
  distance: 'Distance',
  load: 'Load',
}

export const trendsFamily = {
  families: 'A session over time',
  times: (title: Said, count: Said) => `${title} · ${count} times`,
  overTime: 'The mean of each row of work, over time',
  day: 'Day',
  bpm: 'bpm',
  held: 'Held',
  felt: 'Felt',
  inTheLog: 'All of them in the Log',
  noRows: 'Its rows have nothing to set beside each other yet.',
}

export const trendsBests = {
  bests: 'The best so far',
  length: 'Length',
  over: 'Over',
  best: 'Best',
  day: 'Day',
  lately: 'In 90 days',
  latelyOn: 'On',
  mile: '1 mile',
  fromTraining: 'The quickest stretch of any recording; standing still counts. What was not all out is no mark.',
}

export const trendsHabits = {
  habits: 'Learnt of you',
  none: 'Three recordings of a kind tell a habit; there are not as many yet.',
  open: (role: Said) => `An open ${role} takes`,
  recovery: 'In the minute after hard steps the heart falls by',
  beats: (beats: Said) => `${beats} beats`,
  from: (count: Said) => `from ${count} recordings`,
  steadiness: 'How steadily you hold a target stands',
  me: 'in Me',
}

export const passedPage = {
  passedOn: 'Passed on',
  agonis: (title: Said) => `${title} · Agonis`,
  pasteALink: 'Paste the link that you got',
  likeThis: 'http://…/passed#a1.…',
}

export const passedSession = {
  somebodyPassed: 'Somebody passed this session on to you; the link carries it.',
  carriedOutOn: (day: Said) => ` Carried out on ${day}.`,
  theSession: 'The session',
  keepIt: 'Keep it on the Shelf',
  atTheDesk: 'Look at it at the Desk',
  howToAnswer: 'Once you have carried it out, its page in the Log has words and a link to answer with.',
  carriesNone: 'This link carries no session: it was cut off on its way, or comes from a later Agonis.',
}

export const logRecordingFiles = {
  moreFiles: (most: Said) => `It holds more than ${most} files; take it in in several parts.`,
  archiveInArchive: 'An archive within an archive is not opened; unpack it first.',
  noForm: 'No form of a recording: .gpx, .csv or .json.',
  damaged: 'It is damaged and cannot be unpacked.',
  cutOff: 'The archive is cut off in the middle of it.',
  tooLarge: (megabytes: Said) => `It is larger than ${megabytes} MB, the limit.`,
  emptyArchive: 'The archive is empty.',
  isSession: 'It is a session, not a recording: the Shelf takes it in.',
  isNoRecording: 'It is no recording of Agonis.',
  noText: 'It is not text in UTF-8.',
  isEmpty: 'It is empty.',
  noJson: (problem: Said) => `It is not JSON: ${problem}.`,
  noRecording: (problem: Said, line: number | undefined) => `It is no recording: ${problem}${line === undefined ? '' : `, line ${line}`}.`,
}

export const composablesTakeRecordings = {
  couldNotBeRead: 'The file could not be read.',
  dropItAgain: 'Drop the file again: what is in the log already is known.',
  isCopyOf: (title: Said) => `another device's copy of ${title}, put aside there`,
  leftOut: (what: Said) => `left out: ${what}`,
  clockWasWrong: (day: Said) => `it says ${day}: its clock was wrong; put right on its page when it began`,
}

export const logTakeIn = {
  letGo: 'Let go to take them in.',
  reading: (done: Said, count: Said) => `${done} of ${count} read`,
  progress: 'How much is read',
  cancel: 'Cancel the rest',
  takenIn: (count: number) => `${count} ${count === 1 ? 'recording' : 'recordings'} taken in.`,
  wereHere: (count: Said) => `${count} known before.`,
  putAside: (count: number) => `${count} put aside as ${count === 1 ? 'a copy' : 'copies'} of another device.`,
  refused: (count: number) => `${count} ${count === 1 ? 'file' : 'files'} not taken in.`,
  andMore: 'and more like these',
  fine: 'Fine',
}

export const logByHand = {
  byHand: 'Entry by hand',
  sport: 'Sport',
  day: 'Day',
  begun: 'Begun at',
  howLong: 'Time',
  howFar: (unit: Said) => `Distance, ${unit}`,
  heart: 'Heart rate, mean',
  note: 'Note',
  keep: 'Keep it',
  never: 'Leave it',
}

export const logFind = {
  find: 'Find in the log',
  words: 'headwind, quay, 6 x 1 km',
  sport: 'Sport',
  anySport: 'every sport',
  held: 'Held',
  anyHeld: 'held or not',
  family: 'Session',
  anyFamily: 'every session',
  thatFamily: 'that session',
  heldWell: 'held, 70 % and more',
  heldBadly: 'held under 70 %',
  unplanned: 'without a plan',
  place: 'Place',
  anyPlace: 'every place',
  places: { 'pool': 'pool', 'track': 'track', 'trainer': 'trainer', 'treadmill': 'treadmill', 'open-water': 'open water' },
  length: 'Length',
  anyLength: 'every length',
  upTo: (words: Said) => `up to ${words}`,
  between: (low: Said, high: Said) => `${low} to ${high}`,
  over: (words: Said) => `over ${words}`,
  months: 'Months',
  everyMonth: 'every month',
  more: 'Narrow it',
  all: 'Show all',
}

export const logIndexPage = {
  takeIn: 'Take in files',
  byHand: 'Enter by hand',
  trends: 'What moves',
  orDropThem: 'Recordings of any device, dropped on this page, are taken in: GPX, CSV, JSON or a zip of them.',
  sums: (count: Said, time: Said, distance: Said) => `${count} done, ${time}${distance}`,
  nothingLikeThat: 'Nothing in the log is like that.',
  feltOf10: (rpe: Said) => `felt ${rpe} of 10`,
  log: 'Log',
  nothingIsDoneYet: 'Nothing is done yet. Send a session to a watch and carry it out: the recording comes home to this page.',
  toTheWatches: 'To the watches',
  held: (held: Said) => `held ${held} %`,
  ofSteps: (done: Said, planned: Said) => `${done} of ${planned} steps`,
  lookingInTheLog: 'Looking in the log …',
  ofHeldTheShare: (rows: Said, total: Said) =>
    `${rows} of ${total}. Held: the share of the steps with a target that was inside the band. Felt: effort from 0 to 10.`,
  showMore: 'Show more',
}

export const logTraceChart = { heartRateBpm: 'heart rate, bpm', heartRate: 'heart rate' }

export const meAskNumber = {
  aDistanceInKm: 'A distance in km, as in 5 or 10.',
  aTimeAsIn: 'A time as in 24:30.',
  raced: 'raced',
  km: 'km',
  in: 'in',
  keep: 'keep',
}

export const meChoices = {
  quietAsWideAs: 'quiet: as wide as a steady athlete of your sport needs',
  aLittleRoomOn: 'a little room on the fast side, less on the slow: 1.5 % and 0.75 %',
  even5SKm: 'even: 5 s/km, 3 s/100m, 10 W or 4 bpm to each side',
  n3ToEachSide: '3 % to each side',
  powerLawThroughYour: 'power law through your efforts',
  oxygenModelOfYour: 'oxygen model of your best run',
  sex: 'Sex',
  forTheHeartRate: 'For the heart-rate impulse',
  itsWeightsDifferUnknown: 'its weights differ; unknown takes the mean of both',
  unknown: 'unknown',
  female: 'female',
  male: 'male',
  units: 'Units',
  bandAroundOnePace: 'Band around one pace',
  raceTimes: 'Race times',
  bothStandSideBy: 'Both stand side by side above; the one picked here is what 5k or threshold effort means.',
  intensityBy: 'Intensity by',
  whatABareZone: 'What a bare zone 4 is taken for.',
}

export const meDevices = {
  keptFromNowOn: 'Kept. From now on you sign in by it.',
  passkeyOf: (toISOString: Said) => `Passkey of ${toISOString}`,
  minutes: (minutes: Said) => `${minutes} minutes`,
  somebodyJoins: 'Somebody joins',
  oneDeviceOfYours: 'one device of yours',
  oneNewAthlete: 'one new athlete',
  pointTheCameraAt: (lets: Said, within: Said) => `Point the camera at it. It lets ${lets} in, once, within ${within}.`,
  trustThisServer: 'Trust this server',
  firstThingOnEach: 'First thing on each phone: it opens without warnings then.',
  whoeverCanOpenThis: "Whoever can open this machine's port is you: nobody signs in.",
  npmStartLocked: 'npm start -- --locked',
  asksForAKey: 'asks for a key that opens once;',
  npmStartHome: 'npm start -- --home',
  servesYourHomeNetwork: 'serves your home network, with a passphrase, passkeys and paired phones.',
  eachBrowserWasLet: 'Each browser was let in by an address that opens once.',
  setANameAnd: 'Set a name and a passphrase now: the address that let you in does not open twice.',
  nameToSignIn: (signInName: Said) => `Name to sign in by, now ${signInName}`,
  nameToSignInBy: 'Name to sign in by',
  passphrase12LettersOr: 'Passphrase, 12 letters or more',
  change: 'Change',
  set: 'Set',
  letAPhoneTrust: 'Let a phone trust this server',
  pairAPhone: 'Pair a phone',
  addAPasskey: 'Add a passkey',
  passkeysNeedAHost: 'Passkeys need a host name; this page was opened by an address.',
  device: 'Device',
  thisOne: ', this one',
  signedIn: 'Signed in',
  end: (name: Said) => `End ${name}`,
  signOut: 'Sign out',
  end2: 'End',
  passkey: 'Passkey',
  made: 'Made',
  remove: (name: Said) => `Remove ${name}`,
  remove2: 'Remove',
  codeFor: (title: Said) => `Code for ${title}`,
  sha256OfThe: 'SHA-256 of the certificate:',
}

export const meEfforts = {
  meanPowerANumber: 'Mean power: a number from 30 to 2500 W.',
  aDistanceAsIn: 'A distance as in 5 km, 400 m or 1 mi.',
  aTimeAsIn: 'A time as in 24:30 or 1:05:00.',
  aDayThatHas: 'A day that has been.',
  nobodyHasEverDone: 'Nobody has ever done that: look at the time and the distance again.',
  thatEffortIsThere: 'That effort is there already.',
  itWasNotAll: 'It was not all out',
  doesNotHold: (against: Said) => `${against} does not hold`,
  countIt: 'count it',
  removeTheEffortOf: (year: Said) => `Remove the effort of ${year}`,
  remove: 'remove',
  noRaceTimeTrial: 'No race, time trial or test yet. One is enough to begin with; two of different lengths tell more.',
  removed: 'Removed.',
  bringItBack: 'Bring it back',
  sport: 'sport',
  run: 'run',
  ride: 'ride',
  swim: 'swim',
  meanPower: 'mean power',
  distance: 'distance',
  n5Km: '5 km',
  time: 'time',
  day: 'day',
  dayOfTheEffort: 'Day of the effort',
  add: 'Add',
}

export const meEverything = {
  plannedDay: 'planned day',
  yourNumbersAndThe: (join: Said) =>
    `${join}, your numbers and the watches known here would be gone for good. Only a download or a backup brings them back.`,
  eraseEverything: 'Erase everything?',
  goOn: 'Go on',
  keepEverything: 'Keep everything',
  typeEraseToDo: 'Type erase to do it.',
  eraseEverythingForGood: 'Erase everything, for good',
  theWordIsErase: 'The word is: erase',
  hereAlready: (knownCount: Said) => `; ${knownCount} here already`,
  takenInOf: (importedCount: Said, imported: Said, known: Said) => `${importedCount} taken in, of ${imported}${known}.`,
  sessionsWithEveryWording:
    'Sessions with every wording, recordings, plan and numbers as one zip of open formats. Any Agonis takes it in again, here or on another machine; what is there already stays as it is.',
  downloadEverything: 'Download everything',
  takeInADownload: 'Take in a download',
  eraseEverything2: 'Erase everything…',
  everythingIsErased: 'Everything is erased.',
}

export const meFields = {
  aNumberFromTo: (label: Said, low: Said, high: Said, unit: Said) => `${label}: a number from ${low} to ${high} ${unit}`,
  belowYourMaximumOf: (label: Said, max: Said) => `${label}: below your maximum of ${max} bpm`,
  aboveYourHeartRate: (label: Said, rest: Said) => `${label}: above your heart rate at rest of ${rest} bpm`,
  aPaceAsIn: (label: Said) => `${label}: a pace as in 4:38`,
  aTimeAsIn: (label: Said) => `${label}: a time as in 15:00`,
  aDayAsIn: 'a day as in 1984-11-02; only for the estimate of a maximum heart rate',
  aDayAsIn1984: (label: Said) => `${label}: a day as in 1984-11-02`,
  aCeilingYouSet: 'A ceiling you set is a stop sign. Numbers from a watch are estimates; ask a doctor before testing a maximum.',
  atRest: 'At rest',
  heldForAboutAn: 'held for about an hour',
  firstThreshold: 'First threshold',
  whereTalkingGetsShort: 'where talking gets short',
  criticalSpeed: 'Critical speed',
  thePaceThatCan: 'the pace that can just be held steady',
  metresThatCanBe: 'metres that can be spent above critical speed',
  criticalPower: 'Critical power',
  easyPace: 'Easy pace',
  recoveryPace: 'Recovery pace',
  walkingPace: 'Walking pace',
  joulesThatCanBe: 'joules that can be spent above critical power',
  criticalSwimSpeed: 'Critical swim speed',
  usualLengthOfOpen: 'Usual length of open steps',
  countedWhereAStep: 'Counted where a step ends by a press.',
}

export const meHistory = {
  theBeginningAsFar: 'the beginning, as far as it is shown',
  preferredMeasure: 'preferred measure',
  nothingThatIsShown: 'nothing that is shown',
  nothingKeptYet: 'Nothing kept yet.',
  whatWasDoneIs: 'What was done is judged with the numbers of its day: a program keeps the targets it was sent with.',
}

export const meNumbers = {
  nothingFollowsYetAdd: 'Nothing follows yet: add a race, a time trial or a test above.',
  taken: 'taken',
  take: (name: Said, method: Said) => `Take ${name}, ${method}`,
  take2: 'take',
  old: '· old',
  from: (join: Said) => `From ${join}.`,
  itsYoungestInputIs: 'Its youngest input is over 120 days old.',
  changedBy: (changes: Said) => `Changed by ${changes}.`,
  isHalfOfThe:
    "± is half of the range in which the number lies 95 times of 100, or what the method's own literature gives. Estimates, not diagnoses: a doctor knows more about a heart than a formula.",
}

export const mePage = {
  whatFollows: 'What follows',
  yourWords: 'Your words',
  numbersUnitsWays: 'Numbers, units, ways',
  me: 'Me',
  kept: 'kept',
  keeping: 'keeping…',
  eachNumberIsKept: 'Each number is kept as you type it.',
  nothingIsKnownYet:
    'Nothing is known yet. With critical speed or power, a target like “threshold” becomes a number; with an easy pace, a warm-up gets a distance.',
  loadTheOther: 'Load the other',
  onThisPage: 'On this page',
  benchmarks: 'Benchmarks',
  tests: 'Tests',
  whatFollowsFromThem: 'What follows from them',
  zones: 'Zones',
  steadiness: 'Steadiness',
  numbersYouSet: 'Numbers you set',
  settings: 'Settings',
  history: 'History',
  devicesAndSigningIn: 'Devices and signing in',
  everythingOfYours: 'Everything of yours',
  help: 'Help',
  aboutAgonis: 'About Agonis',
}

export const meSettings = {
  asThisDeviceHas: 'as this device has it',
  days: 'Days',
  times: 'Times',
  theWeekBeginsOn: 'The week begins on',
  whereYouAre: 'Where you are',
  lightOrNight: 'Light or night',
  oneClockCountsEverywhere:
    "One clock counts everywhere: what is today, when a week has ended, when a recording began. Light or night is this browser's own.",
}

export const meSteadiness = {
  howFarYourSeconds: 'How far your seconds stray.',
  what: 'what',
  wandersBy: 'wanders by',
  forAbout: 'for about',
  from: 'from',
  learnt: 'learnt',
  yourRecordings: 'your recordings',
  custom: 'custom',
  sInSteps: (sd: Said, tau: Said, steps: Said) => `${sd}, ${tau} s in ${steps} steps`,
  takeTheSteadinessLearnt: (sport: Said) => `Take the steadiness learnt for the ${sport}`,
  take: 'take',
  backToCustom: 'back to custom',
  learnFromMyRecordings: 'Learn from my recordings',
  tooLittleWasHeld: 'Too little was held to a target yet: it takes ten minutes in a sport.',
  howMuchOneSecond:
    "How much one second's value strays from what is meant, and how long it stays there. The forecast of nudges and the quiet band rest on it.",
}

export const meTests = {
  keepIt: 'Keep it',
  kept: 'Kept.',
  allOutIsHard: 'All out is hard on heart and legs. Be well, rested and warm; not with a cold, in heat or with chest ',
  painOver40With: 'pain. Over 40, with a heart condition or new to training: ask a doctor first.',
  n3MinutesAllOut: '3 minutes all out, on the bike',
  warmUp15Min: 'Warm up 15 min. Then 3 min as hard as you can from the first second, no pacing. Write down the mean ',
  ofAllOfIt: 'of all of it and of the last half minute.',
  meanOf3Min: 'mean of 3 min',
  meanOfTheLast: 'mean of the last 30 s',
  twoPowersInW: 'Two powers in W, the last half minute lower than the whole.',
  criticalPowerWW: (criticalPower: Said, wPrime: Said) => `critical power ${criticalPower} W, W' ${wPrime} kJ`,
  twoEffortsOnThe: 'Two efforts, on the bike',
  onTwoDaysOr: 'On two days, or half an hour apart: 3 min and 12 min, each as hard as you can keep even. Five ',
  minutesOrMoreBetween: 'minutes or more between the two lengths tell best.',
  shortTime: 'short, time',
  shortMean: 'short, mean',
  longTime: 'long, time',
  longMean: 'long, mean',
  twoTimesAsIn: 'Two times as in 3:00, and two powers in W.',
  itNeeds: (missing: Said) => `It needs ${missing}.`,
  criticalPowerWWKj: (criticalPower: Said, wPrime: Said) => `critical power ${criticalPower} W, W' ${wPrime} kJ; `,
  twoEffortsOnFoot: 'Two efforts, on foot',
  onTheTrackOn: 'On the track, on two days or half an hour apart: 1200 m and 3 km, each as hard as you can keep even.',
  shortMetres: 'short, metres',
  longMetres: 'long, metres',
  twoDistancesInMetres: 'Two distances in metres, and two times as in 4:52.',
  criticalSpeedKmD: (criticalSpeed: Said, dPrime: Said) => `critical speed ${criticalSpeed} /km, D' ${dPrime} m; `,
  n200MAnd400: '200 m and 400 m, in the pool',
  neverAloneInOpen: (hard: Said) => `${hard} Never alone in open water.`,
  fromAPushNot: 'From a push, not a dive: 400 m as fast as you can keep even, ten minutes easy, then 200 m.',
  twoTimesAsIn3: 'Two times as in 3:32; the 400 m slower than twice the 200 m.',
  criticalSwimSpeed100m: (speed: Said) => `critical swim speed ${speed} /100m`,
  halfAnHourFor: 'Half an hour for threshold heart rate',
  aloneOnTheFlat: 'Alone, on the flat: 30 min as hard as you can keep even. Start the lap after 10 min; the mean heart ',
  rateOfTheLast: 'rate of the last 20 is about your threshold.',
  meanOfTheLast20: 'mean of the last 20 min',
  aHeartRateFrom: 'A heart rate from 90 to 220 bpm.',
  thresholdBpmWithinAbout: (threshold: Said) => `threshold ${threshold} bpm, within about 5`,
}

export const meWays = {
  aTimeOfOr: (least: Said) => `A time of ${least} or more: 20:00`,
  drinkEvery: 'drink every',
  eatEvery: 'eat every',
  runFor: 'run for',
  thenWalkFor: 'then walk for',
  tellingTitlesKeptAs: 'telling titles, kept as long as there is room',
  theWeekdayClearedWhen: 'the weekday, cleared when the week has ended',
  oneSlotAlwaysCalled: 'one slot, always called the same',
  theComingSevenDays: 'the coming seven days',
  todayOnly: 'today only',
  nothingISendBy: 'nothing: I send by hand',
  fiveSecondsBeforeA: 'five seconds before a change',
  halfWay: 'half way',
  namesOnTheWatch: 'Names on the watch',
  pushingToTheWatch: 'Pushing to the watch',
  itIsShownIn: 'It is shown in Watches before it is done.',
  cues: 'Cues',
  lapEvery: 'lap every',
  m0ForNone: 'm, 0 for none',
  onARoadEyes: 'On a road, eyes up: cues are heard or felt, the wrist is never required.',
  besideEverySession: 'Beside every session',
  never: 'never',
  aSecondProgrammeSaid: "A second programme: said between the session's own cues, never over them. Walking is for runs.",
}

export const meWords = {
  yourWords: 'Your words',
  whatYouAndYour:
    'What you and your coach mean by your words. An answer at the Desk or in Weeks can be kept here; a message says beside each row where one was used.',
  said: 'Said',
  means: 'Means',
  change: 'Change',
  change2: (said: Said) => `Change ${said}`,
  forget: (said: Said) => `Forget ${said}`,
  forget2: 'Forget',
  aWordOfYours: 'A word of yours',
  quayLoop: 'Quay loop',
  means2: 'means',
  n32KmEasy: '3.2 km easy',
  keep: 'Keep',
}

export const meZones = {
  slowerThan: (to: Said) => `slower than ${to}`,
  below: (to: Said) => `below ${to}`,
  fasterThan: (from: Said) => `faster than ${from}`,
  above: (from: Said) => `above ${from}`,
  atRest: 'at rest',
  firstThreshold: 'first threshold',
  sport: 'sport',
  run: 'run',
  ride: 'ride',
  swim: 'swim',
  by: 'by',
  zones: 'zones',
  three: 'three',
  five: 'five',
  own: 'own',
  zonesAndBenchmarksOn: 'Zones and benchmarks on one axis; the table below says the same',
  zone: (number: Said) => `zone ${number}`,
  makeThemMyOwn: 'Make them my own',
  needs: (missing: Said) => `Needs ${missing}.`,
  boundsEasiestFirst: 'bounds, easiest first',
  keepThese: 'Keep these',
  backToReckonedOnes: 'back to reckoned ones',
}

export const phoneBluetooth = { thisBrowserHasNo: 'This browser has no Bluetooth.' }

export const phoneHome = {
  thisPhoneCannotHold: (title: Said, what: Said) => `This phone cannot hold “${title}”: ${what}.`,
  changeItOnThe: 'Change it on the Desk first.',
  theServerHasKept: 'The server has kept another recording than this one.',
}

export const phonePage = {
  thisPhoneAsA: 'This phone as a watch · Agonis',
  watchFace: 'Watch face',
  jumpTo: 'jump to',
  beginAt: 'begin at',
  change: 'change',
  thisPhone: 'this phone',
  holdTheBottomWhen: 'hold the bottom when done',
  holdTheBottomTo: 'hold the bottom to change it',
  thereIsNoRoom: 'There is no room in this browser to keep the recording. Make some, and then',
  keepIt: 'keep it',
  aRecordingIsHome: 'A recording is home.',
  plannedBesideDone: 'Planned beside done',
  recordingWaits: 'recording waits',
  recordingsWait: 'recordings wait',
  untilTheServerIs: ' until the server is back',
  onThisPhone: (waiting: Said, waiting2: Said, isOnline: Said) => `${waiting} ${waiting2} on this phone${isOnline}.`,
  bringHomeNow: 'Bring home now',
  thisPhoneAsAWatch: 'This phone as a watch',
  toWatches: 'to Watches',
  toTheLog: 'to the log',
  onIt: 'On it',
  nothingYet: 'Nothing yet.',
  takeOff: 'take off',
  takeTheComingSeven: 'Take the coming seven days along',
  takeAlong: 'Take along',
  theServerDoesNot: 'The server does not answer. What is on this phone runs without it, and recordings go home when it is back.',
  sensors: 'Sensors',
  simulatedOnesToTry: 'simulated ones, to try a session at the table',
  timesRealTime: 'times real time',
  whatThisBrowserDoes: 'What this browser does',
  keepsTheScreenOn: 'keeps the screen on while a session runs',
  letsTheScreenGo: 'lets the screen go dark: set your phone not to lock',
  speaks: 'speaks',
  doesNotSpeak: 'does not speak',
  taps: 'taps',
  doesNotTap: 'does not tap',
  sleepsWhenThePage:
    'sleeps when the page is hidden or the phone is locked: time goes on, heart rate and power are missing for that while, and the track is joined straight. Keep the page in front.',
  onARoadEyes:
    'On a road, eyes up: let it speak, and never run looking at it. Dizzy, in pain or tight in the chest: stop, and ask a doctor.',
  theScreenStaysOn: 'The screen stays on.',
  theScreenMayGo: 'The screen may go dark.',
  thisBrowserCannotKeep: 'This browser cannot keep the screen on.',
}

export const phoneTicking = {
  thisBrowserSleptFor: (away: Said) => `This browser slept for ${away} s: `,
  theTimeWentOn: 'the time went on, and the track is joined straight once the position is back.',
}

export const phoneUseHome = {
  thing: 'thing',
  things: 'things',
  doneOtherwise: (losses: Said, losses2: Said) => `${losses} ${losses2} done otherwise: `,
  takenAlong: (taken: Said) => `${taken} taken along.`,
  with: (losses: Said) => `, with ${losses}`,
  isOnThisPhone: (name: Said, losses: Said) => `“${name}” is on this phone${losses}.`,
}

export const phoneUsePosition = {
  thisBrowserTellsNo: 'This browser tells no position: distance and pace stay empty.',
  thePositionIsNot: 'The position is not allowed here: distance and pace stay empty.',
  noPositionJustNow: 'No position just now.',
}

export const phoneUseRun = { thePageWasAway: (t: Said) => `The page was away and goes on: ${t} s were written down.` }

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

export const shelfPick = {
  findOnThe: 'find on the shelf',
  findOnTheShelf: 'Find on the shelf',
  nothingOnTheShelf: 'Nothing on the shelf has that in it.',
}

export const shelfActs = {
  putOnADay: 'Put on a day',
  onPaper: 'On paper',
  bringBack: 'Bring back',
  doneTimesLast: (timesDone: Said) => `done ${timesDone} times, last`,
  planned: (plannedOn: Said) => `planned ${plannedOn}`,
  onThe: (name: Said) => `on the ${name}`,
}

export const shelfPage = {
  shelf: 'Shelf',
  findByWhatIs: 'Find by what is in it',
  n12x300RideUnder1: '12x300, ride under 1 h with zone 3, swim on send-offs',
  inOrderOf: 'in order of',
  newestChange: 'newest change',
  title: 'title',
  shortest: 'shortest',
  longest: 'longest',
  newSession: 'New session',
  sameContent: 'same content',
  families: 'families',
  archived: 'archived',
  import: 'Import',
  exportAll: 'Export all',
  session: 'session',
  sessions: 'sessions',
  was: 'was',
  were: 'were',
  ofWhatIsIn: (knownCount: Said, knownCount2: Said) => `, ${knownCount} of what is in there ${knownCount2} here already`,
  takenIn: (importedCount: Said, importedCount2: Said, knownCount: Said) => `${importedCount} ${importedCount2} taken in${knownCount}.`,
  notTakenIn: 'Not taken in:',
  fine: 'fine',
  isOffTheShelf: (title: Said) => `“${title}” is off the shelf.`,
  bringItBack: 'Bring it back',
  found: (total: Said, how: Said) => `${total} found: ${how}.`,
  nothingOnTheShelf: 'Nothing on the shelf has that in it',
  lookedFor: (how: Said) => `: looked for ${how}`,
  nearIt: 'Near it:',
  theShelfIsEmpty: 'The shelf is empty. What you write at the',
  desk: 'Desk',
  standsHere: 'stands here.',
  lookingOnTheShelf: 'Looking on the shelf …',
  ofABesideThe: (rows: Said, total: Said) => `${rows} of ${total}. A + beside the time: steps that end by a press are estimated.`,
  showMore: 'Show more',
}

export const shelfRowItem = {
  lengthNotKnown: 'length not known',
  sameContentAsOther: (duplicates: Said, duplicates2: Said) => `same content as ${duplicates} other${duplicates2}`,
  variantOf: (variants: Said, variants2: Said, title: Said) => `${variants} variant${variants2} of ${title}`,
  variant: (variants: Said, variants2: Said) => `${variants} variant${variants2}`,
  actionsFor: (title: Said) => `Actions for ${title}`,
  actions: 'Actions',
}

export const signInPage = {
  signInAgonis: 'Sign in · Agonis',
  signIn: 'Sign in',
  thatAddressHasLet: 'That address has let somebody in already, or is too old.',
  eachOpensOnceWithin: 'Each opens once, within half an hour.',
  theFirstTimeOpen:
    'The first time, open the address that Agonis printed when it started. A phone comes in by a code that a signed-in screen shows under Me, Devices.',
  agonisIsLockedOn: 'Agonis is locked on this machine. Open the address that it printed when it started; that lets this browser in.',
  anotherAddressRun: 'Another address: run',
  npmRunKey: 'npm run key',
  inItsFolderAs: 'in its folder, as the user it runs as.',
  thisBrowserWasNot: 'This browser was not let in: the key of this folder is not in the database it runs on.',
  aBackupThatBelongs: 'A backup that belongs here brings it back:',
  npmRunRestoreFile: 'npm run restore -- FILE',
}

export const standinIdPage = { standInWatchAgonis: 'Stand-in watch · Agonis', standInWatch: 'Stand-in watch', watches: 'Watches' }

export const tagField = { takeTheTagOff: (tag: Said) => `Take the tag ${tag} off`, addATag: 'add a tag', addATag2: 'Add a tag' }

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

export const watchesAbility = {
  heartRate: 'heart rate',
  whicheverFirst: 'whichever first',
  stepsAndBlocks: 'steps and blocks',
  repeatsDeep: 'repeats deep',
  lettersInAName: 'letters in a name',
  sOutsideBeforeA: 's outside before a nudge',
  sBetweenNudges: 's between nudges',
  whatItCanDo: (name: Said, maxSteps: Said, join: Said) => `What it can do: ${name}, ${maxSteps} steps, ${join}`,
  profile: 'profile',
  repeatsUntilADistance: 'repeats until a distance or time',
  showsTheTargetAll: 'shows the target all the time',
  sports: 'Sports',
  aStepEndsBy: 'A step ends by',
  leadsABy: (sport: Said) => `Leads a ${sport} by`,
  keepThese: 'Keep these',
}

export const watchesAddWatch = {
  name: 'Name',
  kind: 'Kind',
  steps: (name: Said, join: Said, maxSteps: Said) => `${name}: ${join}, ${maxSteps} steps`,
  orItsAddress: 'or its address',
  aWatchUsedBy: 'a watch used by somebody else',
  takeItIn: 'Take it in',
  close: 'Close',
}

export const watchesLossList = {
  whatThisWatchCannot: 'What this watch cannot do as written:',
  notPossibleThere: '– not possible there',
  instead: '– instead:',
  instead2: 'instead',
  nothingDoNotSend: 'nothing: do not send it so',
  alwaysSoFor: (about: Said) => `always so, for ${about}`,
}

export const watchesPage = {
  wasMadeOrChanged: (holds: Said) => `“${holds}” was made or changed on the watch and is nowhere else. Clear it all the same?`,
  clearIt: 'Clear it',
  theSessionIsStill: 'The session is still on your shelf.',
  slotIsClearedThere: (slot: Said, should: Said) => `Slot ${slot} is cleared there. ${should}`,
  theWatchIsSlow: 'The watch is slow; what comes home shows in the log.',
  nothingWaitsOnThe: 'Nothing waits on the watch.',
  is: 'is',
  are: 'are',
  cameHomeAndIn: (recordings: Said, recordings2: Said) => `${recordings} came home and ${recordings2} in the log.`,
  forgetHereWhatIt: (name: Said) => `Forget ${name} here? What it holds, it goes on holding.`,
  forgetIt: 'Forget it',
  allAsItShould: 'All as it should be.',
  it: 'it',
  they: 'they',
  notAsShouldBe: (differing: Said, differing2: Said) => `${differing} not as ${differing2} should be.`,
  min: (minutes: Said) => `${minutes} min`,
  itsClockIs: (minutes: Said) => `Its clock is ${minutes} `,
  ahead: 'ahead',
  behind: 'behind',
  itsRecordingsAreDated: (seconds: Said) => `${seconds}; its recordings are dated by ours.`,
  watches: 'Watches',
  takeInAnother: 'take in another',
  thisPhoneAsA: 'this phone as a watch',
  link: 'Link',
  radio: 'radio',
  cable: 'cable',
  lookAgain: 'Look again',
  bringRecordingsHome: (recordings: Said) => `Bring recordings home${recordings}`,
  itsGlassAndButtons: 'its glass and buttons',
  forgetThisWatch: 'forget this watch',
  tryAgain: 'Try again',
  thisWatchHasBeen: 'This watch has been reset since it was last seen: what it should hold is missing there and can be sent again.',
  noWatchIsKnown: "No watch is known yet. Take one in: a stand-in of your watch's kind will do to see what it can hold.",
  askingTheWatchWhat: 'Asking the watch what it holds …',
  itHoldsNothingYet: 'It holds nothing yet: send a session from the Desk, or see below what is planned.',
  inUseFree: (used: Said, free: Said, asItShouldBe: Said) => `${used} in use, ${free} free. ${asItShouldBe}`,
  standingChoices: 'Standing choices',
  noLonger: 'no longer',
}

export const watchesByItself = {
  byItselfAt: 'By itself every day at',
  set: 'Set',
  onlyByHand: 'Only by hand',
  aTimeAsIn: 'A time as in 05:30.',
  nextOn: (moment: Said) => `next on ${moment}`,
  nothingGoes: 'nothing goes by itself',
  clearedOn: (moment: Said) => `what was sent for this week is cleared on ${moment}`,
}

export const watchesPairing = {
  isNotPairedWith: 'is not paired with this account. On its',
  glass: 'glass',
  holdTheMiddleButton: ', hold the middle button; type the six digits it shows.',
  code: 'Code',
  pair: 'Pair',
}

export const watchesPush = {
  theComingSevenDays: 'the coming seven days',
  todayOnly: 'today only',
  nothingByItselfYou: 'nothing by itself: you send by hand',
  tellingTitles: 'telling titles',
  weekdayNamesClearedWeekly: 'weekday names, cleared weekly',
  oneSlot: 'one slot',
  push: 'Push',
  whatIsPlanned: 'What is planned',
  seeWhatPushingWould: 'See what pushing would do',
  yourWays: (pushing: Said, naming: Said) => `Your ways: ${pushing}; ${naming}.`,
  changeThemInMe: 'Change them in Me',
  nothingIsPlannedThat: 'Nothing is planned that has to be sent, and nothing has to go.',
  nothingToDo: 'Nothing to do',
  doThis: 'Do this',
  notNow: 'Not now',
}

export const watchesReadBack = {
  readBack: 'Read back',
  slotReadBack: (slot: Said) => `Slot ${slot}, read back`,
  equalStepByStep: 'equal, step by step',
  notEqual: 'not equal',
  row: 'Row',
  shouldBe: 'Should be',
  is: 'Is',
  equal: 'Equal',
  row2: 'row',
  shouldBe2: 'should be',
  is2: 'is',
}

export const watchesSendPanel = {
  writtenOut: 'written out',
  deep: (maxNesting: Said) => `${maxNesting} deep`,
  stepsRepeats: (name: Said, maxSteps: Said, maxNesting: Said) => `${name}, ${maxSteps} steps, repeats ${maxNesting}`,
  sendToWatch: (title: Said) => `Send to watch: ${title}`,
  noWatchIsKnown: 'No watch is known yet.',
  addOneInWatches: 'Add one in Watches',
  watch: 'Watch',
  notPaired: ', not paired',
  everythingFitsAsWritten: 'Everything fits as written.',
  whatNoWatchCan: 'What no watch can hold stands on its',
  card: 'card',
  seeItStepBy: 'See it step by step',
  toTheStandIn: 'To the stand-in watch',
  close: 'Close',
  send: 'Send',
}

export const watchesSendingRow = {
  bytes: (title: Said, size: Said) => `“${title}”, ${size} bytes`,
  onItsWay: (title: Said) => `“${title}” on its way`,
  cancel: 'Cancel',
  stoppedAtOfBytes: (title: Said, arrived: Said, size: Said, problem: Said) =>
    `“${title}” stopped at ${arrived} of ${size} bytes${problem}`,
  goOnFromThere: 'Go on from there',
  isCancelledTheWatch: (title: Said) => `“${title}” is cancelled. The watch holds what it held.`,
  receiptIsInSlot: (title: Said, slot: Said) => `● Receipt: “${title}” is in slot ${slot}, read back and equal.`,
}

export const watchesSlotTable = {
  slot: 'Slot',
  shouldHold: 'Should hold',
  holds: 'Holds',
  status: 'Status',
  actions: 'Actions',
  slot2: 'slot',
  shouldHold2: 'should hold',
  holds2: 'holds',
  goingNow: 'going now',
  readBack: 'read back',
  sendOverIt: 'send over it',
  sendAgain: 'send again',
  doWithout: 'do without',
  leaveItSo: 'leave it so',
  clear: 'clear',
}

export const watchesStandinWatch = {
  theWatchIsOut: 'The watch is out of reach.',
  itComesBackBy: 'It comes back by itself when the server does.',
  jumpTo: 'jump to',
  beginAt: 'begin at',
  holdTheMiddleTo: 'hold the middle to hide it',
  holdTheBottomWhen: 'hold the bottom when done',
  holdTheBottomTo: 'hold the bottom to change it',
  holdTheMiddleToPair: 'hold the middle to pair',
  watchFace: 'Watch face',
  aRecordingCameHome: 'A recording came home.',
  plannedBesideDone: 'Planned beside done',
  recordingWaits: 'recording waits',
  recordingsWait: 'recordings wait',
  onTheWatch: (recordingsWaiting: Said, recordingsWaiting2: Said) => `${recordingsWaiting} ${recordingsWaiting2} on the watch.`,
  bringHome: 'Bring home',
  buttons: 'Buttons',
  going: 'Going:',
  top: 'top',
  pausesAndResumesHeld: 'pauses and resumes, held it opens where to jump to;',
  middle: 'middle',
  pressesWhereAStep: 'presses where a step ends by press, held for a second it skips;',
  bottom: 'bottom',
  looksHeldItTakes: 'looks, held it takes the last press or skip back, and while paused it ends the session.',
  nothingGoing: 'Nothing going:',
  begins: 'begins,',
  opensWhereToBegin: 'opens where to begin (only the last three, for one), held it shows the pairing code;',
  goesToTheNext: 'goes to the next, held it opens counts and lengths: there',
  makesMore: 'makes more,',
  lessWhatIsChanged: 'less. What is changed stands in Watches as',
  changedThere: 'changed there',
}

export const watchesWords = {
  theSessionHasChanged: 'the session has changed',
  yourNumbersHaveChanged: 'your numbers have changed',
  whatTheWatchCan: 'what the watch can do has changed',
  changedThere: 'changed there',
  madeThere: 'made there',
  thereButNotSent: 'there, but not sent from here',
  askedToBeCleared: 'asked to be cleared, still there',
  sendToSlot: (day: Said, name: Said, slot: Said) => `${day}: send “${name}” to slot ${slot}`,
  inPlaceOfThe: ', in place of the older one',
  inPlaceOf: (replaces: Said) => `, in place of “${replaces}”`,
  isThereAlreadySlot: (day: Said, name: Said, slot: Said) => `${day}: “${name}” is there already, slot ${slot}`,
  clearFromSlot: (name: Said, slot: Said, why: Said) => `clear “${name}” from slot ${slot}: ${why}`,
  waits: (day: Said, name: Said, why: Said) => `${day}: “${name}” waits, ${why}`,
  slotAndStaysClear: (slot: Said, name: Said, why: Said) => `slot ${slot}: “${name}” ${why} and stays; clear it yourself to make room`,
  sent: (arrived: Said) => `${arrived} sent.`,
  ofSentTheRest: (arrived: Said, ends: Said) => `${arrived} of ${ends} sent; the rest can be gone on with.`,
  targetsOfA: (measure: Said, sport: Said, place: Said) => `${measure} targets of a ${sport}${place}`,
  shownBesideTheTarget: (measure: Said, sport: Said, place: Said) => `${measure} shown beside the target of a ${sport}${place}`,
  whicheverComesFirst: 'whichever comes first',
  stepsOfAThat: (sport: Said, measure: Said) => `steps of a ${sport} that end by ${measure}`,
  repeatsItCannotNest: 'repeats it cannot nest',
  repeatsUntilADistance: 'repeats until a distance or time',
  programsThatAreToo: 'programs that are too long',
}

export const watchesWorkshop = {
  doesAsTold: 'does as told',
  startsTooFast7: 'starts too fast, 7 % too hard',
  missesCuesPressesTwice: 'misses cues, presses twice',
  overHillsOf6: 'over hills of 6 %',
  strapSlipsThenA: 'strap slips, then a tunnel',
  oneInFourLost: 'one in four lost, some twice or late',
  cutAfter8000Bytes: 'cut after 8000 bytes',
  outOfReach: 'out of reach',
  theBodyThatWears: 'The body that wears it',
  timesRealTime: 'Times real time',
  seed: 'Seed',
  behaviour: 'Behaviour',
  pressesByItselfAfter: 'presses by itself after the usual time',
  theLinksToIt: 'The links to it',
  link: 'Link',
  radio: 'radio',
  cable: 'cable',
  faults: 'Faults',
  asItIs: 'as it is',
  bytesToGo: (cutAfter: Said) => `${cutAfter} bytes to go`,
  hands: 'Hands',
  slot: 'Slot',
  theChosenOne: 'the chosen one',
  changeItThere: 'change it there',
  deleteItThere: 'delete it there',
  makeOneThere: 'make one there',
  takeTheBatteryOut: 'take the battery out',
  putTheBatteryIn: 'put the battery in',
  setItsClockWrong: 'set its clock wrong',
  behind: 'behind',
  ahead: 'ahead',
  itsClockIsH: (clockHours: Said, clockHours2: Said) => `its clock is ${clockHours} h ${clockHours2}: set right`,
  resetIt: 'reset it',
}

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
