import { printEnd, printStep } from '../print'
import { copied, isPlainWork } from './nodes'
import type { BlockNode, Node, StepNode } from './nodes'
import { closeScope } from './repeats'
import { asRecovery, lineOf, shareOf } from './steps'
import type { BetweenLevel } from './token'
import { firstOf, lastOf, saidBy } from './work'
import type { Sequence, Work } from './work'

/** The plain work at the end that one between can part: a ladder, or members joined one by one. */
export function runOf({ out, lineFrom }: Sequence): StepNode[] {
  const run: StepNode[] = []
  for (let at = out.length - 1; at >= lineFrom && isPlainWork(out[at]); at--) run.unshift(out[at] as StepNode)
  return run
}

/** What stands between, behind each but the last, or behind the last too. */
function interleaved(nodes: readonly Node[], between: readonly StepNode[], isLast: boolean): Node[] {
  return nodes.flatMap((node, index) => {
    if (index === nodes.length - 1 && !isLast) return [node]
    const own = between[Math.min(index, between.length - 1)]!
    const [copy] = copied([own]) as [StepNode]
    const end = own.draft.share !== undefined && node.node === 'step' ? shareOf(node.step.end, own.draft.share) : null
    if (end) copy.step.end = end
    return [node, copy]
  })
}

/** Puts recoveries into every round, the last too; where the rounds take turns, behind each of them. */
export function addToRounds(block: BlockNode, recoveries: StepNode[]): void {
  block.nodes = block.hasTurns ? interleaved(block.nodes, recoveries, true) : [...block.nodes, ...recoveries]
}

function intoBlock(block: BlockNode, between: StepNode[], level: BetweenLevel): void {
  const areAlike = block.nodes.length > 1 && block.nodes.every(isPlainWork)
  const isEach =
    areAlike &&
    (block.hasTurns || level === 'reps' || (level === 'any' && block.nodes.every(isBareWork)) || between.length === block.nodes.length)
  const closing = block.nodes.at(-1)
  if (level === 'sets' && block.isEach && closing?.node === 'step' && closing.isBetween) block.nodes.pop()
  if (isEach) block.isEach = true
  const last = block.nodes.at(-1)
  const own = between.map(node => {
    const end = node.draft.share !== undefined && last?.node === 'step' ? shareOf(last.step.end, node.draft.share) : null
    return end ? { ...node, step: { ...node.step, end } } : node
  })
  block.nodes = isEach ? interleaved(block.nodes, own, true) : [...block.nodes, ...own]
  block.isDropped = block.until === undefined
  block.hasBetween = true
}

/** Work of which nothing is said but how long it is. */
const isBareWork = (node: Node, _: number, all: readonly Node[]) =>
  isPlainWork(node) &&
  node.step.note === undefined &&
  node.step.swim === undefined &&
  all.every(other => other.node === 'step' && JSON.stringify(other.step.target) === JSON.stringify(node.step.target))

/** Puts what stands between where it was meant: in the rounds of the repeat before, between its sets, or in a ladder. */
export function putBetween(sequence: Sequence, steps: StepNode[], level: BetweenLevel): void {
  const { out, scopes, work } = sequence
  const between = steps.map(asRecovery)
  const said = (repeat: BlockNode | null) => sayBetween(work, between, repeat)
  const scope = scopes.at(-1)
  if (level === 'sets' && scope) {
    const block = closeScope(sequence)
    if (block) intoBlock(block, between, 'sets')
    return said(null)
  }
  const last = out.at(-1)
  if (level === 'all') {
    const blocks = out.slice(sequence.lineFrom).filter((node): node is BlockNode => node.node === 'block')
    for (const [index, one] of blocks.entries()) {
      intoBlock(one, copied(between) as StepNode[], 'any')
      one.isDropped = index === blocks.length - 1
    }
    if (blocks.length > 0) return said(null)
  }
  if (last?.node === 'block') {
    const inner = last.nodes.at(-1)
    const isNested = last.nodes.length === 1 && inner?.node === 'block'
    const isByClock =
      last.nodes.some(node => node.node === 'step' && node.step.end.on === 'send-off') && last.line !== lineOf(steps[0]!.draft)
    if (level !== 'sets' && isNested && !inner.hasBetween && inner.nodes.length === 1) {
      intoBlock(inner, between, level)
      return said(null)
    }
    if ((level === 'any' && last.hasBetween) || isByClock) return void out.push(...between)
    said(last)
    intoBlock(last, between, level)
    return
  }
  const run = runOf(sequence)
  if (run.length >= 2) {
    const from = out.length - run.length
    out.splice(from, run.length, ...interleaved(run, between, between.length === run.length))
    said(null)
    return
  }
  out.push(...between)
}

/** A repeat in its own words, and the same with a recovery in its brackets: in every round, the last too. */
function inEveryRound(work: Work, repeat: BlockNode, recovery: StepNode): { from: number; to: number; said: string; kept: string } | null {
  const [count] = repeat.tokens
  const { line } = repeat
  const own = recovery.draft.tokens
  if (!count || repeat.tokens.length !== 1 || own.some(token => token.line !== line)) return null
  const raw = work.lines[line]!
  const begin = firstOf(own, line)
  if (begin <= count.to) return null
  const before = raw.slice(count.to, begin).replace(/[\s,;/\u2013\u2014-]+$/, '')
  const isBracketed = /[([{]\s*$/.test(before)
  const body = before.replace(/\s*[([{]\s*$/, '').trim()
  const to = lastOf(own, line)
  const inner = body.replace(/^[([{]([\s\S]*)[)\]}]$/, '$1')
  const { doubt: _, ...step } = recovery.step
  return {
    from: count.from,
    to: isBracketed && /^\s*[)\]}]/.test(raw.slice(to)) ? raw.indexOf(raw.slice(to).trimStart()[0]!, to) + 1 : to,
    said: `${raw.slice(count.from, count.to).trim()} ${body}`,
    kept: `${raw.slice(count.from, count.to).trim()} (${inner}, ${printStep(step)})`,
  }
}

/** Says that what stands between is left out after the last, with the repeat rewritten to keep it as the fix. */
function sayBetween(work: Work, between: readonly StepNode[], repeat: BlockNode | null): void {
  const [first] = between
  const token = first!.draft.tokens[0]!
  const isEach = repeat !== null && repeat.nodes.length > 1 && repeat.nodes.every(isPlainWork)
  const rewritten = repeat && between.length === 1 && !isEach ? inEveryRound(work, repeat, first!) : null
  const readAs = 'between the repeats: none after the last'
  const fixes = rewritten ? [{ label: 'after the last too', replacement: rewritten.kept }] : []
  const { from, to } = rewritten ?? token
  work.result.noticed.push({ line: token.line, noticed: { from, to, level: 'note', code: 'between', readAs, fixes } })
}

/** Asks whether a recovery behind a comma is in every round. */
export function askEveryRound(work: Work, repeat: BlockNode, recovery: StepNode, isBare: boolean): void {
  const token = recovery.draft.tokens[0]!
  const rewritten = inEveryRound(work, repeat, recovery)
  const { doubt: _, ...sure } = recovery.step
  const words = printStep(sure)
  recovery.step.doubt ??= { said: saidBy(work, recovery.draft.tokens) }
  const fixes = rewritten
    ? [
        { label: 'in every round', replacement: rewritten.kept },
        { label: 'only between', replacement: `${rewritten.said} w/ ${words}` },
        ...(isBare ? [{ label: 'a step of its own', replacement: `${rewritten.said}, work ${printEnd(recovery.step.end)}` }] : []),
      ]
    : []
  const { from, to } = rewritten ?? token
  const readAs = `${words} in every round, the last too`
  work.result.noticed.push({ line: token.line, noticed: { from, to, level: 'ask', code: 'comma-recovery', readAs, fixes } })
}
