import type { SheetRow } from '../reckon/sheet'

/** A row of words alone, as a card lays it out: no clock, no band. */
export const plainRow = (path: string, kind: SheetRow['kind'], words: string): SheetRow => ({
  path,
  depth: path.split('.').length - 1,
  kind,
  words,
  startsAt: null,
  metresAt: null,
  distanceAt: '',
  comesTo: '',
  band: null,
  roundel: null,
  seconds: null,
  off: false,
})
