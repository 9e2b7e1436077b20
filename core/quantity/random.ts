/** Numbers from a seed: the same seed, the same numbers. */
export interface Random {
  /** From 0 to below 1. */
  next: () => number
  /** Standard normal. */
  normal: () => number
}

/**
 * A small seeded generator for simulations; not for secrets.
 *
 * @param seed any whole number
 * @source splitmix32 after Steele, Lea & Flood (2014); normals by Box & Muller (1958)
 */
export function randomFrom(seed: number): Random {
  let state = seed | 0
  const next = () => {
    state = (state + 0x9e3779b9) | 0
    let mixed = state ^ (state >>> 16)
    mixed = Math.imul(mixed, 0x21f0aaad)
    mixed ^= mixed >>> 15
    mixed = Math.imul(mixed, 0x735a2d97)
    return ((mixed ^ (mixed >>> 15)) >>> 0) / 4294967296
  }
  const normal = () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next())
  return { next, normal }
}
