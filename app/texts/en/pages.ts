import type { Said } from './said'

/** Sentences of pages that are one file each. */

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

export const entranceNameForm = { isMissing: 'is missing', theName: 'The name', thePassphrase: 'The passphrase' }

export const entranceSignInForm = { name: 'Name', passphrase: 'Passphrase', signIn: 'Sign in', useAPasskey: 'Use a passkey' }

export const error = {
  thereIsNothingAt: 'There is nothing at this address',
  thisRoomHasFailed: 'This room has failed',
  agonis: (title: Said) => `${title} · Agonis`,
  itMayBeMistyped: 'It may be mistyped, or what stood there has gone. Nothing of yours is lost by it.',
  whatYouTypedIs: 'What you typed is kept in this browser. Load the page again; where it fails again, go on in another room.',
}

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
