import { describe, expect, it } from 'vitest'
import { readScript } from '../../script/reader/read-script'
import { digestOf } from '../program/digest'
import { fit } from '../fit/fit'
import { profileNamed } from '../program/profile'
import { staleReasons, slotStatusOf } from './slot-status'
import { nobody } from '../../athlete/standpoint'
import { seenBy } from '../../../tests/support/standpoint'

const session = (text: string) => readScript(text, nobody).sessions[0]!
const all = profileNamed('all-sport')!
const sent = fit(
  session('sport run\n\n10:00 @ 95-100 %CS'),
  all,
  seenBy({ format: 'agonis.athlete', version: 1, name: 'Ilse Brandvik', run: { criticalSpeed: 3.6 } }),
).program
const should = { program: sent, digest: digestOf(sent), isLeaving: false }

describe('how a slot stands', () => {
  it.each([
    ['equal', should.digest, should, []],
    ['stale', should.digest, should, ['session']],
    ['edited', 'other', should, []],
    ['edited', 'other', should, ['session']],
    ['missing', null, should, []],
    ['extra', 'other', null, []],
    ['empty', null, null, []],
    ['leaving', should.digest, { ...should, isLeaving: true }, []],
    ['leaving', 'other', { ...should, isLeaving: true }, []],
    ['empty', null, { ...should, isLeaving: true }, []],
  ] as const)('%s', (standing, digest, wanted, reasons) => expect(slotStatusOf({ digest }, wanted, reasons)).toBe(standing))

  it('is stale for what has changed since, and not for what changes nothing of the program', () => {
    const today = (athlete: object, text = 'sport run\n\n10:00 @ 95-100 %CS', profile = all) =>
      fit(session(text), profile, seenBy({ format: 'agonis.athlete', version: 1, name: 'Ilse Brandvik', ...athlete })).program
    expect(staleReasons(sent, today({ run: { criticalSpeed: 3.6 }, massKg: 61 }))).toEqual([])
    expect(staleReasons(sent, today({ run: { criticalSpeed: 3.7 } }))).toEqual(['athlete'])
    expect(staleReasons(sent, today({ run: { criticalSpeed: 3.6 } }, 'sport run\n\n11:00 @ 95-100 %CS'))).toEqual(['session'])
    expect(staleReasons(sent, today({ run: { criticalSpeed: 3.6 } }, undefined, { ...all, smoothingSeconds: 9 }))).toEqual(['profile'])
    expect(staleReasons(sent, null)).toEqual([])
  })
})
