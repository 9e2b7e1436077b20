import type { Effort } from '../athlete/athlete'
import { abilityOf, intensityOver } from '../athlete/ability'
import type { Standpoint } from '../athlete/standpoint'
import { daysFrom } from '../quantity/day'
import type { Sport } from '../session/document'
import type { Learnt } from './learn'

/** A recording as the proposals see it. */
export interface LearntRecording {
  id: string
  title: string
  day: string
  sport: Sport
  rpe: number | null
  pain: boolean
  learnt: Pick<Learnt, 'bests' | 'evidence'>
}

/** A mark that training speaks for, with what it rests on. */
export interface MarkProposal {
  /** By which it is answered; another once more is known. */
  key: string
  sport: Sport
  effort: Effort
  /** What the marks of today say for the same length, in seconds, or W on the bike. */
  today: number
  /** As a share of speed or power: above 0 is fitter. */
  change: number
  /** A stretch that was faster than the marks say, or repeats that lay off their bands for weeks. */
  because: 'stretch' | 'repeats'
  rests: { id: string; title: string; day: string; ratio: number }[]
}

/** Days that training speaks for. */
const lately = 42
const fewest = 3
/** Work that lay off by less is chance or custom. */
const clearly = 0.015
/** Standard errors that the mean of the sessions must lie from nothing. */
const surely = 3
/** The least that sessions differ by, as a share: fewer would make three of them too sure. */
const leastSpread = 0.008
/** No step of a mark is larger, as a share. */
const largest = 0.03
/** A stretch must be faster by that, as a share: less is the instrument. */
const beyondInstrument = 0.02
/** Felt harder than that, being faster is no sign of being fitter. */
const allOut = 9

/** The mark that is moved by repeats: where most of an athlete's targets hang from. */
const usualMark: Readonly<Record<Sport, { metres: number } | { seconds: number }>> = {
  run: { metres: 5000 },
  swim: { metres: 400 },
  ride: { seconds: 1200 },
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length
const newestMark = ({ athlete }: Standpoint, sport: Sport) =>
  (athlete.efforts ?? [])
    .filter(effort => effort.sport === sport)
    .map(({ date }) => date)
    .sort()
    .at(-1)

function byRepeats(sport: Sport, day: string, recordings: readonly LearntRecording[], standpoint: Standpoint): MarkProposal | null {
  const ability = abilityOf(standpoint, sport)
  if (!ability) return null
  const rests = recordings.flatMap(({ id, title, day: on, learnt, rpe, pain }) => {
    const { evidence } = learnt
    if (!evidence || pain || (evidence.ratio > 0 && (rpe ?? 0) > allOut)) return []
    return [{ id, title, day: on, ratio: evidence.ratio }]
  })
  if (rests.length < fewest) return null
  const ratios = rests.map(({ ratio }) => ratio)
  const whole = mean(ratios)
  const spread = Math.max(leastSpread, Math.sqrt(ratios.reduce((sum, ratio) => sum + (ratio - whole) ** 2, 0) / (ratios.length - 1)))
  const isSure = Math.abs(whole) > clearly && Math.abs(whole) > (surely * spread) / Math.sqrt(ratios.length)
  const newest = mean(ratios.slice(-2))
  if (!isSure || Math.sign(newest) !== Math.sign(whole)) return null
  const change = Math.max(-largest, Math.min(largest, Math.expm1(whole)))
  const of = usualMark[sport]
  const today = 'seconds' in of ? ability.intensityFor(of.seconds) : of.metres / intensityOver(ability, of.metres)
  const becomes =
    'seconds' in of
      ? { seconds: of.seconds, watts: Math.round(today * (1 + change)) }
      : { metres: of.metres, seconds: Math.round(today / (1 + change)) }
  return {
    key: `mark ${sport} repeats ${rests.at(-1)!.id}`,
    sport,
    change,
    because: 'repeats',
    rests,
    today: Math.round(today),
    effort: { sport, date: day, ...becomes },
  }
}

/** Stretches that a mark may be of: what is shorter hangs from the sprint, and what is longer is seldom all out. */
const markBetween = { least: 150, most: 5400 } as const

function byStretch(sport: Sport, recordings: readonly LearntRecording[], standpoint: Standpoint): MarkProposal | null {
  const ability = abilityOf(standpoint, sport)
  if (!ability) return null
  let best: MarkProposal | null = null
  for (const { id, title, day, learnt } of recordings) {
    for (const { metres, seconds, value } of learnt.bests) {
      if (seconds < markBetween.least || seconds > markBetween.most) continue
      const says = metres === null ? ability.intensityFor(seconds) : intensityOver(ability, metres)
      const change = value / says - 1
      if (change < beyondInstrument || change <= (best?.change ?? 0)) continue
      best = {
        key: `mark ${sport} stretch ${id} ${metres ?? seconds}`,
        sport,
        change,
        because: 'stretch',
        rests: [{ id, title, day, ratio: change }],
        today: Math.round(metres === null ? says : metres / says),
        effort: {
          sport,
          date: day,
          seconds: Math.round(seconds),
          ...(metres === null ? { watts: Math.round(value) } : { metres: Math.round(metres) }),
        },
      }
    }
  }
  return best
}

/**
 * Marks that training of the last six weeks speaks for: a stretch that was faster than the marks say, else repeats that lay to one
 * side of their bands in at least three sessions, by more than chance. Only what was done since the newest mark of its sport counts,
 * since the bands hang from it; sessions with pain do not, nor those that were fast because they were all out.
 *
 * @param recordings of any sports and days, in their order
 * @param standpoint whose day is today
 */
export function proposeMarks(recordings: readonly LearntRecording[], standpoint: Standpoint): MarkProposal[] {
  const { day } = standpoint
  if (day === null) return []
  return (['run', 'ride', 'swim'] as const).flatMap(sport => {
    const since = newestMark(standpoint, sport) ?? ''
    const counted = recordings.filter(one => one.sport === sport && one.day > since && one.day >= daysFrom(day, -lately) && one.day <= day)
    return byStretch(sport, counted, standpoint) ?? byRepeats(sport, day, counted, standpoint) ?? []
  })
}
