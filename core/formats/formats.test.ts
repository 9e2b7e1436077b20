import Ajv2020 from 'ajv/dist/2020.js'
import fc from 'fast-check'
import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { ilse } from '../../demo/athlete'
import { demoScripts } from '../../demo/sessions'
import { rehearse } from '../../standin/body/rehearse'
import { arbitrarySession } from '../../tests/support/arbitrary-session'
import { withLoad } from '../forecast/load'
import { reckon } from '../reckon/reckon'
import { score } from '../record/score'
import { readScript } from '../script/reader/read-script'
import { fit } from '../wrist/fit/fit'
import { profileNamed } from '../wrist/program/profile'
import { forecastFor, nudgesOf, numbersOf } from '../../bin/numbers'
import { validateAthlete, validateRecording, validateWatchProfile } from './validate'
import { nobody, standpointOf } from '../athlete/standpoint'
import { seenBy } from '../../tests/support/standpoint'

const folder = new URL('../../docs/formats/', import.meta.url)
const ajv = new Ajv2020({ discriminator: true, strict: false, allowUnionTypes: true, formats: { 'date': true, 'date-time': true } })
const schemas = readdirSync(folder)
  .filter(name => name.endsWith('.schema.json'))
  .map(name => JSON.parse(readFileSync(new URL(name, folder), 'utf8')) as { $id: string; $schema: string })
for (const schema of schemas) ajv.addSchema(schema)

function expectFits(id: string, value: unknown): void {
  const validate = ajv.getSchema(id)!
  validate(JSON.parse(JSON.stringify(value)))
  expect(validate.errors).toBeNull()
}

describe('the formats', () => {
  it("are JSON Schemas of draft 2020-12, one for every document and every command's output", () => {
    expect(schemas.map(schema => schema.$id).sort()).toEqual(
      [
        'athlete',
        'diff',
        'fit',
        'forecast',
        'nudges',
        'numbers',
        'program',
        'read',
        'reckon',
        'recording',
        'score',
        'session',
        'watch',
      ].map(name => `agonis:${name}`),
    )
    for (const schema of schemas) {
      expect(schema.$schema).toBe('https://json-schema.org/draft/2020-12/schema')
      expect(ajv.getSchema(schema.$id)).toBeTypeOf('function')
    }
  })

  it('hold what is derived of an athlete, and the nudges of a session', () => {
    expectFits('agonis:numbers', numbersOf(standpointOf(ilse, '2026-03-31')))
    for (const script of demoScripts.slice(0, 6))
      expectFits('agonis:nudges', nudgesOf(readScript(script, nobody).sessions[0]!, seenBy(ilse), profileNamed('all-sport')!, 1, 20))
  })

  it('hold what the commands print, for every demo session', () => {
    const profile = profileNamed('all-sport')!
    for (const script of demoScripts) {
      const result = readScript(script, nobody)
      const session = result.sessions[0]!
      const fitting = fit(session, profile, seenBy(ilse))
      const recording = rehearse(fitting.program, ilse, { seed: 1, startedAt: '2026-03-31T06:00:00.000Z' })
      expectFits('agonis:read', { sessions: result.sessions, remarks: result.remarks })
      expectFits('agonis:forecast', forecastFor(session, seenBy(ilse)))
      expectFits('agonis:reckon', withLoad(session, reckon(session, seenBy(ilse)), seenBy(ilse)))
      expectFits('agonis:fit', fitting)
      expectFits('agonis:program', fitting.program)
      expectFits('agonis:recording', recording)
      expectFits('agonis:score', score(fitting.program, recording, nobody.athlete))
    }
  })

  it('hold what is reckoned, read and fitted of any document', () => {
    fc.assert(
      fc.property(arbitrarySession, session => {
        expectFits('agonis:reckon', withLoad(session, reckon(session, seenBy(ilse)), seenBy(ilse)))
        expectFits('agonis:fit', fit(session, profileNamed('runner')!, seenBy(ilse)))
      }),
      { numRuns: 200 },
    )
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), text => {
        const { sessions, remarks } = readScript(text, nobody)
        expectFits('agonis:read', { sessions, remarks })
      }),
      { numRuns: 300 },
    )
  })
})

describe('documents from outside', () => {
  it.each<[string, object, string]>([
    ['a heart that never was', { ...ilse, heart: { max: 400 } }, '/heart/max'],
    ['a date that is none', { ...ilse, birthDate: '1984-13-40' }, '/birthDate'],
    ['an unknown field', { ...ilse, shoeSize: 38 }, '/'],
    ['a sport of zones that is none', { ...ilse, zones: { row: {} } }, '/zones'],
    ['no name', { format: 'agonis.athlete', version: 1 }, '/'],
  ])('an athlete with %s is refused at the place', (_, document, pointer) => {
    const result = validateAthlete(document)
    expect(!result.ok && result.problems[0]!.pointer).toBe(pointer)
  })

  it('a watch or a recording with a fault is refused at the place', () => {
    const watch = validateWatchProfile({ ...profileNamed('basic'), slots: 0 })
    expect(!watch.ok && watch.problems[0]!.pointer).toBe('/slots')
    const recording = validateRecording({
      format: 'agonis.recording',
      version: 1,
      sport: 'run',
      startedAt: 'yesterday',
      samples: { t: [], metres: [] },
      marks: [],
    })
    expect(!recording.ok && recording.problems[0]!.pointer).toBe('/startedAt')
    const mark = validateRecording({
      format: 'agonis.recording',
      version: 1,
      sport: 'run',
      startedAt: '2026-03-31T06:00:00Z',
      samples: { t: [], metres: [] },
      marks: [{ t: 1, kind: 'bell' }],
    })
    expect(!mark.ok && mark.problems[0]!.pointer).toBe('/marks/0/kind')
  })
})
