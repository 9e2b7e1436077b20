import type { Said } from './said'

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
