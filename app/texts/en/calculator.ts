import type { Said } from './said'

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
