import type { Said } from './said'

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
