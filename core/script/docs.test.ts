import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { printAsRun } from './as-run'
import { readScript } from './reader/read-script'
import { printSession } from './print'
import { nobody } from '../athlete/standpoint'

const page = readFileSync(new URL('../../docs/script.md', import.meta.url), 'utf8')
const blocks = (language: string) => [...page.matchAll(new RegExp(`\`\`\`${language}\\n([\\s\\S]*?)\`\`\``, 'g'))].map(match => match[1]!)

describe('the examples in docs/script.md', () => {
  it('are many', () => expect([blocks('script').length, blocks('typed')[0]!.split('\n').length]).toEqual([4, 20]))

  it.each(blocks('script'))('reads back to the letter: %s', text => {
    const { sessions, results, remarks } = readScript(text, nobody)
    expect(remarks.filter(remark => remark.level === 'note' || remark.level === 'error')).toEqual([])
    expect(printAsRun(sessions[0]!, results[0]!)).toBe(text)
  })

  it.each(
    blocks('typed')
      .flatMap(block => block.trimEnd().split('\n'))
      .map(line => line.split(' => ') as [string, string]),
  )('%s', (said, reads) => {
    const rows = printSession(readScript(said, nobody).sessions[0]!)
      .split('\n\n')[1]!
      .trimEnd()
      .split('\n')
      .map(row => row.trim())
    expect(rows.join(' | ')).toBe(reads)
  })

  it.each(
    [...page.matchAll(/^\| (?:pace|one side open|speed|percent|zone|perceived|named|changing)[^|]*\| (.*) \|$/gm)]
      .flatMap(match => [...match[1]!.matchAll(/`([^`]+)`/g)])
      .map(match => match[1]!),
  )('the target %s', target => {
    expect(
      readScript(`sport run\n\n10:00 @ ${target}\n`, nobody).remarks.filter(
        remark => remark.level !== 'note' || remark.code === 'spelling',
      ),
    ).toEqual([])
  })
})
