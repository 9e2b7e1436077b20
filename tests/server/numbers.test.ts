import { beforeAll, describe, expect, it } from 'vitest'
import { ilse as demoAthlete } from '../../demo/athlete'
import { readScript } from '../../core/script/reader/read-script'
import { fit } from '../../core/wrist/fit/fit'
import { profileNamed } from '../../core/wrist/program/profile'
import { digestOf } from '../../core/wrist/program/digest'
import { rehearse } from '../../standin/body/rehearse'
import { asOwner } from '../../server/db/client'
import { storeRecording } from '../../server/services/recording'
import type { AthleteRevision, Listed } from '../../shared/api'
import type { LogRow } from '../../shared/log'
import type { Person } from './client'
import { database, newPerson } from './client'
import { nobody } from '../../core/athlete/standpoint'
import { seenBy } from '../support/standpoint'

let ilse: Person
let other: Person

beforeAll(async () => {
  ;[ilse, other] = [await newPerson('Ilse'), await newPerson('Other')]
})

describe('the history of the numbers', () => {
  it("keeps every save, newest first, and shows nobody else's", async () => {
    expect((await ilse.ask<AthleteRevision[]>('GET', '/me/history')).body).toEqual([])
    for (const [base, massKg] of [62, 63].entries()) await ilse.ask('PUT', '/me', { base, document: { ...demoAthlete, massKg } })
    const { body } = await ilse.ask<AthleteRevision[]>('GET', '/me/history')
    expect(body.map(({ number, athlete }) => [number, athlete.massKg])).toEqual([
      [2, 63],
      [1, 62],
    ])
    expect(Date.parse(body[0]!.savedAt)).toBeGreaterThanOrEqual(Date.parse(body[1]!.savedAt))
    expect((await other.ask<AthleteRevision[]>('GET', '/me/history')).body).toEqual([])
  })
})

describe('the log', () => {
  it('pictures what was done by its cord, that of a recording from before there were cords too', async () => {
    const someone = await newPerson('cords')
    const { program } = fit(
      readScript('sport ride\n\nwarm-up 5:00\n3 times\n  2:00 @ 200-210 W\n  recovery 1:00', nobody).sessions[0]!,
      profileNamed('all-sport')!,
      seenBy(demoAthlete),
    )
    const recording = rehearse(program, demoAthlete, { seed: 2, startedAt: '2026-03-31T06:00:00.000Z' })
    await asOwner(database, someone.owner, tx => storeRecording(tx, recording, { program }))
    const { body } = await someone.ask<Listed<LogRow>>('GET', '/recordings')
    const [row] = body.rows
    expect(row!.cord!.parts.map(({ kind }) => kind)).toEqual(['line', 'knot', 'bare', 'knot', 'bare', 'knot', 'bare'])
    expect(row!.cord!.parts[1]!.held).toBeGreaterThan(0)
    expect(row!.cord!.brackets).toEqual([{ from: 1, to: 6, words: '3', depth: 0 }])
  })
})

describe('steadiness from recordings', () => {
  it("is nothing without recordings, and the body's own with them", async () => {
    expect((await ilse.ask('GET', '/me/steadiness')).body).toEqual([])
    const { program } = fit(
      readScript('sport ride\n\n2 times\n  15:00 @ 180-200 W\n  recovery 1:00\n', nobody).sessions[0]!,
      profileNamed('all-sport')!,
      seenBy(demoAthlete),
    )
    const recording = rehearse(program, demoAthlete, { seed: 3, startedAt: '2026-03-31T06:00:00.000Z' })
    await asOwner(database, ilse.owner, tx => storeRecording(tx, { ...recording, program: digestOf(program) }, { program }))
    const { body } = await ilse.ask<{ sport: string; measure: string; sd: number; tau: number }[]>('GET', '/me/steadiness')
    expect(body).toMatchObject([{ sport: 'ride', measure: 'power' }])
    expect(Math.abs(body[0]!.sd / 0.07 - 1)).toBeLessThan(0.2)
    expect((await other.ask('GET', '/me/steadiness')).body).toEqual([])
  })
})
