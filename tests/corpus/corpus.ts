import { readdirSync, readFileSync } from 'node:fs'
import { printSessions } from '../../core/script/print'
import type { MessageHints } from '../../core/script/reader/read-script'
import { readScript } from '../../core/script/reader/read-script'
import { nobody } from '../../core/athlete/standpoint'

/** A line or a message as somebody wrote it, the sessions it reads as, and what is asked about it. */
export interface Specimen {
  file: string
  said: string
  reads: string
  asks: string[]
}

const folder = new URL('.', import.meta.url)
const betweenSpecimens = '\n====\n'
const betweenParts = '\n----\n'

/** Messages in `ride` and `swim` are read in their sport, all others with nothing known; the week is that of 30 March 2026. */
export const optionsFor = (file: string): MessageHints => ({
  week: '2026-03-30',
  ...(file === 'ride' || file === 'swim' ? { sport: file } : {}),
})

export function readSpecimen(file: string, said: string): Pick<Specimen, 'reads' | 'asks'> {
  const { sessions, remarks } = readScript(said, nobody, optionsFor(file))
  return {
    reads: printSessions(sessions).trimEnd(),
    asks: remarks.filter(remark => remark.level !== 'note' && remark.code !== 'doubt-open').map(remark => `${remark.level} ${remark.code}`),
  }
}

export function loadCorpus(): Specimen[] {
  return readdirSync(folder)
    .filter(name => name.endsWith('.txt'))
    .sort()
    .flatMap(name => {
      const file = name.replace(/\.txt$/, '')
      return readFileSync(new URL(name, folder), 'utf8')
        .trimEnd()
        .split(betweenSpecimens)
        .map((text): Specimen => {
          const [said, reads, asks] = text.split(betweenParts) as [string, string, string | undefined]
          return { file, said, reads, asks: asks?.split('\n').filter(Boolean) ?? [] }
        })
    })
}

export const writeSpecimens = (specimens: readonly Specimen[]): string =>
  specimens
    .map(({ said, reads, asks }) => [said, reads, ...(asks.length > 0 ? [asks.join('\n')] : [])].join(betweenParts))
    .join(betweenSpecimens) + '\n'
