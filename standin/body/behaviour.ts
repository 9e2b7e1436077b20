/** A stretch of elapsed seconds in which a sensor says nothing. */
export interface Silence {
  from: number
  to: number
}

/** How somebody goes about it: what they do wrong, where they are, and which of their sensors fail when. */
export interface Behaviour {
  /** Share by which work is taken too hard (above zero) or too easy. */
  bias: number
  silentHeart?: Silence
  /** A tunnel: no position, and so no metres, until its end. */
  silentPosition?: Silence
  silentPower?: Silence
  /** Hills: their grade in percent, and metres from foot to foot. */
  hills?: { percent: number; metres: number }
  /** Share by which the first twenty seconds of work are taken too hard. */
  startsFast?: number
  /** Chance that a change of step goes unnoticed for some seconds. */
  missesCue?: number
  /** Chance that a button is pressed twice. */
  pressesTwice?: number
  /** Seconds of standing around before the recording is ended. */
  forgetsStop?: number
}

export const carefulManner: Behaviour = { bias: 0 }

export const isSilent = (silence: Silence | undefined, t: number): boolean => silence !== undefined && t >= silence.from && t < silence.to

/** Rise over run at a place of a hilly way; flat at its foot. */
export const slopeAt = (manner: Behaviour, metres: number): number =>
  manner.hills ? (manner.hills.percent / 100) * Math.sin((2 * Math.PI * metres) / manner.hills.metres) : 0

/** Metres above the foot at a place of a hilly way. */
export const heightAt = (manner: Behaviour, metres: number): number =>
  manner.hills
    ? (((manner.hills.percent / 100) * manner.hills.metres) / (2 * Math.PI)) * (1 - Math.cos((2 * Math.PI * metres) / manner.hills.metres))
    : 0
