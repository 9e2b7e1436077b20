import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { nobody } from '../../athlete/standpoint'
import { readScript } from '../../script/reader/read-script'
import { fit } from '../fit/fit'
import { changeableOf } from './change-there'
import { profileNamed } from './profile'
import type { Program } from './program'
import { rowsInWords } from './words'

const programOf = (script: string): Program => fit(readScript(script, nobody).sessions[0]!, profileNamed('all-sport')!, nobody).program
const fours = programOf('sport run\n\nwarm-up until press\n4 times\n  400 m\n  recovery 1:30\ncool-down 10:00')
const rows = (program: Program) => rowsInWords(program.items).map(row => row.words)

describe('what buttons can change of a program', () => {
  it('is its counts and its lengths in time and distance, and nothing that ends by a press', () => {
    expect(changeableOf(fours).map(row => row.words)).toEqual(['4 times', '400 m', 'recovery 1:30', 'cool-down 10:00'])
  })

  it('changes one row by one push and leaves the others', () => {
    expect(rows(changeableOf(fours)[0]!.by(1)!)).toEqual(['warm-up until press', '5 times', '400 m', 'recovery 1:30', 'cool-down 10:00'])
    expect(rows(changeableOf(fours)[1]!.by(-1)!)[2]).toBe('300 m')
    expect(rows(changeableOf(fours)[2]!.by(1)!)[3]).toBe('recovery 1:45')
  })

  it('goes by whole lengths in a pool', () => {
    const pool = programOf('sport swim\nplace pool 25 m\n\n100 m')
    expect(rows(changeableOf(pool)[0]!.by(1)!)).toEqual(['125 m'])
  })

  it('never makes nothing of something, however often it is pushed', () => {
    fc.assert(
      fc.property(fc.nat(3), fc.array(fc.constantFrom<1 | -1>(1, -1), { maxLength: 60 }), (row, pushes) => {
        let program = fours
        for (const push of pushes) program = changeableOf(program)[row]!.by(push) ?? program
        expect(rows(program).some(words => /(^|\s)(0|0:00|-\S+)( |$)/.test(words))).toBe(false)
        expect(program.items.map(item => item.path)).toEqual(fours.items.map(item => item.path))
        expect(program.from).toEqual(fours.from)
      }),
    )
  })
})
