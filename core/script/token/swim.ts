import type { Swim } from '../../session/document'
import type { Scanner } from './scanner'
import { firstOf, take } from './scanner'
import { kitWords, strokes, swimModes } from './words'

function jsonString(text: string): string | null {
  try {
    return JSON.parse(text) as string
  } catch {
    return null
  }
}

/** `catch-up drill`, `fingertip drag drill`: the words before are the drill's name. */
const namedDrill = /((?!drill)[a-z][a-z-]*(?:\s+(?!drill)[a-z][a-z-]*){0,2})\s+drills?(?![a-z])/iy
const quoted = /(?<!\d)"(?:[^"\\]|\\.)*"/y

/** Takes one word or phrase about how to swim; false when the next word is none. */
export function readSwimWord(scanner: Scanner, swim: Swim): boolean {
  const quote = take(scanner, quoted)
  if (quote) {
    const drill = jsonString(scanner.raw.slice(scanner.at - quote[0].length, scanner.at))
    if (!drill || swim.drill !== undefined) return false
    swim.drill = drill
    return true
  }
  const kit = firstOf(scanner, kitWords)
  if (kit) {
    if (!swim.kit?.includes(kit)) swim.kit = [...(swim.kit ?? []), kit]
    return true
  }
  const stroke = swim.stroke === undefined ? firstOf(scanner, strokes) : undefined
  if (stroke) {
    swim.stroke = stroke
    return true
  }
  const mode = swim.mode === undefined && take(scanner, swimModes)
  if (mode) {
    swim.mode = mode[1]!.toLowerCase() as Swim['mode']
    return true
  }
  if (scanner.strict || swim.drill !== undefined || swim.mode !== undefined) return false
  const named = take(scanner, namedDrill)
  if (!named) return false
  swim.mode = 'drill'
  swim.drill = named[1]!
  return true
}
