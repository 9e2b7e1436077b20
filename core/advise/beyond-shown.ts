import { sports } from '../session/sports'
import type { Standpoint } from '../athlete/standpoint'
import { abilityOf } from '../athlete/ability'
import { steadinessOf } from '../athlete/steadiness'
import { smoothedSd } from '../nudge/steadiness'
import { itemAt, sportAt } from '../session/item-path'
import { isPaceUnit, metresPerSecondOf } from '../quantity/intensity'
import { formatTime } from '../quantity/time'
import type { ReckonedStep, Reckoning } from '../reckon/reckon'
import { printTarget } from '../script/print-target'
import { placeAt } from '../session/place'
import { quietRoom } from '../athlete/quiet-room'
import { usualNudging } from '../nudge/nudging'
import { quietTarget } from '../forecast/quiet'
import type { Band, BandTarget, PlaceKind, Session, Sport, Step } from '../session/document'
import { isBandTarget } from '../session/document'
import { limits } from '../session/limits'
import { remembered } from '../session/settled'
import { saySuggestion } from '../words/suggestions'
import type { UnkeyedSuggestion } from './suggestion'

/** Speed in m/s, or watts for a ride, that the athlete has shown for so many seconds; null where nothing tells. */
export function shownFor(standpoint: Standpoint, sport: Sport, seconds: number): number | null {
  const ability = seconds < 60 || seconds > limits.seconds ? null : abilityOf(standpoint, sport)
  return ability && (sport === 'ride' || ability.marks.length > 0) ? ability.intensityFor(seconds) : null
}

/** More than shown by this share is worth a remark: races are run by feel, and a day can be better than the last. */
const margin = 1.02

function easedWords(target: BandTarget, by: number): string | null {
  if (isPaceUnit(target.unit)) {
    const slower = (value: number | undefined) => (value === undefined ? undefined : Math.ceil(value * by))
    return printTarget({ ...target, ...defined(slower(target.easiest), slower(target.hardest)) }, target.unit === 's/step')
  }
  if (target.unit === 'W' || target.unit in metresPerSecondOf) {
    const lower = (value: number | undefined) => (value === undefined ? undefined : Math.floor((value / by) * 10) / 10)
    return printTarget({ ...target, ...defined(lower(target.easiest), lower(target.hardest)) })
  }
  return null
}

const defined = (easiest: number | undefined, hardest: number | undefined): Band => ({
  ...(easiest === undefined ? {} : { easiest }),
  ...(hardest === undefined ? {} : { hardest }),
})

function beyondShown(entry: ReckonedStep, step: Step, standpoint: Standpoint, sport: Sport): UnkeyedSuggestion | null {
  const { target, seconds } = entry
  const easiest = target?.easiest ?? target?.hardest ?? null
  const isSpeed = target?.unit === 'm/s' || (target?.unit === 'W' && sport === 'ride')
  if (!target || easiest === null || !isSpeed || seconds.likely === null || step.role !== 'work') return null
  const shown = shownFor(standpoint, sport, seconds.likely)
  if (shown === null || easiest <= shown * margin) return null
  const words = step.target && isBandTarget(step.target) && !step.target.to ? easedWords(step.target, easiest / shown) : null
  const most =
    sport === 'ride'
      ? `${Math.round(shown)} W`
      : `${formatTime(Math.round(sports[sport].paceMetres / shown))} ${sports[sport].paceMetres === 100 ? '/100m' : '/km'}`
  return {
    code: 'beyond-shown',
    path: entry.path,
    message: saySuggestion({ code: 'beyond-shown', seconds: Math.round(seconds.likely), most }),
    fixes:
      words === null
        ? []
        : [
            {
              label: words,
              edits: [
                {
                  do: 'target',
                  at: entry.path,
                  words: step.target && isBandTarget(step.target) && step.target.unit === 's/step' ? `in ${words}` : words,
                },
              ],
            },
          ],
  }
}

/** A band of less than this many standard deviations of the smoothed value, from end to end, is left every few seconds by chance alone. */
const narrowest = 0.75

/** The words of a band that the athlete holds without thinking, where the step's own is narrower than that; null elsewhere. */
const heldWords = remembered((step: Step, standpoint: Standpoint, sport: Sport, place: PlaceKind | undefined): string | null => {
  const { target } = step
  if (
    !target ||
    !isBandTarget(target) ||
    target.to ||
    target.easiest === undefined ||
    target.hardest === undefined ||
    target.easiest === target.hardest
  )
    return null
  const isPace = isPaceUnit(target.unit) && target.unit !== 's/step'
  if (!isPace && target.unit !== 'W') return null
  const { sd, tau } = steadinessOf(standpoint.athlete, sport, target.unit === 'W' ? 'power' : 'speed', place)
  const middle = (target.easiest + target.hardest) / 2
  const width = Math.abs(target.easiest - target.hardest) / middle
  const wander = smoothedSd(sd, tau, Math.max(usualNudging.smoothingSeconds, target.over ?? 0))
  if (width >= narrowest * wander) return null
  const { share } = quietRoom(standpoint.athlete, isPace ? 'pace' : 'power', { sport, place, nudging: usualNudging, over: target.over })
  const quiet = quietTarget(target, share)
  return quiet && printTarget(quiet)
})

function narrowBand(
  step: Step,
  path: string,
  standpoint: Standpoint,
  sport: Sport,
  place: PlaceKind | undefined,
): UnkeyedSuggestion | null {
  const words = heldWords(step, standpoint, sport, place)
  return words === null
    ? null
    : {
        code: 'narrow-band',
        path,
        message: saySuggestion({ code: 'narrow-band', held: words }),
        fixes: [{ label: words, edits: [{ do: 'target', at: path, words: step.also ? `${words} and ${printTarget(step.also)}` : words }] }],
      }
}

/**
 * What the athlete's own marks say about the targets.
 *
 * @param atMost so many of each kind, from the first row on
 */
export function abilityAdvice(session: Session, reckoning: Reckoning, standpoint: Standpoint, atMost: number): UnkeyedSuggestion[] {
  const beyond: UnkeyedSuggestion[] = []
  const narrow: UnkeyedSuggestion[] = []
  for (const entry of reckoning.flat) {
    if (beyond.length >= atMost && narrow.length >= atMost) break
    if (entry.round.some(count => count > 1)) continue
    const item = itemAt(session, entry.path)
    const sport = sportAt(session, entry.path)
    if (item?.kind !== 'step' || !item.target || sport === 'multi') continue
    const isBeyond = beyond.length < atMost ? beyondShown(entry, item, standpoint, sport) : null
    const isNarrow = narrow.length < atMost ? narrowBand(item, entry.path, standpoint, sport, placeAt(session, entry.path)?.kind) : null
    if (isBeyond) beyond.push(isBeyond)
    if (isNarrow) narrow.push(isNarrow)
  }
  return [...beyond, ...narrow]
}
