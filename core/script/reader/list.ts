import { patternOf } from '../../quantity/pattern'
import { isRecoveryRole } from '../../session/recovery'
import type { Placed } from './placed'
import type { Ceiling, End, Item, Step } from '../../session/document'
import { limits } from '../../session/limits'
import { printEnd, printStep } from '../print'
import type { SoftSteps } from './between'
import { asRecovery, closing, readRelative, readStep } from './between'
import { readCeiling, readDoubt } from './ends'
import { explainUnreadable } from './explain'
import { joinToBefore, joinWords, sayLeftOver } from './leftover'
import { switchSport } from './legs'
import { inEveryRound, readMember } from './repeat'
import type { Scanner } from './scanner'
import { attempt, notice, saidBetween, sees, skipSpaces, take, upcoming } from './scanner'

/** Too short for a cool-down: after a repeat without recoveries of its own it is likelier one of them. */
const isShort = (end: End) => (end.on === 'time' && end.seconds <= 300) || (end.on === 'distance' && end.unit === 'm' && end.value <= 600)

const anotherLength = /,\s*\d[\d:.]*\s*(?:min|sec|s|h|'|")?\s*(?:,|$)/iy

/** `6 x 400, 2 min`: a short time and no more, last or before something else than a further time, is likelier the recovery than work. */
function isBareTime(scanner: Scanner, words: string, step: Step): boolean {
  const { role, end, ...more } = step
  return (
    role === 'work' &&
    end.on === 'time' &&
    isShort(end) &&
    Object.keys(more).length === 1 &&
    /^\d/.test(words) &&
    !sees(scanner, anotherLength)
  )
}

/** A recovery after a comma, after a repeat that has none of its own, belongs to every round; asked. */
function readCommaRecovery(scanner: Scanner, soft: SoftSteps, memberFrom: number, topLevel: boolean, work: Item | undefined): Step | null {
  if (work?.kind === 'step' && work.end.on === 'send-off') return null
  const next = upcoming(scanner)
  if (next !== ',' && next !== '-') return null
  return attempt(scanner, () => {
    const from = scanner.at
    if (!take(scanner, /,|-(?=\s)/y)) return null
    const step = readRelative(scanner, work) ?? readStep(scanner, soft)
    if (!step) return null
    const word = soft.get(step)
    const said = saidBetween(scanner, from).replace(/^[,\u2013\u2014-]\s*/, '')
    const isBare = topLevel && isBareTime(scanner, said, step)
    const isRecovery = word !== undefined || isRecoveryRole(step.role) || isBare
    const endsLine = !sees(scanner, /\S/y) || sees(scanner, /#/y)
    if (!isRecovery || (word === 'easy' && topLevel && endsLine && (scanner.setting.sport === 'swim' || !isShort(step.end)))) return null
    asRecovery(step, soft)
    const { doubt: _, ...sure } = step
    const words = printStep(sure)
    const kept = inEveryRound(scanner, memberFrom, from, step)
    const repeat = scanner.raw.slice(memberFrom, from).trim()
    const fixes = kept
      ? [
          { label: 'in every round', replacement: kept },
          { label: 'only between', replacement: `${repeat} w/ ${words}` },
          ...(isBare ? [{ label: 'a step of its own', replacement: `${repeat}, work ${printEnd(step.end)}` }] : []),
        ]
      : []
    step.doubt ??= { said }
    notice(scanner, kept ? memberFrom : from, 'ask', 'comma-recovery', `${words} in every round, the last too`, fixes)
    return step
  })
}

/** `2 x (4 x 400, 3 min)`: a short time behind a repeat at the end of a round is likelier the recovery between the sets; asked. */
function askAfterSet(scanner: Scanner, from: number, before: Item | undefined, item: Item): void {
  const said = saidBetween(scanner, from)
  if (before?.kind !== 'block' || item.kind !== 'step' || !sees(scanner, closing) || !isBareTime(scanner, said, item)) return
  const words = printStep(item)
  item.role = 'recovery'
  item.doubt = { said }
  notice(scanner, from, 'ask', 'set-recovery', `recovery ${words} after each set`, [
    { label: 'recovery', replacement: `then recovery ${words}` },
    { label: 'work', replacement: `work ${words}` },
  ])
}

const capStarts = ',hpcm'

const capWords = patternOf('iy', [
  String.raw`,?\s*(?:(?:HR|heart\s+rate|pulse)\s*(?:<|under|below|max|cap)|(?:HR\s+|max\s+HR\s*`,
  String.raw`|max\s+heart\s+rate\s*)?cap(?:ped)?(?:\s+at)?|max\s+HR)\s*(\d{2,3})\s*(?:bpm)?(?=\s*(?:$`,
  String.raw`|[,;+&#)\]/]))`,
])

/** `, HR < 145` behind a step or a repeat. */
function readCap(scanner: Scanner): (Ceiling & { isTarget: boolean }) | null {
  if (!capStarts.includes(upcoming(scanner))) return null
  const cap = take(scanner, capWords)
  return cap && { of: 'heart-rate', above: Number(cap[1]), isTarget: /<|under|below/i.test(cap[0]) }
}

const partName = /(?:(?:main|pre|post|last|final)[\s-]*)?(?:set|series)(?:\s+\d)?\s*:/iy
const separatorStarts = ',;+&-/tawpif'
const separator = patternOf('iy', [
  String.raw`\s*(?:[,;]|\+|&|-(?=\s)|(?:and\s+)?then(?![a-z])|and(?![a-z])|(?:w\/|with|plus|including`,
  String.raw`|incl\.?|followed\s+by)\s*(?=\d{1,3}\s*(?:x|\u00D7|\*|times|strides?)|strides?\b)|plus(?![a-z])`,
  String.raw`|followed\s+by(?![a-z])|\/)\s*`,
])

/** `2 h easy with 3 x 10 min`: the repeats may come after the ride or stand within it; strides come after. */
function askWithin(scanner: Scanner, from: number, item: Item): void {
  if (item.kind !== 'block' || item.items.some(inner => inner.kind === 'step' && inner.manner === 'stride')) return
  item.doubt ??= { said: saidBetween(scanner, from) }
  notice(scanner, from, 'ask', 'within-or-after', 'after what stands before, not within it')
}

function skipUnreadable(scanner: Scanner, inBrackets: boolean): string {
  skipSpaces(scanner)
  const from = scanner.at
  let depth = 0
  while (scanner.at < scanner.text.length) {
    const letter = scanner.text[scanner.at]!
    if (depth === 0 && (/[,;]/.test(letter) || (inBrackets && /[)\]]/.test(letter)))) break
    if (depth === 0 && letter === '#' && scanner.text[scanner.at - 1] === ' ' && scanner.at > from) break
    if (/[([]/.test(letter)) depth++
    if (/[)\]]/.test(letter) && depth > 0) depth--
    scanner.at++
  }
  return scanner.raw.slice(from, scanner.at).trim()
}

const listJoint = patternOf('iy', [
  String.raw`$|[,;+&#)\]/]|-\s|then\b|and\b|(?:with|including|incl)\s+(?:the\s+)?last\b|(?:w\/|with|plus`,
  String.raw`|including|incl\.?|followed\s+by)\s*(?=\d{1,3}\s*(?:x|\u00D7|\*|times|strides?)|strides?\b)`,
])

/**
 * Members joined by comma, semicolon, `+`, `then` or `and`; what cannot be read stands as an unread item in its place.
 *
 * @param inBrackets stops at the closing bracket
 */
export function readList(scanner: Scanner, soft: SoftSteps, depth: number, inBrackets: boolean): Placed[] {
  const placed: Placed[] = []
  for (;;) {
    let joint = ''
    while (separatorStarts.includes(upcoming(scanner))) {
      const match = take(scanner, separator)
      if (!match) break
      joint += match[0]
    }
    const label = take(scanner, partName)
    if (label) notice(scanner, scanner.at - label[0].length, 'note', 'label', 'the name of a part, passed over')
    skipSpaces(scanner)
    if (scanner.at >= scanner.text.length || sees(scanner, /#/y) || (inBrackets && sees(scanner, closing))) return placed
    const from = scanner.at
    const sport = switchSport(scanner)
    const joined = joinToBefore(scanner, placed)
    if (joined) {
      const before = placed.at(-1)!
      const { item } = before
      if (item.kind === 'block' && item.items.length === 1 && 'times' in item.repeat) {
        const recovery = readCommaRecovery(scanner, soft, before.from, depth === 0, item.items[0])
        if (recovery) item.items.push(recovery)
      }
      before.to = scanner.at
      continue
    }
    const member = attempt(scanner, () => {
      const found = readMember(scanner, soft, depth, true, readList)
      if (!found) return null
      const last = found.items.at(-1)!
      if (found.repeated && !found.hasRecovery && last.kind === 'block' && 'times' in last.repeat) {
        const recovery = readCommaRecovery(scanner, soft, found.from, depth === 0, last.items[0])
        if (recovery) last.items.push(recovery)
      }
      if (inBrackets) askAfterSet(scanner, found.from, placed.at(-1)?.item, last)
      if (/\bwith\b|w\/|incl/i.test(joint)) askWithin(scanner, found.from, last)
      const ceiling: (Ceiling & { isTarget?: boolean }) | null =
        (upcoming(scanner) === 'c' ? attempt(scanner, readCeiling) : null) ?? readCap(scanner)
      if (ceiling && ceiling.isTarget && last.kind === 'step' && last.role === 'work' && !last.target && !soft.has(last))
        last.target = { of: 'heart-rate', unit: 'bpm', hardest: ceiling.above }
      else if (ceiling && last.kind !== 'unread' && last.kind !== 'leg')
        last.ceiling = { of: ceiling.of, above: ceiling.above, ...(ceiling.unit ? { unit: ceiling.unit } : {}) }
      const doubt = readDoubt(scanner)
      if (doubt && last.kind !== 'unread' && last.kind !== 'leg') last.doubt = doubt
      sayLeftOver(scanner, last, inBrackets)
      return sees(scanner, listJoint) ? found : null
    })
    if (member) {
      for (const item of member.items) placed.push({ item, from: member.from, to: scanner.at, ...(sport ? { sport } : {}) })
      continue
    }
    const text = skipUnreadable(scanner, inBrackets)
    if (text === '') {
      scanner.at++
      continue
    }
    scanner.at = Math.max(scanner.at, from + 1)
    if (joinWords(scanner, from, text, placed)) {
      placed.at(-1)!.to = scanner.at
      continue
    }
    const item: Item = { kind: 'unread', text: text.slice(0, 4000).trim() }
    notice(
      scanner,
      from,
      'error',
      'unreadable',
      depth > limits.nesting ? `brackets stand more than ${limits.nesting} deep in each other` : explainUnreadable(text, scanner.setting),
    )
    placed.push({ item, from, to: scanner.at })
  }
}
