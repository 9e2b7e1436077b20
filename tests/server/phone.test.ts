import { beforeAll, describe, expect, it } from 'vitest'
import { readScript } from '../../core/script/reader/read-script'
import { digestOf } from '../../core/wrist/program/digest'
import { fit } from '../../core/wrist/fit/fit'
import { phoneProfile } from '../../core/wrist/program/profile'
import { ilse as athlete } from '../../demo/athlete'
import { rehearse } from '../../standin/body/rehearse'
import type { LoggedRecording } from '../../shared/log'
import type { Person } from './client'
import { newPerson, newSession } from './client'
import { nobody } from '../../core/athlete/standpoint'
import { seenBy } from '../support/standpoint'

const text = 'title On the phone\nsport run\n\n1:00\n2 times\n  0:30 @ 4:20-4:50 /km\n'
const { program } = fit(readScript(text, nobody).sessions[0]!, phoneProfile, seenBy(athlete))
const recording = rehearse(program, athlete, { seed: 3, startedAt: '2026-03-31T06:00:00.000Z' })

let ilse: Person
let session: string
beforeAll(async () => {
  ilse = await newPerson('Ilse')
  session = await newSession(ilse, text)
})

describe('a recording that a phone brings', () => {
  it('is kept once, however often it comes, scored against its program, and its digest says which one', async () => {
    const first = await ilse.ask<{ id: string; digest: string }>('POST', '/recordings', { recording, program, session })
    expect(first.body.digest).toBe(digestOf(recording))
    const second = await ilse.ask<{ id: string }>('POST', '/recordings', { recording, program, session })
    expect([first.status, second.body.id]).toEqual([201, first.body.id])
    const { body } = await ilse.ask<LoggedRecording>('GET', `/recordings/${first.body.id}`)
    expect(body).toMatchObject({ title: 'On the phone', sessionId: session, score: { basis: 'program', totals: { done: 3, planned: 3 } } })
    expect((await ilse.ask<{ total: number }>('GET', '/recordings')).body.total).toBe(1)
  })

  it('is taken without a program too', async () => {
    const { program: _, ...plain } = { ...recording, startedAt: '2026-03-30T06:00:00.000Z' }
    expect((await ilse.ask('POST', '/recordings', { recording: plain })).status).toBe(201)
  })

  it.each([
    ['another program', { recording, program: { ...program, name: 'Other' } }, 422, 'body.recording.program'],
    ['a program that is none', { recording, program: { format: 'agonis.program' } }, 422, 'body.program/'],
    ['a recording that is none', { recording: { format: 'agonis.recording' } }, 422, 'recording/'],
    ['no recording at all', {}, 400, 'body.recording'],
    ["a session that is nobody's", { recording, program, session: '11111111-1111-4111-8111-111111111111' }, 404, 'params.id'],
  ])('is refused with %s', async (_, body, status, where) => {
    const answer = await ilse.ask('POST', '/recordings', body)
    expect([answer.status, answer.body.where]).toEqual([status, where])
  })

  it("does not hang on somebody else's session", async () => {
    const other = await newPerson('Other')
    expect((await other.ask('POST', '/recordings', { recording, program, session })).status).toBe(404)
  })
})
