import type { Block, Item, Step } from '../../session/document'

export function interleave(steps: Item[], between: Step[]): Item[] {
  return steps.flatMap((step, index) => [step, { ...between[Math.min(index, between.length - 1)]! }])
}

/** What stands between the rounds: behind each where there are as many or all are like work, else behind the last. */
export function withBetween(items: Item[], between: Step[], areLike: boolean): Item[] {
  return between.length === items.length || (areLike && items.length > 1) ? interleave(items, between) : [...items, ...between]
}

/** Whether what stands between the rounds of a repeat can still be said: it has several rounds, and only work in them. */
export function lacksBetween(item: Item | undefined): item is Block {
  return (
    item?.kind === 'block' &&
    (item.repeat.times ?? 0) > 1 &&
    item.lastRecovery === undefined &&
    item.items.every(inner => inner.kind === 'step' && inner.role === 'work' && inner.end.on !== 'send-off')
  )
}

/** Puts between the rounds of a repeat what was said of it later. */
export function putBetween(repeat: Block, between: Step[]): void {
  repeat.items = withBetween(repeat.items, between, true)
  repeat.lastRecovery = 'drop'
}
