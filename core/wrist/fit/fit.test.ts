import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ilse } from '../../../demo/athlete'
import { demoScripts } from '../../../demo/sessions'
import { arbitrarySession } from '../../../tests/support/arbitrary-session'
import { carryOut, stepNames } from '../../../tests/support/carry-out'
import { validateWatchProfile } from '../../formats/validate'
import { readScript } from '../../script/reader/read-script'
import type { Session } from '../../session/document'
import { walk } from '../../session/walk'
import { fit } from './fit'
import { shortenNames } from './fit-name'
import type { LossChoices } from './loss'
import type { WatchProfile } from '../program/profile'
import { phoneChoices, phoneProfileFor, profileNamed, watchProfiles } from '../program/profile'
import { countItems, depthOf, roundItems } from '../program/program'
import type { Program, ProgramItem, ProgramStep } from '../program/program'
import { digestOf } from '../program/digest'
import { nobody, standpointOf } from '../../athlete/standpoint'
import { seenBy } from '../../../tests/support/standpoint'

const session = (text: string): Session => readScript(text, nobody).sessions[0]!
const onWatch = (text: string, watch: string | WatchProfile = 'all-sport') =>
  fit(session(text), typeof watch === 'string' ? profileNamed(watch)! : watch, standpointOf(ilse, '2026-03-31'))
const losses = (text: string, watch: string | WatchProfile = 'all-sport') =>
  onWatch(text, watch).losses.map(loss => [loss.path, loss.kind, loss.instead])

describe('the profiles that ship', () => {
  it.each(watchProfiles.map(profile => [profile.name, profile] as const))('%s fits its schema', (_, profile) =>
    expect(validateWatchProfile(profile).ok).toBe(true),
  )
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
    expect(losses('sport run\nplace treadmill\n\n10:00 @ 5:10 /km\n5:00 @ 140-150 bpm', 'basic')).toEqual([
      ['1', 'target', 'about 150-160 bpm'],
    ])
    expect(losses('sport run\n\nuntil HR below 120 walk', 'basic')).toEqual([['1', 'end', 'until press']])
    expect(losses('sport run\n\n2 times\n  1:00\n  recovery 1:00', 'basic')).toEqual([
      [undefined, 'nesting', 'every repeat written out, round by round: 4 steps'],
    ])
    expect(losses('sport run\n\n300 kcal')).toEqual([['1', 'end', '4762 m, a kilocalorie a kilogram and kilometre']])
    expect(losses('sport run\n\n1:00  # a very long name for one step', 'basic')).toEqual([['1', 'name', '"a very long nam…"']])
    expect(losses('title A title of more than sixteen letters\nsport run\n\n1:00', 'basic')).toEqual([
      [undefined, 'name', '"A title of more…"'],
    ])
    expect(losses('sport run\n\nrepeat for 5 km\n  1 km\n  recovery 1:00', 'basic').at(0)).toEqual([
      '1',
      'repeat',
      '5 times, what it likely comes to',
    ])
    expect(
      losses('sport swim\n\n2 times\n  100 m on 2:10 @ 1:50 /100m', {
        ...profileNamed('all-sport')!,
        ends: ['time', 'distance', 'press'],
      }).at(0),
    ).toEqual(['1.1', 'end', '100 m, and 0:20 rest, what is likely left to the clock'])
    expect(losses('sport run\n\n400 m or 2:00', { ...profileNamed('all-sport')!, ends: ['time', 'press'] })).toEqual([
      ['1', 'end', '2:00, of the two alone'],
    ])
    expect(losses('sport ride\n\n10:00 @ own power', 'bike-bar').at(0)).toEqual(['1', 'unread', null])
  })

  it.each([
    ['a sport it does not know', 'sport swim\n\n100 m', 'basic', 'sport'],
    ['more steps than it holds', 'sport run\n\n21 times\n  1:00', 'basic', 'steps'],
    [
      'a repeat that nobody can reckon',
      'sport ride\nplace trainer\n\nrepeat for 5 km\n  1:00',
      { ...profileNamed('bike-bar')!, repeatUntil: false },
      'repeat',
    ],
    ['an open doubt', 'sport run\n\n5:00 ?{5m}', 'all-sport', 'doubt'],
    ['a doubt on a block', 'sport run\n\n6 times ?{6-8 x}\n  1:00', 'all-sport', 'doubt'],
    ['an unread line', 'sport run\n\nunread hm', 'all-sport', 'unread'],
    ['an end with nothing like it', 'sport run\n\n400 m', { ...profileNamed('all-sport')!, ends: ['heart-rate'] }, 'end'],
    ['nothing to do', 'sport run\n\noff 1:00', 'all-sport', 'steps'],
  ] as [string, string, string | WatchProfile, string][])('does not fit with %s', (_, text, watch, kind) => {
    const { fits, losses } = onWatch(text, watch)
    expect(fits).toBe(false)
    expect(losses.filter(loss => loss.instead === null).map(loss => loss.kind)).toContain(kind)
  })

  it("says which of the athlete's numbers is missing", () => {
    const { losses } = fit(session('sport run\n\n1 km @ 5k effort'), profileNamed('all-sport')!, nobody)
    expect(losses).toMatchObject([{ path: '1', kind: 'target', what: '5k effort needs a run race or time trial', instead: 'no target' }])
  })

  it('freezes where it came from, so that a stale copy can say why', () => {
    const a = onWatch('sport run\n\n1:00')
    const b = fit(session('sport run\n\n1:00'), profileNamed('all-sport')!, seenBy({ ...ilse, massKg: 60 }))
    expect(a.program.from.session).toBe(b.program.from.session)
    expect(a.program.from.athlete).not.toBe(b.program.from.athlete)
    expect(digestOf(a.program)).not.toBe(digestOf(b.program))
  })

  it('holds on documents of every kind: what fits stays within the watch and can be carried out', () => {
    fc.assert(
      fc.property(arbitrarySession, fc.constantFrom(...watchProfiles), (document, profile) => {
        const { program, fits } = fit(document, profile, seenBy(ilse))
        if (!fits) return
        expect(countItems(program.items)).toBeLessThanOrEqual(profile.maxSteps)
        expect(depthOf(program.items)).toBeLessThanOrEqual(profile.maxNesting)
        expect(JSON.stringify(program)).not.toMatch(/null|NaN|Infinity/)
      }),
      { numRuns: 500 },
    )
  })

  it('keeps the grade of a hill and the place of a leg', () => {
    expect(onWatch('sport run\n\n0:30 uphill 5-6 %').program.items[0]).toMatchObject({ grade: { low: 5, high: 6 } })
    const legs = onWatch('sport multi\n\nleg swim, place pool 25 m\n  100 m\nleg run\n  1 km').program
    expect(legs.items).toMatchObject([{ sport: 'swim', place: { kind: 'pool', length: 25 } }, { sport: 'run' }])
    expect(legs.items[1]).not.toHaveProperty('place')
  })
})

describe('choosing what is used instead', () => {
  const treadmill = 'title Belt\nsport run\nplace treadmill\n\n6:00 @ 5:10 /km\n6:00 @ 5:00 /km'
  const belt = { ...profileNamed('runner')!, targets: [{ sport: 'run' as const, of: ['heart-rate' as const, 'rpe' as const] }] }
  const chosen = (choices: LossChoices, text = treadmill, watch: WatchProfile = belt) =>
    fit(session(text), watch, standpointOf(ilse, '2026-03-31'), { choices })

  it('offers what the watch leads by, the nearest first, and takes the first', () => {
    const [first] = chosen({}).losses
    expect(first).toMatchObject({ path: '1', way: 'heart-rate', about: 'target pace run treadmill' })
    expect(first!.ways!.map(way => way.way)).toEqual(['heart-rate', 'rpe', 'none'])
  })

  it("takes the athlete's way for one row, a standing one for all, and the row's before the standing", () => {
    const ways = (choices: LossChoices) => chosen(choices).losses.map(loss => loss.way)
    expect(ways({ here: { '2 target': 'rpe' } })).toEqual(['heart-rate', 'rpe'])
    expect(ways({ standing: { 'target pace run treadmill': 'none' } })).toEqual(['none', 'none'])
    expect(ways({ standing: { 'target pace run treadmill': 'none' }, here: { '1 target': 'heart-rate' } })).toEqual(['heart-rate', 'none'])
    expect(ways({ here: { '1 target': 'something else' } })).toEqual(['heart-rate', 'heart-rate'])
  })

  it('does not fit when a loss is refused, and still says what there would be', () => {
    const { fits, losses } = chosen({ here: { '1 target': 'refuse' } })
    expect(fits).toBe(false)
    expect(losses[0]).toMatchObject({ instead: null, way: 'refuse' })
    expect(losses[0]!.ways).toHaveLength(3)
  })

  it('does not lead an effort above critical by the heart, whose maximum it would ask for', () => {
    const [loss] = chosen({}, treadmill.replaceAll('5:10', '4:10')).losses
    expect(loss!.way).toBe('rpe')
    const byHeart = loss!.ways!.find(way => way.way === 'heart-rate')!.instead
    expect(byHeart).toContain('near your maximum')
    expect(Number(/-(\d+) bpm/.exec(byHeart)![1])).toBeLessThanOrEqual(ilse.heart!.max!)
  })

  it('does not lead a short step by the heart', () => {
    const [loss] = chosen({}, treadmill.replaceAll('6:00', '0:40')).losses
    expect(loss!.way).toBe('rpe')
    expect(loss!.ways!.find(way => way.way === 'heart-rate')!.instead).toContain('slow to tell')
  })

  it('cuts a program that is too long only when asked to, and says from which row the card goes on', () => {
    const long = 'sport run\n\n10:00\n30 times\n  1:00\ncool-down 5:00'
    const small: WatchProfile = { ...profileNamed('runner')!, maxNesting: 0, maxSteps: 12 }
    expect(chosen({}, long, small)).toMatchObject({ fits: false })
    const cut = chosen({ here: { ' steps': 'card' } }, long, small)
    expect(cut).toMatchObject({ fits: true })
    expect(cut.program.items).toHaveLength(12)
    expect(cut.losses.at(-1)!.instead).toBe('the first 12 steps; from row 2.1 on, the card')
  })

  it('writes out whichever repeats cost the fewest steps', () => {
    const twice = 'sport run\n\n2 times\n  20 times\n    0:30\n    recovery 0:30'
    const { program } = chosen({}, twice, { ...profileNamed('all-sport')!, maxNesting: 1 })
    expect(countItems(program.items)).toBe(6)
    const often = 'sport run\n\n20 times\n  2 times\n    0:30\n    recovery 0:30'
    expect(countItems(chosen({}, often, { ...profileNamed('all-sport')!, maxNesting: 1 }).program.items)).toBe(5)
  })
})

describe('on a phone', () => {
  it('lets a swimmer press at the wall, since nothing tells it the way there, and leaves a send-off to the clock', () => {
    const swim = session('sport swim\nplace pool 25 m\n\n4 times\n  100 m\n  rest 0:20\n4 times\n  50 m on 1:10')
    const { program, losses, fits } = fit(swim, phoneProfileFor(swim), seenBy(ilse), { choices: { standing: phoneChoices } })
    expect(fits).toBe(true)
    expect(losses.map(loss => [loss.path, loss.instead])).toEqual([
      ['1.1', 'until press'],
      ['2.1', '1:10, by the clock alone'],
    ])
    expect(JSON.stringify(program.items)).not.toContain('"on":"distance"')
    expect(phoneProfileFor(session('sport run\n\n400 m')).ends).toContain('distance')
  })
})

describe('writing repeats out', () => {
  const names = (items: readonly ProgramItem[]) => flatSteps(items).map(({ at }) => at)

  it('keeps the rest of an inner repeat that stands at the end of one which drops its last', () => {
    const nested = session('sport run\n\n3 times, drop last recovery\n  2 times\n    1:00\n    rest 0:30')
    const { program } = fit(nested, { ...profileNamed('all-sport')!, maxNesting: 1 }, nobody)
    expect(names(program.items)).toEqual([...walk(nested)].map(flat => `${flat.path}@${flat.round.join('.')}`))
  })

  it('carries out the same steps for documents of every kind and any depth', () => {
    fc.assert(
      fc.property(arbitrarySession, fc.integer({ min: 0, max: 3 }), (document, maxNesting) => {
        const { program, losses } = fit(document, { ...profileNamed('all-sport')!, maxSteps: 5000, maxNesting }, nobody)
        if (
          losses.some(
            loss =>
              loss.kind !== 'nesting' && loss.kind !== 'name' && loss.kind !== 'doubt' && loss.kind !== 'target' && loss.kind !== 'also',
          ) ||
          JSON.stringify(program.items).includes('"repeat":{"metres"') ||
          JSON.stringify(program.items).includes('"repeat":{"seconds"')
        )
          return
        expect(names(program.items)).toEqual([...walk(document)].map(flat => `${flat.path}@${flat.round.join('.')}`))
      }),
      { numRuns: 400 },
    )
  })
})

describe('shortening names', () => {
  const name = fc
    .string({ minLength: 1, maxLength: 30, unit: fc.constantFrom('a', 'b', ' ', '…', '~', '2') })
    .filter(text => text.trim() === text)

  it('keeps to the length, keeps different names different and equal ones equal, and leaves alone what fits', () => {
    fc.assert(
      fc.property(
        fc.array(name, { maxLength: 12 }),
        fc.integer({ min: 4, max: 12 }),
        fc.uniqueArray(
          name.filter(text => text.length <= 6),
          { maxLength: 3 },
        ),
        (names, longest, taken) => {
          const short = shortenNames(names, longest, taken)
          expect(short.every(text => text.length > 0 && text.length <= longest && !taken.includes(text))).toBe(true)
          names.forEach((a, i) => names.forEach((b, j) => expect(short[i] === short[j]).toBe(a === b)))
          names.forEach((text, i) => text.length <= longest && !taken.includes(text) && expect(short[i]).toBe(text))
        },
      ),
      { numRuns: 500 },
    )
  })

  it('keeps the end that tells names apart', () => {
    expect(shortenNames(['Quay ladder, short', 'Quay ladder, long'], 12)).toEqual(['Quay ladder…', 'Quay l…long'])
  })
})

/** A program step by step as it is carried out when every repeat until is taken the likely number of times. */
function flatSteps(items: readonly ProgramItem[], rounds: number[] = []): { at: string; step: ProgramStep }[] {
  return items.flatMap(item => {
    const around = [...rounds, ...(item.unrolled?.round ?? [])]
    if (item.kind === 'step') return [{ at: `${item.path}@${around.join('.')}`, step: item }]
    const times = 'times' in item.repeat ? item.repeat.times : 1
    return Array.from({ length: times }, (_, index) => index + 1).flatMap(round =>
      flatSteps(roundItems(item, round === times), [...around, round]),
    )
  })
}

describe('a fitted program', () => {
  const ideal: WatchProfile = { ...profileNamed('all-sport')!, maxSteps: 5000, maxNameLength: 120 }
  const seen = ({ name: _, unrolled: __, ...step }: ProgramStep) => JSON.stringify(step)

  it.each(demoScripts.map(script => [script.split('\n')[0]!.replace('title ', ''), script] as const))(
    'is the session but for the losses it lists: %s',
    (_, script) => {
      for (const profile of watchProfiles) {
        const whole = fit(session(script), { ...ideal, smoothingSeconds: profile.smoothingSeconds }, standpointOf(ilse, '2026-03-31'))
        const { program, losses, fits } = fit(session(script), profile, standpointOf(ilse, '2026-03-31'), {
          choices: { standing: { steps: 'card' } },
        })
        if (!fits) {
          expect(
            losses.some(loss => loss.instead === null && loss.what.length > 10),
            profile.name,
          ).toBe(true)
          continue
        }
        const isLost = (at: string) =>
          losses.some(
            loss =>
              loss.path !== undefined && (at.startsWith(`${loss.path}@`) || (loss.kind === 'repeat' && at.startsWith(`${loss.path}.`))),
          )
        const cut = losses.find(loss => loss.way === 'card')
        const should = flatSteps(whole.program.items).filter(({ at }) => !isLost(at))
        const does = flatSteps(program.items).filter(({ at }) => !isLost(at))
        const expected = cut ? should.slice(0, does.length) : should
        expect(
          does.map(({ at, step }) => `${at} ${seen(step)}`),
          profile.name,
        ).toEqual(expected.map(({ at, step }) => `${at} ${seen(step)}`))
      }
    },
  )

  it('brings the very recording the session brings, where nothing is lost but blocks and names', () => {
    let compared = 0
    for (const script of demoScripts) {
      const { program, losses, fits } = fit(session(script), { ...ideal, maxNesting: 0 }, standpointOf(ilse, '2026-03-31'))
      if (!fits || losses.some(loss => loss.kind !== 'nesting')) continue
      compared++
      const run = (items: Program) => carryOut(items, 3, { press: 0.5, skip: 0.1, pause: 0.02 }).marks
      expect(run(program)).toEqual(run(onWatch(script, ideal).program))
    }
    expect(compared).toBeGreaterThan(5)
  })
})
