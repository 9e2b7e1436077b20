/** What weakens a line fitted through all-out efforts. */
export type FitWeakness = 'two-efforts' | 'close-efforts' | 'long-effort'

const weaknesses: Readonly<Record<FitWeakness, string>> = {
  'two-efforts': 'from two efforts: how sure it is cannot be told',
  'close-efforts': 'the efforts are under 5 min apart',
  'long-effort': 'an effort of over 15 min is among them',
}

export const sayFitWeakness = (weakness: FitWeakness): string => weaknesses[weakness]

/** What a fit through all-out efforts lacks. */
export type TrialsMissing = 'two-lengths' | 'fitting-together'

/** What a fit lacks, in words that go behind "It needs". */
export const sayTrialsMissing = (missing: TrialsMissing): string =>
  missing === 'two-lengths'
    ? 'two all-out efforts of different lengths between 2 and 20 min'
    : 'efforts that fit together: the longer one is faster than the shorter one, or nearly'
