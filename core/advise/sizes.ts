import { isEasyEffort } from '../session/easy'
import { isRecovery } from '../session/recovery'
import type { Standpoint } from '../athlete/standpoint'
import type { SizeChange } from '../words/sizes'
import { sayNearestSize, saySizeLabel, saySizeReason } from '../words/sizes'
import { reckon } from '../reckon/reckon'
import type { Block, End, Item, Session, Step } from '../session/document'

/** A session of another length, and why it is still the same session. */
export interface SizeProposal {
  label: string
  why: string
  session: Session
  seconds: number
}

const toleranceSeconds = 150
const leastWarmUp = 480
const shareKept = 0.5

const secondsOf = (session: Session, standpoint: Standpoint) => reckon(session, standpoint).seconds.likely

const isEasy = (step: Step) => step.role === 'work' && (!step.target || isEasyEffort(step.target))

/** Every item, those of repeats and legs too, put through a change. */
function mapItems(items: readonly Item[], change: (item: Item, depth: number) => Item, depth = 0): Item[] {
  return items.map(item => {
    const changed = change(item, depth)
    return changed.kind === 'block' || changed.kind === 'leg' ? { ...changed, items: mapItems(changed.items, change, depth + 1) } : changed
  })
}

const withItems = (session: Session, items: Item[]): Session => ({ ...session, items })

/** Blocks that hold work and no further block: the repeats that the session is about. */
const isWorkBlock = (item: Item): item is Block =>
  item.kind === 'block' &&
  !item.off &&
  item.repeat.times !== undefined &&
  item.items.some(inner => inner.kind === 'step' && inner.role === 'work') &&
  !item.items.some(inner => inner.kind === 'block')

function roundLength(end: End, by: number): End {
  if (end.on === 'time') {
    const unit = end.seconds >= 600 ? 60 : end.seconds >= 120 ? 30 : 5
    return { on: 'time', seconds: Math.max(unit, Math.round((end.seconds * by) / unit) * unit) }
  }
  if (end.on === 'distance') {
    const unit = end.unit === 'm' || end.unit === 'yd' ? (end.value >= 1000 ? 100 : 25) : 0.5
    return { ...end, value: Math.max(unit, Math.round((end.value * by) / unit) * unit) }
  }
  return end
}

/** Fewer or more rounds of every work repeat; null where a count would leave its bounds. */
function withRounds(session: Session, by: number, least: number): Session | null {
  let hasChanged = false
  const items = mapItems(session.items, item => {
    if (!isWorkBlock(item)) return item
    const { times } = item.repeat as { times: number }
    const next = Math.max(Math.min(times, Math.max(least, Math.ceil(times * shareKept))), Math.min(99, times + by))
    if (next === times) return item
    hasChanged = true
    return { ...item, repeat: { ...item.repeat, times: next } as Block['repeat'] }
  })
  return hasChanged ? withItems(session, items) : null
}

const outerBlock = (item: Item): item is Block =>
  item.kind === 'block' && item.repeat.times !== undefined && item.items.some(inner => inner.kind === 'block')

/** One set fewer or more of repeats that come in sets. */
function withSets(session: Session, by: number): Session | null {
  let hasChanged = false
  const items = mapItems(session.items, (item, depth) => {
    if (depth > 0 || !outerBlock(item)) return item
    const times = (item.repeat as { times: number }).times + by
    if (times < 1) return item
    hasChanged = true
    return { ...item, repeat: { ...item.repeat, times } as Block['repeat'] }
  })
  return hasChanged ? withItems(session, items) : null
}

/** Easy parts that much longer or shorter; warm-up and cool-down only when asked. */
function withEasy(session: Session, by: number, alsoAround: boolean): Session | null {
  let hasChanged = false
  const items = mapItems(session.items, (item, depth) => {
    if (item.kind !== 'step' || depth > 0) return item
    const isAround = item.role === 'warm-up' || item.role === 'cool-down'
    if (!(isEasy(item) || (alsoAround && isAround))) return item
    const end = roundLength(item.end, by)
    if (isAround && end.on === 'time' && end.seconds < Math.min(leastWarmUp, item.end.on === 'time' ? item.end.seconds : leastWarmUp))
      return item
    if (JSON.stringify(end) === JSON.stringify(item.end)) return item
    hasChanged = true
    return { ...item, end }
  })
  return hasChanged ? withItems(session, items) : null
}

/** Many repeats in a row as more sets of fewer, with a longer recovery between the sets. */
function inSets(session: Session, extra: number): Session | null {
  let hasChanged = false
  const items = mapItems(session.items, (item, depth) => {
    if (depth > 0 || hasChanged || !isWorkBlock(item)) return item
    const times = (item.repeat as { times: number }).times + extra
    if (times < 6) return item
    hasChanged = true
    const sets = times >= 15 ? 3 : 2
    const inner: Block = {
      ...item,
      repeat: { times: Math.ceil(times / sets) },
      lastRecovery: item.items.some(isRecovery) ? 'drop' : undefined,
    }
    if (inner.lastRecovery === undefined) delete inner.lastRecovery
    const between: Step = { kind: 'step', role: 'recovery', end: { on: 'time', seconds: 240 } }
    return { kind: 'block', repeat: { times: sets }, items: [inner, between], lastRecovery: 'drop' }
  })
  return hasChanged ? withItems(session, items) : null
}

interface Candidate {
  change: SizeChange
  session: Session
}

const counts = (session: Session) => {
  const found: string[] = []
  mapItems(session.items, item => {
    if (isWorkBlock(item) || outerBlock(item)) found.push(String((item.repeat as { times: number }).times))
    return item
  })
  return found.join(' and ')
}

/** How much longer or shorter the easy parts have to be for the whole to come to so many seconds. */
function easyShare(session: Session, standpoint: Standpoint, wanted: number): number | null {
  const flat = reckon(session, standpoint).flat.filter(entry => {
    const item = entry.path.includes('.') ? undefined : session.items[Number(entry.path) - 1]
    return item?.kind === 'step' && isEasy(item)
  })
  const easy = flat.reduce((sum, entry) => sum + (entry.seconds.likely ?? 0), 0)
  return easy === 0 ? null : (easy + wanted) / easy
}

function* shorter(session: Session, easyBy: number | null): Generator<Candidate> {
  for (let by = -1; by >= -40; by--) {
    const fewer = withRounds(session, by, 2)
    if (!fewer) break
    yield { change: { code: 'fewer-repeats', rounds: counts(fewer), before: counts(session) }, session: fewer }
  }
  for (let by = -1; by >= -5; by--) {
    const fewer = withSets(session, by)
    if (fewer) yield { change: { code: by === -1 ? 'one-set-fewer' : 'fewer-sets' }, session: fewer }
  }
  for (const share of easyBy !== null && easyBy >= 0.4 ? [easyBy] : [0.5]) {
    const easier = withEasy(session, share, false)
    if (easier) yield { change: { code: 'shorter-easy' }, session: easier }
  }
  const least = withRounds(session, -1, 2) ?? session
  for (const share of [0.85, 0.7, 0.6, 0.5]) {
    const trimmed = withEasy(least, share, true)
    if (trimmed) yield { change: { code: 'shorter-around', isRoundLess: least !== session }, session: trimmed }
  }
  for (let by = -2; by >= -40; by--) {
    const fewer = withRounds(session, by, 2)
    const trimmed = fewer && withEasy(fewer, 0.6, true)
    if (trimmed) yield { change: { code: 'least' }, session: trimmed }
  }
}

function* longer(session: Session, easyBy: number | null): Generator<Candidate> {
  for (let by = 1; by <= 40; by++) {
    const more = withRounds(session, by, 1)
    if (more) yield { change: { code: 'more-repeats', rounds: counts(more), before: counts(session) }, session: more }
  }
  for (let by = 1; by <= 5; by++) {
    const more = withSets(session, by)
    if (more) yield { change: { code: by === 1 ? 'one-set-more' : 'more-sets' }, session: more }
  }
  for (let extra = 0; extra <= 30; extra++) {
    const sets = inSets(session, extra)
    if (sets) yield { change: { code: 'split-sets' }, session: sets }
  }
  for (const share of [...(easyBy !== null && easyBy <= 2 ? [easyBy] : []), 1.1, 1.25, 1.5]) {
    const more = share === easyBy ? withEasy(session, share, false) : null
    if (more) yield { change: { code: 'longer-easy' }, session: more }
    const around = withEasy(session, share, true)
    if (around) yield { change: { code: 'longer-around' }, session: around }
  }
}

/**
 * The same session shorter or longer: fewer repeats before a trimmed warm-up, more volume and never more intensity.
 * No target is ever changed.
 *
 * @param seconds how long it is to be, more than zero
 * @returns at most four proposals, each within two and a half minutes of the length, or the nearest one alone; none where
 *   the length cannot be reckoned or is that already
 */
export function proposeSizes(session: Session, standpoint: Standpoint, seconds: number): SizeProposal[] {
  const now = secondsOf(session, standpoint)
  if (now === null || Math.abs(now - seconds) <= toleranceSeconds || seconds <= 0) return []
  const best = new Map<string, SizeProposal>()
  const easyBy = easyShare(session, standpoint, seconds - now)
  for (const candidate of seconds < now ? shorter(session, easyBy) : longer(session, easyBy)) {
    const likely = secondsOf(candidate.session, standpoint)
    const isTowards = likely !== null && (seconds < now ? likely < now : likely > now)
    if (!isTowards) continue
    const { change, session: sized } = candidate
    const known = best.get(change.code)
    if (!known || Math.abs(likely - seconds) < Math.abs(known.seconds - seconds))
      best.set(change.code, { label: saySizeLabel(change), why: saySizeReason(change), session: sized, seconds: likely })
  }
  const found = [...best.values()]
  const fitting = found
    .filter(
      proposal =>
        Math.abs(proposal.seconds - seconds) <= toleranceSeconds ||
        (seconds < now && proposal.seconds <= seconds && proposal.seconds >= seconds * 0.85),
    )
    .slice(0, 4)
  if (fitting.length > 0) return fitting
  const nearest = found.sort((a, b) => Math.abs(a.seconds - seconds) - Math.abs(b.seconds - seconds))[0]
  return nearest ? [{ ...nearest, why: `${nearest.why}; ${sayNearestSize(nearest.seconds)}` }] : []
}
