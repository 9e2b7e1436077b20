import { unitsOf } from '~~/core/athlete/athlete'
import type { Athlete } from '~~/core/athlete/athlete'
import type { PaceReading } from '~~/core/athlete/say-target'
import { paceReadingFor } from '~~/core/athlete/say-target'
import type { ScoredStep } from '~~/core/record/score'
import { roundsAround } from '~~/core/record/score'
import type { ProgramStep } from '~~/core/wrist/program/program'
import { stepsByPath } from '~~/core/wrist/program/program-steps'
import { poolLengthOf } from '~~/core/wrist/program/program'
import { printProgramItem } from '~~/core/wrist/program/words'
import type { LoggedRecording } from '~~/shared/log'
import { logLoggedSteps as texts } from '~/texts/en'

/** A recording's steps with the words and units in which the screens of the log say them. */
export interface LoggedSteps {
  steps: ReadonlyMap<string, ProgramStep>
  unit: 'mi' | 'km' | 'm' | 'yd'
  reading: PaceReading
  byPower: boolean
  poolLength: number | null
  wordsOf: (step: Pick<ScoredStep, 'path'>) => string
  roundOf: (step: Pick<ScoredStep, 'round'>) => string
  statusOf: (step: ScoredStep) => string
  reasonOf: (step: ScoredStep) => string
  /** Where it was begun by choice, and where it ended early: once, in words. */
  edges: string
}

export function loggedSteps({ recording, program, score }: LoggedRecording, athlete: Athlete): LoggedSteps {
  const steps = stepsByPath(program?.items ?? [])
  const sport = recording.sport === 'multi' ? 'run' : recording.sport
  const unit = unitsOf(athlete)[sport]
  const byPower = recording.sport === 'ride' || [...steps.values()].some(step => step.target?.of === 'power')
  const [first] = steps.values()
  const wordsOf = ({ path }: Pick<ScoredStep, 'path'>) => {
    const step = steps.get(path)
    return step ? printProgramItem(step, unitsOf(athlete)) : path
  }
  const reasonOf = (step: ScoredStep) => {
    if (!step.reason) return ''
    const isPace = !byPower && steps.get(step.path)?.target?.of === 'pace'
    if (isPace && step.reason === 'too-hard') return texts.tooFast
    if (isPace && step.reason === 'too-easy') return texts.tooSlow
    return texts.reasons[step.reason]
  }
  const placeOf = ({ path, round }: { path: string; round: number[] }) => {
    const times = roundsAround(program!.items, path)
    const rounds = round.map((count, depth) => (times[depth] ? texts.of(count, times[depth]) : String(count))).join(', ')
    return `${wordsOf({ path })}${rounds ? texts.round(rounds) : ''}`
  }
  const { beganAt, endedAt } = score ?? {}
  return {
    steps,
    unit,
    byPower,
    reading: paceReadingFor(sport, unit),
    poolLength: first && program ? poolLengthOf(first, program) : null,
    wordsOf,
    roundOf: ({ round }) => round.join(' · '),
    statusOf: ({ status }) => texts.statuses[status],
    reasonOf,
    edges: `${beganAt ? texts.begunAt(placeOf(beganAt)) : ''}${endedAt ? texts.endedEarlyIn(placeOf(endedAt)) : ''}`,
  }
}
