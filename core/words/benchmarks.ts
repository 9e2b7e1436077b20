/** What weakens a line fitted through all-out efforts. */
export type FitWeakness = 'two-efforts' | 'close-efforts' | 'long-effort'

const weaknesses: Readonly<Record<FitWeakness, string>> = {
  'two-efforts': 'from two efforts: how sure it is cannot be told',
  'close-efforts': 'the efforts are under 5 min apart',
  'long-effort': 'an effort of over 15 min is among them',
}

export const sayFitWeakness = (weakness: FitWeakness): string => weaknesses[weakness]

/** Why an effort does not count, or counts only for want of younger ones. */
const standings = {
  'old': 'over 120 days old: counted only where nothing is younger',
  'future': 'of a day to come: not counted yet',
  'impossible': 'nobody has ever done that: not counted',
  'left-out': 'left out by you',
} as const

export const sayMarkStanding = (standing: keyof typeof standings): string => standings[standing]

/**
 * What two marks that contradict each other say: the slower one's words.
 *
 * @param against the one that it does not fit, in words
 */
export const sayConflict = (against: string): string => `slower than ${against} says: not counted until you settle it`

/** What a fit through all-out efforts lacks. */
export type TrialsMissing = 'two-lengths' | 'fitting-together'

/** What a fit lacks, in words that go behind "It needs". */
export const sayTrialsMissing = (missing: TrialsMissing): string =>
  missing === 'two-lengths'
    ? 'two all-out efforts of different lengths between 2 and 20 min'
    : 'efforts that fit together: the longer one is faster than the shorter one, or nearly'
