/** A number or a word of our own: what it means, and where it comes from. */
export interface Entry {
  word: string
  means: string
  source?: string
}

/** What the words and numbers on the screens mean, each told once and shown where it stands. */
export const glossary = {
  'total': {
    word: 'Total',
    means:
      'How long the session likely takes. Fixed is what is said in time or follows from a distance and a pace; ' +
      'estimated is what you usually take for steps that end when you press.',
    source: 'Your usual lengths in Me, else 15 min of warm-up, 10 of cool-down, 3 for anything else.',
  },
  'share-used': {
    word: 'How hard it is',
    means:
      'The share of what you have shown that the session uses at its hardest moment: 100 % is what a race would take. ' +
      'It fills with work and empties with rest.',
    source: 'Our own model on the curve through your marks of the last 120 days; docs/numbers.md has the formulas.',
  },
  'load': {
    word: 'Load',
    means: 'Two ways to sum up strain, side by side because neither is truth: effort out of 10 times minutes, and heart rate over time.',
    source: 'Foster et al. (2001) for effort times minutes; Banister (1991) for the heart-rate impulse.',
  },
  'nudge': {
    word: 'Nudge',
    means: 'The watch telling you that you are outside the band: by tone, tap or voice.',
    source: 'Expected by carrying the session out many times with your own steadiness.',
  },
  'band': {
    word: 'Band',
    means: 'The range from easiest to hardest within which the watch stays silent. Give is the room on each side of a single value.',
  },
  'quiet-band': {
    word: 'Quiet band',
    means: 'The narrowest band that nudges no more than about once in five minutes, for somebody as steady as you.',
    source: 'Reckoned from the spread of your own seconds, or of a steady athlete of your sport.',
  },
  'held': {
    word: 'Held',
    means:
      'The share of a step that was inside its band, after settling (10 s for pace, 5 s for power, 60 s for heart ' +
      'rate), pauses and gaps left out. A step is judged by its mean first.',
    source: 'docs/numbers.md, Judging.',
  },
  'receipt': { word: 'Receipt', means: 'The watch has the program, it was read back, and every step is what was sent.' },
  'loss': {
    word: 'Loss',
    means: 'Something in the session that this watch cannot do, and what it does instead. Nothing is dropped silently.',
  },
  'slot': {
    word: 'Slot',
    means:
      'A place on the watch for one program. Equal: as sent. Older: the session, your numbers or the watch have changed ' +
      'since. Changed there, made there: by the buttons of the watch. Missing: gone from it.',
  },
  'stand-in': {
    word: 'Stand-in watch',
    means: 'A watch that ships with Agonis, with its own memory, clock, buttons and faults, to try a session on.',
  },
  'remark': {
    word: 'Remark',
    means: 'What the reader noted about a line. A question has two sensible readings: the likelier is taken until you answer.',
  },
  'suggestion': {
    word: 'Suggestion',
    means: 'What the shape of the session suggests. It never changes anything by itself; Dismiss keeps it away.',
  },
  'cord': {
    word: 'Cord',
    means:
      'A session in one line: knots are work, as long as their time and dark by effort, bare cord is recovery, a ' +
      'bracket counts a repeat.',
  },
  'string': {
    word: 'String',
    means: "Each row's band at its place on one axis of effort, in percent of critical. Dotted: no target is said.",
  },
  'as-run': {
    word: 'As run',
    means: 'The session in words with what happened behind each row, to pass on. Pasted at the Desk it reads back.',
  },
  'steadiness': {
    word: 'Steadiness',
    means: 'How far your one-second pace, power or heart rate strays from its mean, and how long it stays away.',
    source: 'Spread and correlation in held steps of your last 20 recordings (Yule-Walker).',
  },
  'critical': {
    word: 'Critical speed and power',
    means: 'The hardest intensity that settles instead of rising: above it a reserve runs down, below it comes back.',
    source: 'Monod and Scherrer (1965), Moritani (1981).',
  },
} as const satisfies Record<string, Entry>

export type Term = keyof typeof glossary
