import type { Ref } from 'vue'

/** The shortest that is seen of a recording, in seconds. */
const shortest = 20

/** Which seconds of a recording are seen: moved by arrows, made closer and wider by + and -, whole by 0, or as the pointer says. */
export function useSeenSpan(last: Ref<number>) {
  const seen = ref({ from: 0, to: last.value })
  const whole = () => {
    seen.value = { from: 0, to: last.value }
  }
  watch(last, whole)

  function show(from: number, length: number): void {
    const long = Math.min(last.value, Math.max(shortest, length))
    /** On a whole mark of the axis, so that its times are round. */
    const mark = long > 1200 ? 60 : 10
    const begin = Math.floor(Math.min(Math.max(0, from), last.value - long) / mark) * mark
    seen.value = { from: begin, to: begin + long }
  }
  const zoom = (by: number) => {
    const { from, to } = seen.value
    const length = Math.max(shortest, (to - from) * by)
    show((from + to) / 2 - length / 2, length)
  }
  const pan = (share: number) => {
    const { from, to } = seen.value
    show(from + share * (to - from), to - from)
  }
  const acts: Record<string, () => void> = {
    'ArrowLeft': () => pan(-0.25),
    'ArrowRight': () => pan(0.25),
    '+': () => zoom(0.5),
    '=': () => zoom(0.5),
    '-': () => zoom(2),
    '0': whole,
  }
  function keys(event: KeyboardEvent): void {
    const act = acts[event.key]
    if (!act || event.ctrlKey || event.metaKey || event.altKey) return
    event.preventDefault()
    act()
  }
  /** What the pointer has done to the chart, in percent of all of it. */
  function follow(event: { start?: number; end?: number; batch?: { start: number; end: number }[] }): void {
    const { start, end } = event.batch?.[0] ?? event
    if (start === undefined || end === undefined) return
    const span = { from: (start / 100) * last.value, to: (end / 100) * last.value }
    if (Math.abs(span.from - seen.value.from) + Math.abs(span.to - seen.value.to) > 0.5) seen.value = span
  }
  return { seen, keys, show, zoom, whole, follow }
}
