import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ilse } from '../../demo/athlete'
import { demoScripts } from '../../demo/sessions'
import { arbitrarySession } from '../../tests/support/arbitrary-session'
import { carryOut, stepNames } from '../../tests/support/carry-out'
import { validateWatchProfile } from '../formats/validate'
import { readScript } from '../script/read'
import type { Session } from '../session/document'
import { walk } from '../session/walk'
import { fit } from './fit'
import type { WatchProfile } from './profile'
import { profileNamed, watchProfiles } from './profile'
import { countItems, depthOf } from './program'
import { digestOf } from './digest'

const session = (text: string): Session => readScript(text).sessions[0]!
const onWatch = (text: string, watch: string | WatchProfile = 'all-sport') => fit(session(text), typeof watch === 'string' ? profileNamed(watch)! : watch, ilse, '2026-03-31')
const losses = (text: string, watch: string | WatchProfile = 'all-sport') => onWatch(text, watch).losses.map(loss => [loss.path, loss.kind, loss.instead])

describe('the profiles that ship', () => {
  it.each(watchProfiles.map(profile => [profile.name, profile] as const))('%s fits its schema', (_, profile) => expect(validateWatchProfile(profile).ok).toBe(true))
})

describe('fitting', () => {
  it('loses nothing of any demo session on the watch that can do everything', () => {
    for (const script of demoScripts) {
      const { losses, fits } = onWatch(script)
      expect([script.split('\n')[0], losses, fits]).toEqual([script.split('\n')[0], [], true])
    }
  })

  it('executes like the session, for every demo session and a watch of any nesting', () => {
    for (const script of demoScripts) {
      for (const maxNesting of [6, 1, 0]) {
        const profile = { ...profileNamed('all-sport')!, maxNesting }
        if (maxNesting === 0 && script.includes('repeat for')) continue
        const { program } = onWatch(script, profile)
        expect(depthOf(program.items)).toBeLessThanOrEqual(maxNesting)
        const { marks } = carryOut(program, 5, { press: 0.5, skip: 0.2, pause: 0 })
        if (script.includes('repeat for')) continue
        expect(stepNames(marks)).toEqual([...walk(session(script))].map(flat => `${flat.path}@${flat.round.join('.')}`))
      }
    }
  })

  it('resolves targets outward in numbers a watch can hold', () => {
    const { program } = onWatch('sport ride\n\n10:00 @ 91-97 %CP')
    expect(program.items[0]).toMatchObject({ target: { of: 'power', unit: 'W', easiest: 195, hardest: 209 } })
    expect(program.items[0]).not.toHaveProperty('target.said')
  })

  it('takes the lowest ceiling that holds at a step', () => {
    const { program } = onWatch('sport run\nceiling 90 %HRmax\n\n10:00\n2 times, ceiling 150 bpm\n  1:00\n  1:00 ceiling 140 bpm')
    const ceilings = JSON.stringify(program.items).match(/"ceiling":\d+/g)
    expect(ceilings).toEqual(['"ceiling":163', '"ceiling":150', '"ceiling":140'])
  })

  it('lists every loss with its path and what is used instead', () => {
    expect(losses('sport run\nplace treadmill\n\n10:00 @ 4:30 /km\n5:00 @ 140-150 bpm', 'basic')).toEqual([['1', 'target', 'no target']])
    expect(losses('sport run\n\nuntil HR below 120 walk', 'basic')).toEqual([['1', 'end', 'until press']])
    expect(losses('sport run\n\n2 times\n  1:00\n  recovery 1:00', 'basic')).toEqual([[undefined, 'nesting', 'the outer repeats written out, round by round']])
    expect(losses('sport run\n\n300 kcal')).toEqual([['1', 'end', '4762 m, a kilocalorie a kilogram and kilometre']])
    expect(losses('sport run\n\n1:00  # a very long name for one step', 'basic')).toEqual([['1', 'name', '"a very long nam…"']])
    expect(losses('title A title of more than sixteen letters\nsport run\n\n1:00', 'basic')).toEqual([[undefined, 'name', '"A title of more…"']])
    expect(losses('sport ride\n\n10:00 @ own power', 'bike-bar').at(0)).toEqual(['1', 'unread', null])
  })

  it.each([
    ['a sport it does not know', 'sport swim\n\n100 m', 'basic', 'sport'], ['more steps than it holds', 'sport run\n\n21 times\n  1:00', 'basic', 'steps'],
    ['a repeat until a distance', 'sport run\n\nrepeat for 5 km\n  1:00', 'basic', 'repeat'], ['an open doubt', 'sport run\n\n5:00 ?{5m}', 'all-sport', 'doubt'],
    ['a doubt on a block', 'sport run\n\n6 times ?{6-8 x}\n  1:00', 'all-sport', 'doubt'], ['an unread line', 'sport run\n\nunread hm', 'all-sport', 'unread'],
    ['a send-off it cannot time', 'sport run\n\n400 m on 2:00', 'runner', 'end'], ['nothing to do', 'sport run\n\noff 1:00', 'all-sport', 'steps'],
  ])('does not fit with %s', (_, text, watch, kind) => {
    const { fits, losses } = onWatch(text, watch)
    expect(fits).toBe(false)
    expect(losses.filter(loss => loss.instead === null).map(loss => loss.kind)).toContain(kind)
  })

  it('says which of the athlete\'s numbers is missing', () => {
    const { losses } = fit(session('sport run\n\n1 km @ 5k effort'), profileNamed('all-sport')!)
    expect(losses).toEqual([{ path: '1', kind: 'target', what: '5k effort needs a run race or time trial', instead: 'no target' }])
  })

  it('freezes where it came from, so that a stale copy can say why', () => {
    const a = onWatch('sport run\n\n1:00')
    const b = fit(session('sport run\n\n1:00'), profileNamed('all-sport')!, { ...ilse, massKg: 60 })
    expect(a.program.from.session).toBe(b.program.from.session)
    expect(a.program.from.athlete).not.toBe(b.program.from.athlete)
    expect(digestOf(a.program)).not.toBe(digestOf(b.program))
  })

  it('holds on documents of every kind: what fits stays within the watch and can be carried out', () => {
    fc.assert(fc.property(arbitrarySession, fc.constantFrom(...watchProfiles), (document, profile) => {
      const { program, fits } = fit(document, profile, ilse)
      if (!fits) return
      expect(countItems(program.items)).toBeLessThanOrEqual(profile.maxSteps)
      expect(depthOf(program.items)).toBeLessThanOrEqual(profile.maxNesting)
      expect(JSON.stringify(program)).not.toMatch(/null|NaN|Infinity/)
    }), { numRuns: 500 })
  })
})
