import { describe, expect, it } from 'vitest'
import { actWords, aboutWords, pushedWords, shareArrived, slotStatusClass, slotStatusWords } from './words'
import { sayDay } from '../../core/words/date'

const sayIt = (day: string) => sayDay(day, { weekday: 'short' })

describe('a push', () => {
  it('counts as arrived only what was read back', () => {
    expect(pushedWords(['done', 'done'])).toBe('2 sent.')
    expect(pushedWords(['done', 'stopped', 'cancelled'])).toBe('1 of 3 sent; the rest can be gone on with.')
    expect(pushedWords([undefined])).toBe('0 of 1 sent; the rest can be gone on with.')
    expect(pushedWords([])).toBe('Done.')
  })
  it('says what it would replace', () => {
    const send = {
      do: 'send' as const,
      slot: 2,
      expects: 1,
      session: 'x',
      day: '2026-03-31',
      name: 'Quay ladder',
      digest: 'd',
      replaces: null,
    }
    expect(actWords(send, sayIt)).toBe('Tue 31 Mar: send “Quay ladder” to slot 2')
    expect(actWords({ ...send, replaces: 'Quay ladder' }, sayIt)).toContain('in place of the older one')
    expect(actWords({ ...send, replaces: 'Other' }, sayIt)).toContain('in place of “Other”')
  })
})

describe('a slot', () => {
  it('says its status and why it is older', () => {
    expect(slotStatusWords({ status: 'stale', stale: ['athlete', 'profile'], by: 'server' })).toBe(
      'older: your numbers have changed, what the watch can do has changed',
    )
    expect(slotStatusWords({ status: 'edited', stale: [], by: 'hand' })).toBe('changed there')
    expect(slotStatusWords({ status: 'extra', stale: [], by: 'hand' })).toBe('made there')
    expect((['equal', 'stale', 'missing'] as const).map(status => slotStatusClass({ status }))).toEqual(['good', 'doubt', 'bad'])
  })
  it('says how much has arrived, in whole percent', () => {
    expect([shareArrived({ arrived: 1, size: 3 }), shareArrived({ arrived: 0, size: 0 })]).toEqual([33, 0])
  })
  it('says what a standing choice is about', () => {
    expect(aboutWords('target pace run treadmill')).toMatch(/pace/)
  })
})
