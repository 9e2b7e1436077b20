import { describe, expect, it } from 'vitest'
import { ilse } from '../../demo/athlete'
import { reckon } from '../reckon/reckon'
import { readScript } from '../script/reader/read-script'
import { remembered, sameFields } from './settled'
import { nobody } from '../athlete/standpoint'
import { seenBy } from '../../tests/support/standpoint'

describe('what is remembered', () => {
  it('is made once for a settled object and a context, and anew for another context', () => {
    let count = 0
    const double = remembered((of: { value: number }, by: number) => {
      count++
      return of.value * by
    })
    const settled = Object.freeze({ value: 2 })
    expect([double(settled, 2), double(settled, 2), double(settled, 3), double(settled, 2)]).toEqual([4, 4, 6, 4])
    expect(count).toBe(3)
  })
  it('is never kept of an object that can still change', () => {
    const of = { value: 1 }
    const read = remembered((from: { value: number }) => from.value)
    expect(read(of)).toBe(1)
    of.value = 2
    expect(read(of)).toBe(2)
  })
  it('tells same fields from others, missing ones too', () => {
    const end = {}
    expect(sameFields({ end, role: 'work' }, { end, role: 'work' })).toBe(true)
    expect(sameFields({ end: {} }, { end: {} })).toBe(false)
    expect(sameFields({ end }, { end, off: true })).toBe(false)
    expect(sameFields({ end, off: undefined }, { end, role: 'work' })).toBe(false)
  })
})

describe('the steps of rows read again', () => {
  const text = (first: string) => `sport run\n\n${first}\nrecovery 1:00\n400 m @ 5k effort\nrecovery 1:00\n`
  it('are the very same where their rows stayed, and no two rows share one', () => {
    const [before, after] = [readScript(text('800 m'), nobody), readScript(text('900 m'), nobody)].map(result => result.sessions[0]!.items)
    expect(after!.slice(1).map((item, index) => item === before![index + 1])).toEqual([true, true, true])
    expect(after![1]).not.toBe(after![3])
  })
  it('are others where what stands around gives them another role', () => {
    const role = (shorthand: string) => readScript(shorthand, nobody).sessions[0]!.items.map(item => item.kind === 'step' && item.role)
    expect(role('10 min easy\n3 km @ 5k effort\n10 min easy')).toEqual(['warm-up', 'work', 'cool-down'])
    expect(role('10 min easy\n3 km @ 5k effort\n10 min easy\n1 km @ 5k effort')).toEqual(['warm-up', 'work', 'recovery', 'work'])
    expect(role('10 min easy')).toEqual(['work'])
  })
  it('are reckoned by the athlete they are asked for', () => {
    const session = readScript(text('5:00 @ 95-100 %CS'), nobody).sessions[0]!
    const slower = { ...ilse, run: { ...ilse.run, criticalSpeed: ilse.run!.criticalSpeed! * 0.9 } }
    const speed = (athlete: typeof ilse) => reckon(session, seenBy(athlete)).flat[0]!.target!.easiest!
    expect(speed(slower)).toBeLessThan(speed(ilse))
    expect(speed(ilse)).toBe(reckon(structuredClone(session), seenBy(ilse)).flat[0]!.target!.easiest)
  })
})
