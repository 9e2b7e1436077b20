/** Makes standard normal numbers from a seed, fast enough for tens of millions of them. */
export type Normals = () => number

const layers = 128
const tail = 3.442619855899
const area = 9.91256303526217e-3
const limit = 2147483648

const edges = new Float64Array(layers)
const scales = new Float64Array(layers)
const heights = new Float64Array(layers)

function prepare(): void {
  const q = area / Math.exp(-0.5 * tail * tail)
  edges[0] = (tail / q) * limit
  edges[1] = 0
  scales[0] = q / limit
  scales[layers - 1] = tail / limit
  heights[0] = 1
  heights[layers - 1] = Math.exp(-0.5 * tail * tail)
  let outer = tail
  for (let layer = layers - 2; layer >= 1; layer--) {
    const inner = Math.sqrt(-2 * Math.log(area / outer + Math.exp(-0.5 * outer * outer)))
    edges[layer + 1] = (inner / outer) * limit
    heights[layer] = Math.exp(-0.5 * inner * inner)
    scales[layer] = inner / limit
    outer = inner
  }
}
prepare()

const batch = 4096

interface Bits {
  /** The four words of the generator; who takes many numbers holds them in local variables meanwhile. */
  state: Int32Array
  next: () => number
}

function bitsFrom(seed: number): Bits {
  const state = new Int32Array([seed, seed ^ 0x9e3779b9, 0x243f6a88, 1])
  const next = () => {
    const sum = (state[0]! + state[1]! + state[3]!) | 0
    state[3] = state[3]! + 1
    state[0] = state[1]! ^ (state[1]! >>> 9)
    state[1] = state[2]! + (state[2]! << 3)
    state[2] = ((state[2]! << 21) | (state[2]! >>> 11)) + sum
    return sum
  }
  return { state, next }
}

const uniform = (bits: Bits) => ((bits.next() >>> 0) + 0.5) / 4294967296

function inTail(isNegative: boolean, bits: Bits): number {
  for (;;) {
    const x = -Math.log(uniform(bits)) / tail
    if (-2 * Math.log(uniform(bits)) >= x * x) return isNegative ? -tail - x : tail + x
  }
}

/** The one in a hundred that falls outside its layer's box. */
function rejected(value: number, layer: number, bits: Bits): number | null {
  if (layer === 0) return inTail(value < 0, bits)
  const x = value * scales[layer]!
  return heights[layer]! + uniform(bits) * (heights[layer - 1]! - heights[layer]!) < Math.exp(-0.5 * x * x) ? x : null
}

function keep(state: Int32Array, a: number, b: number, c: number, counter: number): void {
  state[0] = a
  state[1] = b
  state[2] = c
  state[3] = counter
}

/** Trap: the state lives in plain local variables, which no inner function may hold: that is most of the speed. */
function fill(made: Float64Array, bits: Bits): void {
  const { state } = bits
  let a = state[0]!
  let b = state[1]!
  let c = state[2]!
  let counter = state[3]!
  let layersLeft = 0
  let pool = 0
  for (let index = 0; index < batch;) {
    if (layersLeft === 0) {
      pool = (a + b + counter) | 0
      counter = (counter + 1) | 0
      a = b ^ (b >>> 9)
      b = (c + (c << 3)) | 0
      c = (((c << 21) | (c >>> 11)) + pool) | 0
      layersLeft = 4
    }
    const value = (a + b + counter) | 0
    counter = (counter + 1) | 0
    a = b ^ (b >>> 9)
    b = (c + (c << 3)) | 0
    c = (((c << 21) | (c >>> 11)) + value) | 0
    const layer = pool & (layers - 1)
    pool >>>= 8
    layersLeft--
    if (Math.abs(value) < edges[layer]!) {
      made[index++] = value * scales[layer]!
      continue
    }
    keep(state, a, b, c, counter)
    const kept = rejected(value, layer, bits)
    a = state[0]!
    b = state[1]!
    c = state[2]!
    counter = state[3]!
    if (kept !== null) made[index++] = kept
  }
  keep(state, a, b, c, counter)
}

/**
 * Standard normal numbers from a seed: the same seed, the same numbers. For simulations, not for secrets.
 *
 * @param seed any whole number
 * @source ziggurat of Marsaglia & Tsang, J Stat Softw 5 (2000), with layer and value from different bits after Doornik (2005);
 *   uniform bits by sfc32 (C. Doty-Humphrey, PractRand)
 */
export function normalsFrom(seed: number): Normals {
  const bits = bitsFrom(seed)
  const made = new Float64Array(batch)
  let next = batch
  for (let round = 0; round < 16; round++) bits.next()
  return () => {
    if (next === batch) {
      fill(made, bits)
      next = 0
    }
    return made[next++]!
  }
}
