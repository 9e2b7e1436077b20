import { sayInstead, sayLoss } from '../../words/losses'
import { saySessionProblem } from '../../words/session-problems'
import type { Standpoint } from '../../athlete/standpoint'
import { numbersOf } from '../../athlete/athlete'
import { ceilingBpm } from '../../athlete/ceiling'
import { toMetres } from '../../quantity/distance'
import { sayEndOfBlock } from '../program/words'
import { printEnd } from '../../script/print'
import { titleOf } from '../../script/title'
import { checkSession } from '../../session/check'
import type { Block, Ceiling, Item, Session, Sport, Step } from '../../session/document'
import { digestOf } from '../program/digest'
import { fitEnd } from './fit-end'
import { shortenNames } from './fit-name'
import { flattenTo } from './fit-shape'
import { fitTarget } from './fit-target'
import type { FitContext, Loss, LossChoices } from './loss'
import { likelihoods, lose } from './loss'
import type { WatchProfile } from '../program/profile'
import type { Program, ProgramBlock, ProgramItem, ProgramStep } from '../program/program'
import { countItems, depthOf, roundItems } from '../program/program'
import { stepsOf } from '../program/program-steps'

export type { Loss, LossChoices } from './loss'

export interface Fitting {
  program: Program
  losses: Loss[]
  fits: boolean
}

export interface FitOptions {
  choices?: LossChoices
  /** Its name on the watch, where that is not its title. */
  name?: string
  /** Names of other programs on the watch, which this one's has to differ from. */
  taken?: readonly string[]
}

function fitCeiling(ceiling: Ceiling, context: FitContext, path: string): number | null {
  const reading = ceilingBpm(ceiling, context.standpoint, context.sport)
  if ('bpm' in reading) return reading.bpm
  const heart = reading.missing === 'max' ? 'maximum' : 'threshold'
  lose(
    context,
    { path, kind: 'ceiling', what: sayLoss({ code: 'ceiling-unresolved', above: ceiling.above, unit: ceiling.unit!, heart }) },
    [],
  )
  return null
}

const fullName = (step: Step): string =>
  step.note?.split('\n')[0] || (step.role === 'work' ? printEnd(step.end) : `${step.role} ${printEnd(step.end)}`)

function fitStep(step: Step, path: string, context: FitContext, isLast: boolean): ProgramStep[] {
  if (step.doubt) lose(context, { path, kind: 'doubt', what: sayLoss({ code: 'doubt', said: step.doubt.said }) }, [])
  const ceilings = [...context.ceilings, ...(step.ceiling ? [step.ceiling] : [])]
    .map(ceiling => fitCeiling(ceiling, context, path))
    .filter(value => value !== null)
  const { end, restBehind } = fitEnd(step, path, context, isLast)
  const target = fitTarget(step.target, step, 'target', path, context)
  const also = fitTarget(step.also, step, 'also', path, context)
  const ceiling = ceilings.length > 0 ? { ceiling: Math.min(...ceilings) } : {}
  const place = context.isLeg && context.place ? { place: context.place } : {}
  const fitted: ProgramStep = {
    kind: 'step',
    path,
    name: fullName(step),
    role: step.role,
    sport: context.sport,
    ...place,
    end,
    ...(target ? { target } : {}),
    ...(also ? { also } : {}),
    ...ceiling,
    ...(step.manner ? { manner: step.manner } : {}),
    ...(step.grade ? { grade: step.grade } : {}),
    ...(step.swim ? { swim: step.swim } : {}),
    ...(step.note ? { note: step.note } : {}),
  }
  if (restBehind === undefined) return [fitted]
  return [
    fitted,
    {
      kind: 'step',
      path,
      name: 'rest',
      role: 'rest',
      sport: context.sport,
      ...place,
      end: { on: 'time', seconds: restBehind },
      ...ceiling,
    },
  ]
}

function fitBlock(block: Block, path: string, context: FitContext, isLast: boolean): ProgramItem[] {
  if (block.doubt) lose(context, { path, kind: 'doubt', what: sayLoss({ code: 'doubt', said: block.doubt.said }) }, [])
  const { repeat } = block
  const isOnce = repeat.times === 1
  const items = fitItems(
    block.items,
    `${path}.`,
    { ...context, ceilings: block.ceiling ? [...context.ceilings, block.ceiling] : context.ceilings },
    isLast && isOnce,
  )
  if (items.length === 0) return []
  if (repeat.times !== undefined) {
    const fitted: ProgramBlock = {
      kind: 'block',
      path,
      repeat: { times: repeat.times, ...(repeat.stopAfterMissed === undefined ? {} : { stopAfterMissed: repeat.stopAfterMissed }) },
      ...(block.lastRecovery ? { dropLastRecovery: true } : {}),
      items,
    }
    return isOnce && roundItems(fitted, true).length === 0 ? [] : [fitted]
  }
  const until = 'distance' in repeat ? { metres: toMetres(repeat.distance) } : { seconds: repeat.seconds }
  if (context.profile.repeatUntil && context.profile.maxNesting > 0) return [{ kind: 'block', path, repeat: until, items }]
  const rounds = context.likelyRounds(path, 'metres' in until ? 'metres' : 'seconds')
  const way = lose(
    context,
    { path, kind: 'repeat', what: sayLoss({ code: 'repeat', until: sayEndOfBlock(until) }), about: 'repeat' },
    rounds === null
      ? []
      : [
          { way: 'times', instead: sayInstead({ code: 'times', rounds, isWhole: false }) },
          ...(rounds > 1 ? [{ way: 'fewer', instead: sayInstead({ code: 'times', rounds: rounds - 1, isWhole: true }) }] : []),
        ],
  )
  return [{ kind: 'block', path, repeat: { times: Math.max(1, (rounds ?? 1) - (way === 'fewer' ? 1 : 0)) }, items }]
}

function fitItems(items: readonly Item[], prefix: string, context: FitContext, isLast: boolean): ProgramItem[] {
  const last = items.findLastIndex(item => !('off' in item && item.off))
  return items.flatMap((item, index): ProgramItem[] => {
    const path = `${prefix}${index + 1}`
    if ('off' in item && item.off) return []
    switch (item.kind) {
      case 'step':
        return fitStep(item, path, context, isLast && index === last)
      case 'block':
        return fitBlock(item, path, context, isLast && index === last)
      case 'leg':
        return fitItems(item.items, `${path}.`, { ...context, sport: item.sport, place: item.place, isLeg: true }, isLast && index === last)
      case 'unread':
        lose(context, { path, kind: 'unread', what: sayLoss({ code: 'unread', text: item.text }) }, [])
        return []
    }
  })
}

/** Gives every step a name that the watch can show, different for different steps. */
function nameSteps(items: readonly ProgramItem[], context: FitContext): ProgramItem[] {
  const { maxNameLength } = context.profile
  const steps = [...stepsOf(items)]
  const plain = (step: ProgramStep) => (step.name.length > maxNameLength && !step.note ? step.role : step.name)
  const shown = shortenNames(steps.map(plain), maxNameLength)
  const names = new Map(steps.map((step, index) => [step.path + step.role, shown[index]!]))
  const said = new Set<string>()
  for (const [index, step] of steps.entries()) {
    if (plain(step) === shown[index] || said.has(step.path)) continue
    said.add(step.path)
    lose(context, { path: step.path, kind: 'name', what: sayLoss({ code: 'long-name', name: step.name, longest: maxNameLength }) }, [
      { way: 'short', instead: sayInstead({ code: 'name', name: shown[index]! }) },
    ])
  }
  const named = (item: ProgramItem): ProgramItem =>
    item.kind === 'step' ? { ...item, name: names.get(item.path + item.role)! } : { ...item, items: item.items.map(named) }
  return items.map(named)
}

function nest(written: ProgramItem[], context: FitContext): ProgramItem[] {
  const { maxNesting } = context.profile
  const depth = depthOf(written)
  if (depth <= maxNesting) return written
  const flat = flattenTo(written, maxNesting)
  const what = sayLoss({ code: 'nesting', depth, held: maxNesting })
  lose(
    context,
    { kind: 'nesting', what, about: 'nesting' },
    flat ? [{ way: 'written out', instead: sayInstead({ code: 'written-out', all: maxNesting === 0, steps: countItems(flat) }) }] : [],
  )
  return flat ?? written
}

/** Cuts a program that is too long; only when the athlete asks for it, for what is cut has to come from a card. */
function limit(items: ProgramItem[], context: FitContext): ProgramItem[] {
  const { maxSteps } = context.profile
  const count = countItems(items)
  if (count <= maxSteps) return items
  let kept = items.length
  while (kept > 0 && countItems(items.slice(0, kept)) > maxSteps) kept--
  const first = items[kept]
  const ways =
    kept > 0 && first
      ? [{ way: 'card', instead: sayInstead({ code: 'card', steps: countItems(items.slice(0, kept)), path: first.path }) }]
      : []
  const way = lose(context, { kind: 'steps', what: sayLoss({ code: 'steps', count, held: maxSteps }), about: 'steps' }, ways, false)
  return way === 'card' ? items.slice(0, kept) : items
}

/**
 * Turns a session into a program that a watch can hold, by the least loss, with every loss said at its row and the other ways
 * there are. Nothing is dropped silently.
 *
 * Laws: the fitted program, executed, equals the session executed but for the losses; `fits` is false when any loss
 * has nothing instead; the same choices bring the same program.
 */
export function fit(
  session: Session,
  profile: WatchProfile,
  standpoint: Standpoint,
  { choices = {}, taken = [], name }: FitOptions = {},
): Fitting {
  const losses: Loss[] = []
  const sport: Sport = session.sport === 'multi' ? 'run' : session.sport
  const context: FitContext = {
    standpoint,
    profile,
    losses,
    sport,
    place: session.place,
    isLeg: false,
    ceilings: session.ceiling ? [session.ceiling] : [],
    choices,
    ...likelihoods(session, standpoint),
  }
  for (const problem of checkSession(session)) {
    if (problem.code !== 'unread')
      lose(context, { ...(problem.path ? { path: problem.path } : {}), kind: 'steps', what: saySessionProblem(problem) }, [])
  }
  const blocked = losses.length > 0
  if (!profile.sports.includes(session.sport)) lose(context, { kind: 'sport', what: sayLoss({ code: 'sport', sport: session.sport }) }, [])
  const written = blocked ? [] : fitItems(session.items, '', context, true)
  const items = limit(nameSteps(nest(written, context), context), context)
  if (items.length === 0 && !blocked) lose(context, { kind: 'steps', what: sayLoss({ code: 'empty' }) }, [])
  const title = name ?? titleOf(session)
  const [shown] = shortenNames([title], profile.maxNameLength, taken)
  const isSaid = name !== undefined || session.title !== undefined
  if (shown !== title && (isSaid || taken.includes(title))) {
    const isTaken = title.length <= profile.maxNameLength
    lose(
      context,
      {
        kind: 'name',
        what: sayLoss(isTaken ? { code: 'taken-name', name: title } : { code: 'long-name', name: title, longest: profile.maxNameLength }),
      },
      [{ way: 'short', instead: sayInstead({ code: 'name', name: shown! }) }],
    )
  }
  const program: Program = {
    format: 'agonis.program',
    version: 1,
    name: shown!,
    sport: session.sport,
    ...(session.place ? { place: session.place } : {}),
    items,
    ...(session.prompts?.length ? { prompts: session.prompts } : {}),
    smoothingSeconds: profile.smoothingSeconds,
    alertAfterSeconds: profile.alertAfterSeconds,
    alertRepeatSeconds: profile.alertRepeatSeconds,
    from: { session: digestOf(session), athlete: digestOf(numbersOf(standpoint.athlete)), profile: digestOf(profile) },
  }
  return { program, losses, fits: losses.every(loss => loss.instead !== null) }
}
