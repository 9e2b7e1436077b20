import type { Said } from './said'

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
