import { describe, expect, it } from 'vitest'
import examples from '../../../docs/script-examples.json'
import { printSession } from '../print'
import { readScript } from './read-script'
import { nobody } from '../../athlete/standpoint'

interface Example {
  said: string
  reads: string
  sport?: string
  remarks?: string[]
}

/** Remarks that every shorthand has: what sport was taken, and how the row is spelled. */
const usual = ['spelling', 'sport', 'open-end']

describe('the examples of the script', () => {
  it.each(examples as Example[])('$said', ({ said, reads, sport, remarks }) => {
    const result = readScript(said, nobody, sport ? { sport: sport as 'run' } : {})
    const rows = printSession(result.sessions[0]!)
      .replace(/^[\s\S]*?\n\n/, '')
      .trimEnd()
    expect(rows).toBe(reads)
    if (!remarks) return
    const told = result.remarks.filter(remark => !usual.includes(remark.code)).map(remark => `${remark.level} ${remark.code}`)
    expect([...new Set(told)].sort()).toEqual([...remarks].sort())
  })

  it.each(examples as Example[])('read as rows, these stay as they are: $reads', ({ reads, sport }) => {
    const text = `sport ${sport ?? 'run'}\n\n${reads}\n`
    const { sessions, remarks } = readScript(text, nobody)
    expect(printSession(sessions[0]!)).toBe(text)
    expect(remarks.filter(remark => remark.level === 'note')).toEqual([])
  })
})
