import type { CardSize } from '../../core/card/card'
import { cardSizes } from '../../core/card/card'
import { convert, convertRecording } from '../convert'
import { holdsRecording } from '../input'
import { standpointIn } from '../standpoint'
import type { Values } from '../usage'
import { hintsIn, positionals, WrongUse } from '../usage'

export async function run(files: string[], values: Values): Promise<number> {
  const [from, to] = positionals(files, 2)
  if (values.as !== undefined && values.as !== 'session' && values.as !== 'recording') throw new WrongUse('--as is session or recording')
  if (values.size !== undefined && !(values.size in cardSizes)) throw new WrongUse(`--size is one of ${Object.keys(cardSizes).join(', ')}`)
  if (values.as === 'recording' || (values.as === undefined && holdsRecording(from!))) {
    for (const what of convertRecording(from!, to!, hintsIn(values).sport))
      process.stderr.write(`${JSON.stringify({ note: `left out: ${what}` })}\n`)
    return 0
  }
  const standpoint = await standpointIn(values)
  await convert(from!, to!, { standpoint, size: values.size as CardSize | undefined, withCode: values.code === true })
  return 0
}
