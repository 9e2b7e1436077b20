import type { Athlete } from '../athlete/athlete'
import { heartOf, unknownAthlete } from '../athlete/athlete'
import { slopeOf } from '../athlete/grade'
import { resolveTarget } from '../athlete/resolve'
import type { ResolvedTarget } from '../athlete/resolve'
import { toMetres } from '../quantity/distance'
import { printEnd } from '../script/print'
import { printTarget } from '../script/print-target'
import { checkSession } from '../session/check'
import type { Block, Ceiling, End, Item, Place, PlaceKind, Session, Sport, Step, Target } from '../session/document'
import { digestOf } from './digest'
import type { WatchProfile } from './profile'
import type { Program, ProgramBlock, ProgramEnd, ProgramItem, ProgramStep, ProgramTarget } from './program'
import { countItems, depthOf, roundItems, timesOf } from './program'

/** Something of the session that this watch does not carry as written, and what is used instead. */
export interface Loss {
  path?: string
  kind: 'doubt' | 'end' | 'target' | 'also' | 'ceiling' | 'nesting' | 'steps' | 'name' | 'sport' | 'repeat' | 'unread'
  what: string
  /** What is used instead; null when nothing serves, and the program does not fit. */
  instead: string | null
}

export interface Fitting { program: Program, losses: Loss[], fits: boolean }

interface Context {
  athlete: Athlete
  profile: WatchProfile
  losses: Loss[]
  sport: Sport
  place?: Place
  ceilings: Ceiling[]
  on?: string
}

function ceilingBpm(ceiling: Ceiling, context: Context, path: string): number | null {
  const heart = heartOf(context.athlete, context.sport)
  if (ceiling.unit === undefined || ceiling.unit === 'bpm') return ceiling.above
  const base = ceiling.unit === '%HRmax' ? heart.max : heart.threshold
  if (base !== undefined) return Math.floor(base * ceiling.above / 100)
  context.losses.push({ path, kind: 'ceiling', what: `ceiling ${ceiling.above} ${ceiling.unit} needs ${ceiling.unit === '%HRmax' ? 'maximum' : 'threshold'} heart rate`, instead: null })
  return null
}

function fitEnd(end: End, context: Context, path: string): ProgramEnd {
  const { profile, athlete, losses, sport } = context
  if (!profile.ends.includes(end.on)) {
    losses.push({ path, kind: 'end', what: `${printEnd(end)}: this watch cannot end a step so`, instead: profile.ends.includes('press') && end.on !== 'send-off' ? 'until press' : null })
    return { on: 'press' }
  }
  switch (end.on) {
    case 'time': return { on: 'time', seconds: end.seconds }
    case 'distance': return { on: 'distance', metres: toMetres(end) }
    case 'press': return { on: 'press' }
    case 'heart-rate': return end.below !== undefined ? { on: 'heart-rate', below: end.below } : { on: 'heart-rate', above: end.above }
    case 'send-off': return { on: 'send-off', metres: toMetres(end), seconds: end.seconds }
    case 'first': return { on: 'first', of: [fitEnd(end.of[0], context, path), fitEnd(end.of[1], context, path)] }
    case 'energy': {
      if (sport === 'ride') return { on: 'energy', joules: end.kilocalories * 4184 * 0.24 }
      if (sport === 'run' && athlete.massKg !== undefined) {
        const metres = end.kilocalories / athlete.massKg * 1000
        losses.push({ path, kind: 'end', what: `${printEnd(end)} is not measured on foot`, instead: `${Math.round(metres)} m, a kilocalorie a kilogram and kilometre` })
        return { on: 'distance', metres: Math.round(metres) }
      }
      losses.push({ path, kind: 'end', what: `${printEnd(end)} cannot be measured here`, instead: 'until press' })
      return { on: 'press' }
    }
  }
}

function allows(profile: WatchProfile, sport: Sport, place: PlaceKind | undefined, of: ResolvedTarget['of']): boolean {
  return profile.targets.some((entry) => {
    const places = entry.place === undefined ? null : Array.isArray(entry.place) ? entry.place : [entry.place]
    return entry.sport === sport && entry.of.includes(of) && (places === null || place === undefined || places.includes(place))
  })
}

/** A band in numbers that the face can show as they are, rounded outward. */
const rounded = (target: ResolvedTarget): ProgramTarget => {
  const step = target.unit === 'm/s' ? 1e4 : target.unit === 'of 10' ? 10 : 1
  const outward = (value: number | undefined, by: (value: number) => number) => value === undefined ? undefined : by(value * step - (by === Math.ceil ? 1e-6 : -1e-6)) / step
  const ends = (band: { easiest?: number, hardest?: number }) => JSON.parse(JSON.stringify({
    easiest: outward(band.easiest, Math.floor), hardest: outward(band.hardest, Math.ceil),
  })) as { easiest?: number, hardest?: number }
  return {
    of: target.of, unit: target.unit, ...ends(target),
    ...(target.to ? { to: ends(target.to) } : {}),
    ...(target.over === undefined ? {} : { over: target.over }),
  }
}

function fitTarget(target: Target | undefined, step: Step, kind: 'target' | 'also', context: Context, path: string): ProgramTarget | undefined {
  if (!target) return undefined
  const { end } = step
  const stepMetres = end.on === 'distance' || end.on === 'send-off' ? toMetres(end) : undefined
  const resolution = resolveTarget(target, context.athlete, { sport: context.sport, stepMetres, smoothingSeconds: context.profile.smoothingSeconds, on: context.on, slope: step.grade && slopeOf(step.grade) })
  const words = printTarget(target)
  if (!resolution.ok) {
    context.losses.push({ path, kind, what: `${words} needs ${resolution.missing}`, instead: 'no target' })
    return undefined
  }
  if (!allows(context.profile, context.sport, context.place?.kind, resolution.target.of)) {
    context.losses.push({ path, kind, what: `${words}: this watch takes no ${resolution.target.of} ${context.place ? `for a ${context.sport} there` : `for a ${context.sport}`}`, instead: 'no target' })
    return undefined
  }
  return rounded(resolution.target)
}

function nameOf(step: Step, context: Context, path: string): string {
  const { maxNameLength } = context.profile
  const own = step.role === 'work' ? printEnd(step.end) : `${step.role} ${printEnd(step.end)}`
  const base = step.note?.split('\n')[0] || (own.length <= maxNameLength ? own : step.role)
  if (base.length <= maxNameLength) return base
  const short = base.slice(0, maxNameLength - 1).trimEnd() + '…'
  context.losses.push({ path, kind: 'name', what: `"${base}" is longer than ${maxNameLength} characters`, instead: `"${short}"` })
  return short
}

function fitStep(step: Step, path: string, context: Context): ProgramStep {
  if (step.doubt) context.losses.push({ path, kind: 'doubt', what: `"${step.doubt.said}" is still in doubt`, instead: null })
  const ceilings = [...context.ceilings, ...(step.ceiling ? [step.ceiling] : [])].map(ceiling => ceilingBpm(ceiling, context, path)).filter(value => value !== null)
  const result: ProgramStep = { kind: 'step', path, name: nameOf(step, context, path), role: step.role, sport: context.sport, end: fitEnd(step.end, context, path) }
  const target = fitTarget(step.target, step, 'target', context, path)
  const also = fitTarget(step.also, step, 'also', context, path)
  if (target) result.target = target
  if (also) result.also = also
  if (ceilings.length > 0) result.ceiling = Math.min(...ceilings)
  if (step.manner) result.manner = step.manner
  if (step.swim) result.swim = step.swim
  if (step.note) result.note = step.note
  return result
}

function fitBlock(block: Block, path: string, context: Context): ProgramItem[] {
  if (block.doubt) context.losses.push({ path, kind: 'doubt', what: `"${block.doubt.said}" is still in doubt`, instead: null })
  const inner: Context = { ...context, ceilings: block.ceiling ? [...context.ceilings, block.ceiling] : context.ceilings }
  const items = fitItems(block.items, `${path}.`, inner)
  if (items.length === 0) return []
  const fitted: ProgramBlock = { kind: 'block', path, repeat: { times: 1 }, items }
  if ('distance' in block.repeat) fitted.repeat = { metres: toMetres(block.repeat.distance) }
  else if ('seconds' in block.repeat) fitted.repeat = { seconds: block.repeat.seconds }
  else {
    fitted.repeat = { times: block.repeat.times, ...(block.repeat.stopAfterMissed === undefined ? {} : { stopAfterMissed: block.repeat.stopAfterMissed }) }
    if (block.lastRecovery) fitted.dropLastRecovery = true
    if (block.repeat.times === 1 && roundItems(fitted, true).length === 0) return []
    return [fitted]
  }
  if (!context.profile.repeatUntil) context.losses.push({ path, kind: 'repeat', what: 'this watch repeats only a number of times', instead: null })
  return [fitted]
}

function fitItems(items: readonly Item[], prefix: string, context: Context): ProgramItem[] {
  return items.flatMap((item, index): ProgramItem[] => {
    const path = `${prefix}${index + 1}`
    if ('off' in item && item.off) return []
    switch (item.kind) {
      case 'step': return [fitStep(item, path, context)]
      case 'block': return fitBlock(item, path, context)
      case 'leg': return fitItems(item.items, `${path}.`, { ...context, sport: item.sport, place: item.place })
      case 'unread': {
        context.losses.push({ path, kind: 'unread', what: `"${item.text}" is unread`, instead: null })
        return []
      }
    }
  })
}

/** A counted block written out round by round; each item carries the rounds it stands for. */
function unrollBlock(block: ProgramBlock): ProgramItem[] {
  const times = timesOf(block)
  if (times === null) return [block]
  const within = (item: ProgramItem, round: number): ProgramItem => ({
    ...item,
    unrolled: { round: [...block.unrolled?.round ?? [], round], rounds: [...block.unrolled?.rounds ?? [], times] },
  })
  return Array.from({ length: times }, (_, index) => index + 1)
    .flatMap(round => roundItems(block, round === times).map(item => within(item, round)))
}

/** Writes out the outermost blocks of every chain that is nested too deep, until the watch can hold it. */
function flattenTo(items: readonly ProgramItem[], maxNesting: number): ProgramItem[] {
  return items.flatMap((item): ProgramItem[] => {
    if (item.kind === 'step' || 1 + depthOf(item.items) <= maxNesting) return [item]
    const unrolled = unrollBlock(item)
    return unrolled.length === 1 && unrolled[0] === item ? [item] : flattenTo(unrolled, maxNesting)
  })
}

/**
 * Turns a session into a program that a watch can hold, with every loss said. Nothing is dropped silently.
 *
 * Laws: the fitted program, executed, equals the session executed but for the losses; `fits` is false when any loss
 * has nothing instead.
 *
 * @param on the day the athlete's numbers are taken for, ISO date
 */
export function fit(session: Session, profile: WatchProfile, athlete: Athlete = unknownAthlete, on?: string): Fitting {
  const losses: Loss[] = []
  for (const problem of checkSession(session)) {
    if (problem.code !== 'unread') losses.push({ ...(problem.path ? { path: problem.path } : {}), kind: 'steps', what: problem.problem, instead: null })
  }
  const blocked = losses.length > 0
  if (!profile.sports.includes(session.sport)) losses.push({ kind: 'sport', what: `this watch knows no ${session.sport}`, instead: null })
  const sport: Sport = session.sport === 'multi' ? 'run' : session.sport
  const context: Context = { athlete, profile, losses, sport, place: session.place, ceilings: session.ceiling ? [session.ceiling] : [], on }
  const written = blocked ? [] : fitItems(session.items, '', context)
  const items = flattenTo(written, profile.maxNesting)
  if (depthOf(items) > profile.maxNesting) losses.push({ kind: 'nesting', what: `repeats stand ${depthOf(items)} deep; this watch holds ${profile.maxNesting}`, instead: null })
  else if (depthOf(written) > profile.maxNesting) losses.push({ kind: 'nesting', what: `repeats stand ${depthOf(written)} deep; this watch holds ${profile.maxNesting}`, instead: 'the outer repeats written out, round by round' })
  const count = countItems(items)
  if (count > profile.maxSteps) losses.push({ kind: 'steps', what: `the program has ${count} steps; this watch holds ${profile.maxSteps}`, instead: null })
  if (count === 0 && !blocked) losses.push({ kind: 'steps', what: 'there is no step to carry out', instead: null })
  const title = session.title ?? 'Session'
  const name = title.length > profile.maxNameLength ? title.slice(0, profile.maxNameLength - 1).trimEnd() + '…' : title
  if (name !== title) losses.push({ kind: 'name', what: `"${title}" is longer than ${profile.maxNameLength} characters`, instead: `"${name}"` })
  const program: Program = {
    format: 'agonis.program', version: 1, name, sport: session.sport,
    ...(session.place ? { place: session.place } : {}), items,
    ...(session.prompts?.length ? { prompts: session.prompts } : {}),
    smoothingSeconds: profile.smoothingSeconds, alertAfterSeconds: profile.alertAfterSeconds, alertRepeatSeconds: profile.alertRepeatSeconds,
    from: { session: digestOf(session), athlete: digestOf(athlete), profile: digestOf(profile) },
  }
  return { program, losses, fits: losses.every(loss => loss.instead !== null) }
}
