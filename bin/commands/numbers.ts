import { readAthlete } from '../documents'
import { numbersOf } from '../numbers'
import { seenFrom } from '../standpoint'
import type { Values } from '../usage'
import { positionals, write } from '../usage'

export async function run(files: string[], values: Values): Promise<number> {
  write(numbersOf(seenFrom(readAthlete(positionals(files, 1)[0]!), values)))
  return 0
}
