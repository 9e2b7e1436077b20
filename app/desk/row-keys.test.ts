import { describe, expect, it } from 'vitest'
import { apply } from '../../core/edit/edit'
import { printSession } from '../../core/script/print'
import { readScript } from '../../core/script/reader/read-script'
import { dropAt } from './drag'
import { blockAt, rowActions } from './row-keys'
import { nobody } from '~~/core/athlete/standpoint'

const session = readScript(
  'sport run\n\nwarm-up 10:00\n3 times, drop last recovery\n  400 m @ 5k effort\n  recovery 1:30\n2 times\n  1:00\ncool-down 5:00\n',
  nobody,
).sessions[0]!

/** The rows after the action of this name at a path, or null where it does not apply. */
function after(name: string, path: string): string[] | null {
  const edit = rowActions.find(action => action.name === name)!.edit(session, path)
  const result = edit && apply(session, edit, nobody)
  return result?.ok ? printSession(result.session).split('\n\n')[1]!.trimEnd().split('\n') : null
}

describe('what keys do to a row', () => {
  it('move it among its neighbours, and out of its repeat at either end', () => {
    expect(after('Up', '2')!.slice(0, 2)).toEqual(['3 times, drop last recovery', '  400 m @ 5k effort'])
    expect(after('Down', '2.1')!.slice(1, 4)).toEqual(['3 times, drop last recovery', '  recovery 1:30', '  400 m @ 5k effort'])
    expect(after('Up', '2.1')!.slice(0, 3)).toEqual(['warm-up 10:00', '400 m @ 5k effort', '3 times, drop last recovery'])
    expect(after('Down', '2.2')!.slice(1, 4)).toEqual(['3 times, drop last recovery', '  400 m @ 5k effort', 'recovery 1:30'])
    expect(after('Up', '1')).toBeNull()
    expect(after('Down', '4')).toBeNull()
  })

  it('count the rounds of the repeat around it, never below one', () => {
    expect(blockAt(session, '2.1')).toEqual({ path: '2', times: 3 })
    expect(after('+1 round', '2.1')![1]).toBe('4 times, drop last recovery')
    expect(after('\u22121 round', '3')![4]).toBe('1 times')
    expect(blockAt(session, '1')).toBeNull()
    expect(after('+1 round', '1')).toBeNull()
    expect(after('Drop last recovery', '2.2')![1]).toBe('3 times')
    expect(after('Ungroup', '3.1')!.slice(-2)).toEqual(['1:00', 'cool-down 5:00'])
  })

  it('copy the repeat around a row, not the work inside each of its rounds', () => {
    const words = after('Harder copy', '2.1')!
    expect(words.filter(row => row.startsWith('3 times'))).toHaveLength(2)
    expect(words.filter(row => row.trim() === '400 m @ 5k effort')).toHaveLength(1)
    expect(after('Easier copy', '2.1')!.filter(row => row.startsWith('3 times'))).toHaveLength(2)
  })
})

describe('where a dragged row goes', () => {
  const cells = [
    { path: '1', top: 0, bottom: 30, isBlock: false },
    { path: '2', top: 30, bottom: 60, isBlock: true },
    { path: '2.1', top: 60, bottom: 90, isBlock: false },
    { path: '3', top: 90, bottom: 120, isBlock: false },
  ]
  it.each([
    ['3', 5, { to: '1', where: 'before', y: 0 }],
    ['3', 25, { to: '1', where: 'after', y: 30 }],
    ['3', 55, { to: '2.1', where: 'before', y: 60 }],
    ['1', 400, { to: '3', where: 'after', y: 120 }],
    ['2', 70, null],
    ['3', 100, null],
  ])('%s let go at %d', (dragged, y, wanted) => expect(dropAt(cells, dragged, y)).toEqual(wanted))
})
