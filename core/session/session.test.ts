import { saySessionProblem } from '../words/session-problems'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { arbitrarySession } from '../../tests/support/arbitrary-session'
import { validateSession } from '../formats/validate'
import { readScript } from '../script/reader/read-script'
import { checkSession } from './check'
import type { Block, Item, Session } from './document'
import { normalise } from './normalise'
import { titleOf } from '../script/title'
import { countFlatSteps, eachStep, nestingOf, walk } from './walk'
import { nobody } from '../athlete/standpoint'

const session = (text: string): Session => readScript(`sport run\n\n${text}\n`, nobody).sessions[0]!
const names = (text: string) => [...walk(session(text))].map(flat => `${flat.path}@${flat.round.join('.')}`)
const step = (more: object = {}): Item => ({ kind: 'step', role: 'work', end: { on: 'time', seconds: 60 }, ...more }) as Item
const documentOf = (items: Item[], more: Partial<Session> = {}): Session => ({
  format: 'agonis.session',
  version: 1,
  sport: 'run',
  items,
  ...more,
})

describe('walking a session', () => {
  it('counts off items in paths and leaves them out of the walk', () => {
    expect(names('1:00\noff 2:00\n3:00\noff 2 times\n  1:00\n4:00')).toEqual(['1@', '3@', '5@'])
  })

  it('ends where its visitor says so, in whatever block that is', () => {
    const visited = (most: number) => {
      const seen: string[] = []
      eachStep(session('3 times\n  2 times\n    1:00\n    2:00\n4:00'), flat => seen.push(`${flat.path}@${flat.round.join('.')}`) < most)
      return seen
    }
    expect([visited(1), visited(3)]).toEqual([['1.1.1@1.1'], ['1.1.1@1.1', '1.1.2@1.1', '1.1.1@1.2']])
    expect(visited(99)).toHaveLength(13)
  })

  it('ends a repeat until a distance that has nothing to do', () => {
    const open = documentOf([{ kind: 'block', repeat: { distance: { value: 5, unit: 'km' } }, items: [step({ off: true })] }, step()])
    const seen: string[] = []
    eachStep(
      open,
      flat => seen.push(flat.path) > 0,
      () => true,
    )
    expect(seen).toEqual(['2'])
  })

  it("drops the trailing recoveries and rests of the block's own last round only", () => {
    expect(names('2 times, drop last recovery\n  1:00\n  recovery 1:00\n  rest 0:30')).toEqual(['1.1@1', '1.2@1', '1.3@1', '1.1@2'])
  })

  it('does not drop inside a block nested at the end', () => {
    expect(names('2 times, drop last recovery\n  1:00\n  2 times\n    0:30\n    recovery 0:10')).toEqual([
      '1.1@1',
      '1.2.1@1.1',
      '1.2.2@1.1',
      '1.2.1@1.2',
      '1.2.2@1.2',
      '1.1@2',
      '1.2.1@2.1',
      '1.2.2@2.1',
      '1.2.1@2.2',
      '1.2.2@2.2',
    ])
  })

  it('sees a trailing recovery behind an item that is off', () => {
    expect(names('2 times, drop last recovery\n  1:00\n  recovery 1:00\n  off 5:00')).toEqual(['1.1@1', '1.2@1', '1.1@2'])
  })

  it('can drop a whole last round of recoveries', () => {
    expect(names('2 times, drop last recovery\n  recovery 1:00\n3:00')).toEqual(['1.1@1', '2@'])
  })

  it('gives the rounds with their totals, null where only the doing tells', () => {
    const flat = [...walk(session('2 times\n  repeat for 1 km\n    1:00'))]
    expect(flat.map(({ round, rounds }) => [round, rounds])).toEqual([
      [
        [1, 1],
        [2, null],
      ],
      [
        [2, 1],
        [2, null],
      ],
    ])
  })

  it('collects ceilings from session, block and step, outermost first', () => {
    const [flat] = [
      ...walk(readScript('sport run\nceiling 170 bpm\n\n2 times, ceiling 160 bpm\n  1:00 ceiling 150 bpm\n', nobody).sessions[0]!),
    ]
    expect(flat!.ceilings.map(ceiling => ceiling.above)).toEqual([170, 160, 150])
  })

  it('gives each leg its sport and place', () => {
    const flat = [...walk(readScript('sport multi\n\nleg ride, place trainer\n  1:00\nleg run\n  2:00\n', nobody).sessions[0]!)]
    expect(flat.map(({ sport, place }) => [sport, place?.kind])).toEqual([
      ['ride', 'trainer'],
      ['run', undefined],
    ])
  })

  it('counts as many steps as it walks, and as deep as the blocks stand', () => {
    fc.assert(
      fc.property(arbitrarySession, document => {
        expect(countFlatSteps(document.items)).toBe([...walk(document)].length)
        const depths = [...walk(document)].map(flat => flat.blocks.length)
        expect(nestingOf(document.items)).toBeGreaterThanOrEqual(Math.max(0, ...depths))
      }),
      { numRuns: 500 },
    )
  })
})

describe('normal form', () => {
  it('is reached in one step', () => {
    fc.assert(
      fc.property(arbitrarySession, document => {
        expect(normalise(normalise(document))).toEqual(normalise(document))
      }),
      { numRuns: 300 },
    )
  })
  it('leaves out what says nothing', () => {
    const document = documentOf(
      [
        step({
          doubt: { said: '5m', others: ['5 m'] },
          ceiling: { of: 'heart-rate', above: 150, unit: 'bpm' },
          swim: { kit: [] },
          target: { of: 'power', zone: [2, 2], to: { zone: [3, 3] } },
        }),
      ],
      { source: 'pasted', prompts: [] },
    )
    expect(normalise(document)).toEqual(
      documentOf([
        step({
          doubt: { said: '5m' },
          ceiling: { of: 'heart-rate', above: 150 },
          target: { of: 'power', zone: 2, to: { of: 'power', zone: 3 } },
        }),
      ]),
    )
  })
})

describe('the check beyond the schema', () => {
  const open = { distance: { value: 5, unit: 'km' } } as const
  const block = (more: Partial<Block>): Item => ({ kind: 'block', repeat: { times: 2 }, items: [step()], ...more })
  it.each<[string, Item, string]>([
    [
      'an easiest end that is harder',
      step({ target: { of: 'pace', unit: 's/km', easiest: 240, hardest: 250 } }),
      'harder than its hardest',
    ],
    ['the same for watts', step({ target: { of: 'power', unit: 'W', easiest: 250, hardest: 240 } }), 'harder than its hardest'],
    [
      'a changing target on an open step',
      step({ end: { on: 'press' }, target: { of: 'power', unit: 'W', easiest: 200, to: { easiest: 220 } } }),
      'needs a step of a time or a distance',
    ],
    ['an own time without a distance', step({ target: { of: 'pace', unit: 's/step', easiest: 90, hardest: 90 } }), 'needs a distance'],
    ['a change of unit', step({ target: { of: 'power', unit: 'W', easiest: 200, to: { unit: '%CP', easiest: 90 } } }), 'within one unit'],
    ['zones the wrong way round', step({ target: { of: 'power', zone: [4, 2] } }), 'lower zone comes first'],
    ['grades the wrong way round', step({ grade: { low: 6, high: 4 } }), 'lower grade comes first'],
    ['a drop on an open repeat', block({ repeat: open, lastRecovery: 'drop' }), 'no last recovery to drop'],
    ['a repeat that makes no way', block({ repeat: open, items: [step({ role: 'rest' })] }), 'would never end'],
    ['a leg in a run', { kind: 'leg', sport: 'run', items: [step()] }, 'a leg stands only'],
  ])('finds %s', (_, item, words) => {
    expect(validateSession(documentOf([item])).ok).toBe(true)
    const problems = checkSession(documentOf([item]))
    expect(problems[0]).toMatchObject({ path: '1' })
    expect(saySessionProblem(problems[0]!)).toContain(words)
  })

  it('finds a leg within a leg', () => {
    const inner: Item = { kind: 'leg', sport: 'run', items: [step()] }
    expect(checkSession(documentOf([{ kind: 'leg', sport: 'ride', items: [inner] }], { sport: 'multi' }))).toMatchObject([
      { path: '1.1', code: 'leg' },
    ])
  })

  it('counts past a limit without unrolling', () => {
    const many = Array.from({ length: 6 }).reduce<Item>(inner => ({ kind: 'block', repeat: { times: 999 }, items: [inner] }), step())
    const start = performance.now()
    expect(checkSession(documentOf([many]))[0]).toMatchObject({ code: 'steps' })
    expect(performance.now() - start).toBeLessThan(100)
  })
})

describe('the schema', () => {
  it.each<[string, object, string]>([
    ['an unknown field', { ...documentOf([]), colour: 'red' }, '/'],
    ['a wrong version', { ...documentOf([]), version: 2 }, '/version'],
    ['an unknown sport', { ...documentOf([]), sport: 'row' }, '/sport'],
    ['an empty block', documentOf([{ kind: 'block', repeat: { times: 2 }, items: [] }]), '/items/0/items'],
    ['a unit of another measure', documentOf([step({ target: { of: 'power', unit: 'bpm', easiest: 1 } })]), '/items/0/target/unit'],
    ['a target without ends', documentOf([step({ target: { of: 'power', unit: 'W' } })]), '/items/0/target'],
    ['a pool without a length', documentOf([], { place: { kind: 'pool' } as never }), '/place'],
    ['a lane on a road', documentOf([], { place: { kind: 'road', lane: 2 } as never }), '/place'],
    ['both sides of a heart rate', documentOf([step({ end: { on: 'heart-rate', below: 120, above: 150 } })]), '/items/0/end'],
  ])('refuses %s and points at it', (_, document, pointer) => {
    const result = validateSession(document)
    expect(result.ok).toBe(false)
    if (!result.ok) expect(result.problems[0]!.pointer).toBe(pointer)
  })
})

describe('a title for an untitled session', () => {
  it.each([
    ['2 x (4 x (90 s, 1 min easy)) / 4 min', '2 x 4 x 1:30'],
    ['20 min easy, 6 x 3 min @ 240 W / 2 min, 10 min easy', '6 x 3:00 @ 240 W'],
    ['ride 10 min @ 150 W, 3 x 8 min / 2 min', '3 x 8:00'],
    ['run 30 min easy, 10 min @ 10k effort', '10:00 @ 10k effort'],
    ['40 min easy', '40:00 @ easy effort'],
    ['10 min WU, 5 km @ 4:30 /km', '5 km @ 4:30 /km'],
    ['warm-up 10:00', '10:00'],
    ['qwerty 12', 'qwerty 12'],
    ['see you there', 'see you there'],
    ['', 'Untitled'],
  ])('"%s" is called "%s"', (text, title) => expect(titleOf(readScript(text, nobody).sessions[0]!)).toBe(title))
})
