import { beforeEach, describe, expect, it } from 'vitest'
import { ilse as demoAthlete } from '../../demo/athlete'
import { rehearse } from '../../standin/body/rehearse'
import { standpointOf } from '../../core/athlete/standpoint'
import { readScript } from '../../core/script/reader/read-script'
import { fit } from '../../core/wrist/fit/fit'
import { profileNamed } from '../../core/wrist/program/profile'
import type { Recording } from '../../core/record/recording'
import type { KeptAthlete } from '../../shared/api'
import type { LoggedRecording } from '../../shared/log'
import type { PlanSpan, TodayPicture } from '../../shared/plan'
import type { Person } from './client'
import { newPerson, newSession } from './client'

const script = 'title Five threes\nsport run\n\nwarm-up 10:00\n5 times\n  3:00 @ 5k effort\n  recovery 2:00\ncool-down 10:00\n'
const standpoint = standpointOf(demoAthlete, null)
const { program } = fit(readScript(script, standpoint).sessions[0]!, profileNamed('all-sport')!, standpoint)
const led = (startedAt: string) => rehearse(program, demoAthlete, { seed: 4, startedAt })
const unled = (startedAt: string): Recording => {
  const { program: _, ...rest } = led(startedAt)
  return { ...rest, marks: [] }
}

let ilse: Person
const loaded = async (id: string) => (await ilse.ask<LoggedRecording>('GET', `/recordings/${id}`)).body
const tell = (id: string, session: string | null) => ilse.ask<LoggedRecording>('PUT', `/recordings/${id}/plan`, { session })
const bring = async (recording: Recording) => (await ilse.ask<{ id: string }>('POST', '/recordings', { recording })).body.id

beforeEach(async () => {
  ilse = await newPerson('Ilse')
  const { number } = (await ilse.ask<KeptAthlete>('GET', '/me')).body
  await ilse.ask('PUT', '/me', { base: number, document: demoAthlete })
})

describe('a recording of another device', () => {
  it('is set beside the session that the athlete says it was, and is without a plan again when they say so', async () => {
    const id = await bring(unled(new Date(Date.now() - 86_400_000).toISOString()))
    const withoutPlan = async () => (await ilse.ask<TodayPicture>('GET', '/today')).body.decisions.filter(({ code }) => code === 'no-plan')
    expect([(await loaded(id)).score, (await withoutPlan()).length]).toEqual([null, 1])
    const session = await newSession(ilse, script)
    const told = (await tell(id, session)).body
    expect([told.title, told.sessionId, told.score!.basis, told.score!.totals.done]).toEqual(['Five threes', session, 'shape', 12])
    expect(told.score!.confidence).toBeGreaterThan(0.8)
    expect(await loaded(id)).toEqual(told)
    expect(await withoutPlan()).toEqual([])
    const { rows } = (await ilse.ask<{ rows: { title: string; cord: object | null }[] }>('GET', '/recordings')).body
    expect([rows[0]!.title, rows[0]!.cord !== null]).toEqual(['Five threes', true])
    expect((await tell(id, null)).body).toMatchObject({ sessionId: null, score: null, program: null })
  })

  it('is not set beside a session of another sport or one that is not there, nor is one that a watch of ours led', async () => {
    const id = await bring(unled('2026-11-01T08:00:00.000Z'))
    const swim = await newSession(ilse, 'sport swim\n\n10 x 100 m on 2:00\n')
    expect((await tell(id, swim)).body).toMatchObject({ where: 'body.session' })
    expect((await tell(id, '00000000-0000-4000-8000-000000000000')).status).toBe(404)
    expect((await loaded(id)).sessionId).toBeNull()
    const own = await bring(led('2026-11-02T08:00:00.000Z'))
    expect((await tell(own, await newSession(ilse, script))).status).toBe(409)
  })
})

describe('what comes next after a recording', () => {
  it('is put on a day as a variant that is a little harder, and never after pain', async () => {
    const session = await newSession(ilse, script)
    const id = await bring(unled(new Date(Date.now() - 2 * 86_400_000).toISOString()))
    const take = (kind: string) => ilse.ask<PlanSpan['undo']>('POST', `/recordings/${id}/next`, { kind, day: '2036-03-31' })
    expect((await take('repeat')).status).toBe(422)
    await tell(id, session)
    const taken = await take('progress')
    const standing = async () => (await ilse.ask<PlanSpan>('GET', '/plan/span?from=2036-03-31&to=2036-03-31')).body.entries
    expect([taken.status, (await standing()).length, (await standing())[0]!.sessionId === session]).toEqual([200, 1, false])
    await ilse.ask('PUT', `/recordings/${id}/felt`, { rpe: 4, note: '', pain: true })
    expect([(await take('progress')).status, (await take('repeat')).status, (await take('rest')).status]).toEqual([422, 422, 422])
    expect((await take('progress')).body).toMatchObject({ where: 'body.kind' })
  })
})
