import { sayDuration } from '../quantity/time'

/** What is told of a stretch of a cord. */
interface ToldPart {
  kind: 'knot' | 'line' | 'bare' | 'ring'
  seconds: number
}

interface ToldCord {
  parts: readonly ToldPart[]
  brackets: readonly { from: number; to: number; words: string; depth: number }[]
}

const roughly = (seconds: number) => sayDuration(seconds < 90 ? Math.round(seconds / 5) * 5 : Math.round(seconds / 60) * 60)

function sayPart({ kind, seconds }: ToldPart): string {
  if (kind === 'ring') return 'the next sport'
  if (kind === 'knot') return `${roughly(seconds)} of work`
  return kind === 'line' ? `${roughly(seconds)} easy` : `${roughly(seconds)} of recovery`
}

/** One round of a repeat: what of it is work, and what lies between. */
function sayRound(parts: readonly ToldPart[], words: string): string {
  const work = parts.find(({ kind }) => kind !== 'bare')
  const between = parts.find(({ kind }) => kind === 'bare')
  const times = words === '⟳' ? 'again and again' : `${words} times`
  const what = work ? sayPart(work) : 'recovery'
  return `${times} ${what}${work && between ? `, ${roughly(between.seconds)} between` : ''}`
}

/**
 * A session in a sentence, as its cord shows it: for the ear.
 *
 * @example sayCord(cord) // '15 min easy; 5 times 5 min of work, 2 min between; 10 min easy'
 */
export function sayCord({ parts, brackets }: ToldCord): string {
  const said: string[] = []
  for (let index = 0; index < parts.length; index++) {
    const bracket = brackets.find(({ from, depth }) => depth === 0 && from === index)
    if (!bracket) {
      said.push(sayPart(parts[index]!))
      continue
    }
    said.push(sayRound(parts.slice(bracket.from, bracket.to + 1), bracket.words))
    index = bracket.to
  }
  return said.join('; ')
}
