import { describe, expect, it } from 'vitest'
import { nobody } from '../../core/athlete/standpoint'
import { score } from '../../core/record/score'
import { reckon } from '../../core/reckon/reckon'
import { printEnd, printSession } from '../../core/script/print'
import { readScript } from '../../core/script/reader/read-script'
import { sayItem } from '../../core/script/say'
import { endKinds } from '../../core/session/ends'
import type { End, Session, Sport } from '../../core/session/document'
import { hasCritical, sportNames, sports } from '../../core/session/sports'
import { fit } from '../../core/wrist/fit/fit'
import { profileNamed } from '../../core/wrist/program/profile'
import { printProgramItem } from '../../core/wrist/program/words'
import { ilse } from '../../demo/athlete'
import { rehearse } from '../../standin/body/rehearse'
import { seenBy } from '../support/standpoint'

/** One end of each kind; a kind that the table has and this has not does not compile. */
const examples: Readonly<Record<End['on'], End>> = {
  'time': { on: 'time', seconds: 60 },
  'distance': { on: 'distance', value: 300, unit: 'm' },
  'press': { on: 'press' },
  'heart-rate': { on: 'heart-rate', above: 90 },
  'energy': { on: 'energy', kilocalories: 20 },
  'send-off': { on: 'send-off', value: 100, unit: 'm', seconds: 150 },
  'first': { on: 'first', of: [{ on: 'time', seconds: 60 }, { on: 'press' }] },
}

const sessionOf = (end: End): Session => ({
  format: 'agonis.session',
  version: 1,
  sport: end.on === 'send-off' ? 'swim' : end.on === 'energy' ? 'ride' : 'run',
  ...(end.on === 'send-off' ? { place: { kind: 'pool' as const, length: 25, unit: 'm' as const } } : {}),
  items: [
    {
      kind: 'step',
      role: 'work',
      end,
      ...(end.on === 'energy' ? { target: { of: 'power' as const, unit: 'W' as const, easiest: 190, hardest: 210 } } : {}),
    },
    { kind: 'step', role: 'cool-down', end: { on: 'time', seconds: 30 } },
  ],
})

describe.each(Object.keys(endKinds) as End['on'][])('an end by %s', on => {
  const session = sessionOf(examples[on])

  it('is printed, and read back the same', () => {
    expect(printEnd(examples[on])).not.toBe('')
    expect(readScript(printSession(session), nobody)).toMatchObject({ sessions: [session], remarks: [] })
  })
  it('is said for the ear', () => {
    expect(sayItem(session.items[0]!)).toMatch(/\w/)
  })
  it('is reckoned: open ends alone have no longest', () => {
    const { flat } = reckon(session, seenBy(ilse))
    expect(flat[0]!.seconds.likely).toBeGreaterThan(0)
    expect(flat[0]!.seconds.high === null).toBe(endKinds[on].isOpen)
  })
  it('fits a watch that can do all, carried out and judged to its end', () => {
    const { program, losses, fits } = fit(session, profileNamed('all-sport')!, seenBy(ilse))
    expect([fits, losses]).toEqual([true, []])
    expect(printProgramItem(program.items[0]!)).toMatch(/\w/)
    const recording = rehearse(program, ilse, { seed: 1, startedAt: '2026-03-31T06:30:00.000Z' })
    const { steps } = score(program, recording, nobody.athlete)
    expect(steps.map(step => step.path)).toEqual(['1', '2'])
    expect(steps[0]!.seconds).toBeGreaterThan(0)
  })
})

describe.each(sportNames)('the %s', sport => {
  const text = (rows: string) =>
    `sport ${sport}\nplace ${sports[sport].places[0] === 'pool' ? 'pool 25 m' : sports[sport].places[0]}\n\n${rows}\n`
  const critical = sports[sport].critical[0] === 'power' ? '%CP' : '%CS'

  it('is in the table whole: units, measures, places and an exponent that slows', () => {
    const { units, zoneMeasures, defaultMeasure, raceExponent, paceUnits } = sports[sport]
    expect(zoneMeasures).toContain(defaultMeasure)
    expect(raceExponent).toBeGreaterThan(1)
    for (const unit of units) expect(paceUnits[unit]).toMatch(/^s\//)
    expect(hasCritical(sport, critical === '%CP' ? 'power' : 'speed')).toBe(true)
  })
  it.each([`10:00 @ 95 ${critical}`, '10:00 @ zone 2 heart rate', '1 km @ easy effort'])('reads, reckons, fits and carries out %s', row => {
    const session = readScript(text(row), seenBy(ilse)).sessions[0]!
    expect(session).toMatchObject({ sport, items: [{ kind: 'step' }] })
    expect(reckon(session, seenBy(ilse)).seconds.likely).toBeGreaterThan(0)
    const { program, fits } = fit(session, profileNamed('all-sport')!, seenBy(ilse))
    expect(fits).toBe(true)
    const recording = rehearse(program, ilse, { seed: 1, startedAt: '2026-03-31T06:30:00.000Z' })
    expect(recording.sport).toBe(sport)
    expect(score(program, recording, nobody.athlete).steps[0]).toMatchObject({ path: '1', status: 'done' })
  })
  it('is told by its signs alone, where it has any', () => {
    const said: Record<Sport, string> = { run: '10 km easy', ride: '2 x 20 min @ 200 W', swim: '4 x 100 on 1:50' }
    expect(readScript(said[sport], nobody).sessions[0]!.sport).toBe(sport)
  })
})
