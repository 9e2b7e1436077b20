import type { Said } from './said'

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
