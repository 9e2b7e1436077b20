/** The units that lengths and intensities are said in. */

export type DistanceUnit = 'm' | 'km' | 'mi' | 'yd'
/** Seconds per distance; `s/step` for a step's own distance. */
export type PaceUnit = 's/km' | 's/mi' | 's/100m' | 's/100yd' | 's/step'
export type SpeedUnit = 'km/h' | 'mi/h' | 'm/s'
export type HeartRateUnit = 'bpm' | '%HRmax' | '%HRR' | '%LTHR'
export type BandUnit = PaceUnit | '%CS' | SpeedUnit | HeartRateUnit | 'W' | '%CP' | 'rpm' | 'spm' | 'of 10'

/** Whether a larger number of this unit is the harder one: true for all but seconds per distance. */
export function largerIsHarder(unit: BandUnit | '%'): boolean {
  return !unit.startsWith('s/')
}
