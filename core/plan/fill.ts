/** A session of a message, with what is in it as a digest of its rows. */
export interface Wanted {
  day: string
  content: string
}

/** What an earlier message put on a day. */
export interface Filled {
  id: string
  day: string
  content: string
}

/** How the sessions of a message lie to what an earlier one put there; sessions by their place in the message. */
export interface FillMatch {
  same: { wanted: number; id: string }[]
  moved: { wanted: number; id: string }[]
  changed: { wanted: number; id: string }[]
  added: number[]
  gone: string[]
}

/**
 * What a corrected message changes: first what is the same on its day, then what is the same on another day, then what stands on a day
 * in place of what stood there; the rest is new, or gone.
 *
 * Law: each session of the message and each thing that was there is in exactly one of the lists; a message pasted again changes nothing.
 *
 * @example
 * const day = '2026-03-31'
 * matchFill([{ day, content: 'b' }], [{ id: 'x', day, content: 'a' }]).changed // [{ wanted: 0, id: 'x' }]
 */
export function matchFill(wanted: readonly Wanted[], filled: readonly Filled[]): FillMatch {
  const left = new Set(wanted.keys())
  const there = new Set(filled)
  const pair = (fits: (one: Wanted, other: Filled) => boolean) =>
    [...left].flatMap(index => {
      const found = [...there].find(other => fits(wanted[index]!, other))
      if (!found) return []
      left.delete(index)
      there.delete(found)
      return [{ wanted: index, id: found.id }]
    })
  const same = pair((one, other) => one.day === other.day && one.content === other.content)
  const moved = pair((one, other) => one.content === other.content)
  const changed = pair((one, other) => one.day === other.day)
  return { same, moved, changed, added: [...left], gone: [...there].map(({ id }) => id) }
}
