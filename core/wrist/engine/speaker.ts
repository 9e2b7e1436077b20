import type { Units } from '../../athlete/athlete'
import { usualUnits } from '../../athlete/athlete'
import { formatTime } from '../../quantity/time'
import type { Cue } from './engine-state'
import { signalWords } from './engine-state'
import { stepAtPath } from '../program/program-steps'
import type { Program } from '../program/program'
import { sayEnd, sayMetres } from '../program/words'
import { paceReadingFor, sayTarget } from '../../athlete/say-target'

/** How a cue comes: as words, as a tone, or as taps on the wrist. */
export interface CueChannels {
  voice: boolean
  tone: boolean
  tap: boolean
}

export type Tone = 'low' | 'high' | 'long' | 'rising' | 'falling'

/** Something said now: its words for the voice, its tone, its taps in milliseconds on and off by turns. */
export interface Utterance {
  t: number
  kind: Cue['kind']
  words: string
  tone: Tone
  tap: number[]
  /** Until when it is said. */
  until: number
  /** It cuts off what was being said. */
  cuts: boolean
}

interface Waiting {
  cue: Cue
  from: number
}
export interface SpeakerState {
  saying: { rank: number; until: number } | null
  waiting: Waiting[]
}

export const silentSpeaker: SpeakerState = { saying: null, waiting: [] }

interface CueStyle {
  rank: number
  patience: number
  tone: Tone
  tap: number[]
}

/**
 * Which cue goes first, how many seconds one may wait before it is worth nothing, and how it sounds. A ceiling goes before
 * everything; a change of step before all but that; what only tells goes last.
 */
const cueStyles: Readonly<Record<Cue['kind'], CueStyle>> = {
  ceiling: { rank: 0, patience: 3, tone: 'falling', tap: [400, 120, 400] },
  finished: { rank: 1, patience: 20, tone: 'long', tap: [800] },
  step: { rank: 1, patience: 6, tone: 'high', tap: [250] },
  missed: { rank: 2, patience: 8, tone: 'falling', tap: [150, 100, 150] },
  countdown: { rank: 2, patience: 1, tone: 'low', tap: [80, 80, 80] },
  signal: { rank: 3, patience: 15, tone: 'low', tap: [80] },
  nudge: { rank: 4, patience: 4, tone: 'rising', tap: [120, 80, 120] },
  prompt: { rank: 5, patience: 45, tone: 'low', tap: [200] },
  halfway: { rank: 6, patience: 6, tone: 'low', tap: [80] },
  lap: { rank: 7, patience: 10, tone: 'low', tap: [80] },
}

const stepRank = cueStyles.step.rank

/** A cue in words, as the glass shows it and the voice says it. */
export function sayCue(cue: Cue, program: Program, units: Units = usualUnits): string {
  switch (cue.kind) {
    case 'step': {
      const step = stepAtPath(program, cue.path)
      if (!step) return ''
      const target = step.target ? `, ${sayTarget(step.target, paceReadingFor(step.sport, units[step.sport]))}` : ''
      return `${step.role === 'work' ? '' : `${step.role} `}${sayEnd(step.end)}${target}`
    }
    case 'nudge':
      return cue.side === 'too-hard' ? 'ease a little' : 'a little more'
    case 'ceiling':
      return `ease: above ${cue.above} bpm`
    case 'countdown':
      return 'five seconds'
    case 'halfway':
      return 'half way'
    case 'prompt':
      return cue.say
    case 'lap':
      return `${sayMetres(cue.metres)} in ${formatTime(Math.round(cue.seconds))}`
    case 'signal':
      return cue.isBack
        ? `${signalWords[cue.of]} is back`
        : `no ${signalWords[cue.of]}${cue.of === 'position' ? ': the distance waits' : ''}`
    case 'missed':
      return `${cue.rounds} rounds missed: on to what comes next`
    case 'finished':
      return 'done'
  }
}

/** Seconds a voice takes for some words: an unhurried one, and a breath. */
export const secondsToSay = (words: string): number => 0.4 + words.split(/\s+/).filter(Boolean).length * 0.33

/**
 * Takes new cues in and says at most one thing: the most urgent that still matters. What is less urgent waits until the voice
 * is free or its patience ends; what is more urgent cuts in. Prompts that wait are said together.
 *
 * Laws, held by the tests: two never talk at once; a ceiling and a change of step are said within a second, or as soon as a
 * ceiling has been said; nothing is said later than its patience.
 *
 * @param t seconds, never smaller than before
 */
export function speak(
  state: SpeakerState,
  cues: readonly Cue[],
  t: number,
  say: (cue: Cue) => string,
  channels: CueChannels = { voice: true, tone: true, tap: true },
): { state: SpeakerState; utterance: Utterance | null } {
  const waiting = [...state.waiting, ...cues.map((cue): Waiting => ({ cue, from: t }))].filter(
    ({ cue, from }) => t - from <= cueStyles[cue.kind].patience,
  )
  const latest = waiting.filter(
    ({ cue }, index) =>
      cue.kind === 'prompt' ||
      !waiting
        .slice(index + 1)
        .some(later => later.cue.kind === cue.kind && (cue.kind !== 'signal' || (later.cue as typeof cue).of === cue.of)),
  )
  const saying = state.saying && state.saying.until > t + 1e-9 ? state.saying : null
  const first = [...latest].sort((a, b) => cueStyles[a.cue.kind].rank - cueStyles[b.cue.kind].rank || a.from - b.from)[0]
  const isNewer = saying?.rank === stepRank && first !== undefined && cueStyles[first.cue.kind].rank === stepRank
  if (!first || (saying && !isNewer && cueStyles[first.cue.kind].rank >= saying.rank))
    return { state: { saying, waiting: latest }, utterance: null }
  const { kind } = first.cue
  const { rank, tone, tap } = cueStyles[kind]
  const together = kind === 'prompt' ? latest.filter(entry => entry.cue.kind === 'prompt') : [first]
  const words = [...new Set(together.map(entry => say(entry.cue)))].join(' and ')
  const taps = tap.reduce((sum, length) => sum + length, 0) / 1000
  const until = t + Math.max(channels.voice && words ? secondsToSay(words) : 0, channels.tone ? 0.4 : 0, channels.tap ? taps : 0)
  return {
    state: { saying: { rank, until }, waiting: latest.filter(entry => !together.includes(entry)) },
    utterance: { t, kind, words, tone, tap, until, cuts: saying !== null },
  }
}
