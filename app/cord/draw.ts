import type { Cord, CordPart } from '~~/core/reckon/cord'

/** How dark a knot is by its effort: the steps of the clay ramp, hatched from critical on. */
export type Shade = 'unknown' | 'steady' | 'hard' | 'critical' | 'most'

export interface DrawnKnot {
  x: number
  width: number
  shade: Shade
}

/** A cord in units of its own width and height, ready to be drawn. */
export interface DrawnCord {
  knots: DrawnKnot[]
  /** Thin clay lines of easy going. */
  lines: { x: number; width: number }[]
  /** Bare cord: from here to there. */
  bare: { x: number; width: number }[]
  /** Where an open end is frayed. */
  frays: number[]
  rings: number[]
  brackets: { x: number; width: number; y: number; words: string }[]
  /** Under what was inside its band, as long as the share of it that was. */
  threads: { x: number; width: number }[]
}

export const cordHeight = 32
/** Without a repeat nothing hangs below. */
export const bareHeight = 23
/** Where the cord runs, and where the brackets hang below it. */
export const cordAt = 12
const bracketAt = { first: 22, pitch: 5, most: 2 }
/** No part is narrower, however short it is. */
const narrowest = 3
const ringWidth = 9
/** Narrower brackets have no room for their count. */
const bracketFrom = 8

function shadeOf(effort: number | null | undefined): Shade {
  if (effort === null || effort === undefined) return 'unknown'
  return effort >= 108 ? 'most' : effort >= 100 ? 'critical' : effort >= 92 ? 'hard' : 'steady'
}

/** Widths of parts on a square-root scale of time, so that a stride is seen beside an hour, together as wide as the cord. */
function widthsOf(parts: readonly CordPart[], width: number): number[] {
  const rings = parts.filter(({ kind }) => kind === 'ring').length * ringWidth
  const roots = parts.map(({ kind, seconds }) => (kind === 'ring' ? 0 : Math.sqrt(Math.max(1, seconds))))
  const sum = roots.reduce((total, root) => total + root, 0)
  const least = Math.min(narrowest, (width - rings) / Math.max(1, parts.length))
  const spare = Math.max(0, width - rings - least * roots.filter(root => root > 0).length)
  return roots.map(root => (root === 0 ? ringWidth : least + (spare * root) / sum))
}

/** Where everything of a cord lies, for a width in pixels. */
export function drawCord({ parts, brackets }: Cord, width: number): DrawnCord {
  const widths = widthsOf(parts, width)
  const starts: number[] = []
  widths.reduce((x, own) => {
    starts.push(x)
    return x + own
  }, 0)
  const drawn: DrawnCord = { knots: [], lines: [], bare: [], frays: [], rings: [], brackets: [], threads: [] }
  parts.forEach(({ kind, effort, isOpen, held }, index) => {
    const [x, own] = [starts[index]!, widths[index]!]
    if (kind === 'ring') drawn.rings.push(x + own / 2)
    else if (kind === 'knot') drawn.knots.push({ x: x + 0.5, width: Math.max(1.5, own - 1), shade: shadeOf(effort) })
    else drawn[kind === 'line' ? 'lines' : 'bare'].push({ x, width: own })
    if (isOpen) drawn.frays.push(x + own)
    if (held) drawn.threads.push({ x, width: own * held })
  })
  for (const { from, to, words, depth } of brackets) {
    const last = Math.min(to, parts.length - 1)
    const [x, end] = [starts[from]!, starts[last]! + widths[last]!]
    if (depth < bracketAt.most && end - x >= bracketFrom)
      drawn.brackets.push({ x, width: end - x, y: bracketAt.first - depth * bracketAt.pitch + bracketAt.pitch, words })
  }
  return drawn
}
