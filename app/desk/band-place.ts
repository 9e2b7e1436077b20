import { effortAxis } from '~~/core/reckon/sheet'

/** Where an effort in per cent of critical lies across the column of bands, in per cent of its width. */
export const along = (percent: number): number =>
  Math.min(100, Math.max(0, ((percent - effortAxis.low) / (effortAxis.high - effortAxis.low)) * 100))

/** The ends of a band across the column. */
export const placeOf = (band: { low: number; high: number }) => ({ left: along(band.low), width: along(band.high) - along(band.low) })
