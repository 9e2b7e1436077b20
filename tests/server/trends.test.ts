import { beforeEach, describe, expect, it } from 'vitest'
import { standpointOf } from '../../core/athlete/standpoint'
import { daysFrom } from '../../core/quantity/day'
import type { Recording } from '../../core/record/recording'
import { readScript } from '../../core/script/reader/read-script'
import { fit } from '../../core/wrist/fit/fit'
import { profileNamed } from '../../core/wrist/program/profile'
import { ilse as demoAthlete } from '../../demo/athlete'
import { rehearse } from '../../standin/body/rehearse'
import type { KeptAthlete } from '../../shared/api'
import type { LoggedRecording } from '../../shared/log'
import type { FamilyTrend, MarkAnswer, Trends } from '../../shared/trends'
import type { Person } from './client'
import { newPerson, newSession } from './client'

const script = 'title Five threes\nsport run\n\nwarm-up 10:00\n5 times\n  3:00 @ 5k effort\n  recovery 2:00\ncool-down 10:00\n'
const today = new Date().toISOString().slice(0, 10)
/** Marks that are older than what was done. */
const athlete = {
  ...demoAthlete,
  timeZone: 'UTC',
  efforts: demoAthlete.efforts!.map(effort => ({ ...effort, date: daysFrom(today, -70) })),
}
const standpoint = standpointOf(athlete, today)
const { program } = fit(readScript(script, standpoint).sessions[0]!, profileNamed('all-sport')!, standpoint)

let ilse: Person
let session: string
const trends = async (sport = 'run') => (await ilse.ask<Trends>('GET', `/trends?sport=${sport}`)).body
const answer = (key: string, to: MarkAnswer) => ilse.ask<KeptAthlete>('POST', '/trends/marks', { key, answer: to })

/** The same session each week, its work done by so much faster than its band asks. */
async function carryOut(faster: number, seed: number, daysAgo: number, rpe = 7): Promise<string> {
  const led = rehearse(program, athlete, { seed, startedAt: `${daysFrom(today, -daysAgo)}T06:00:00.000Z` })
  const metres = led.samples.metres.map(value => (value === null ? null : Math.round(value * faster * 10) / 10))
  const recording: Recording = { ...led, samples: { ...led.samples, metres }, felt: { rpe } }
  return (await ilse.ask<{ id: string }>('POST', '/recordings', { recording, program, session })).body.id
}

beforeEach(async () => {
  ilse = await newPerson('Ilse')
  const { number } = (await ilse.ask<KeptAthlete>('GET', '/me')).body
  await ilse.ask('PUT', '/me', { base: number, document: athlete })
  session = await newSession(ilse, script)
})

describe('marks that training speaks for', () => {
  it('are proposed with what they rest on and change, taken into the athlete by a yes, and then not proposed again', async () => {
    for (const [index, daysAgo] of [30, 23, 16, 9].entries()) await carryOut(1.025, index + 1, daysAgo)
    await ilse.ask('POST', '/plan', { session, day: daysFrom(today, 2) })
    const { proposals, unread } = await trends()
    expect(unread).toBe(0)
    const [proposal] = proposals
    expect(proposal).toMatchObject({ because: 'repeats', effort: { sport: 'run', metres: 5000, date: today } })
    expect(proposal!.change).toBeGreaterThan(0.015)
    expect(proposal!.rests.length).toBe(4)
    expect(proposal!.changes).toMatchObject([{ title: 'Five threes', day: daysFrom(today, 2) }])
    expect(proposal!.changes[0]!.was).not.toBe(proposal!.changes[0]!.becomes)
    const kept = (await answer(proposal!.key, 'yes')).body
    expect(kept.athlete.efforts).toContainEqual(proposal!.effort)
    expect((await trends()).proposals).toEqual([])
    expect((await answer(proposal!.key, 'yes')).status).toBe(409)
  })
  it('are left for good by a no, for a week by a later, and your numbers stay', async () => {
    for (const [index, daysAgo] of [30, 23, 16].entries()) await carryOut(0.975, index + 1, daysAgo, 9)
    const [proposal] = (await trends()).proposals
    expect(proposal!.change).toBeLessThan(0)
    const before = (await ilse.ask<KeptAthlete>('GET', '/me')).body
    await answer(proposal!.key, 'later')
    expect((await trends()).proposals).toEqual([])
    await carryOut(0.975, 9, 5, 9)
    const [again] = (await trends()).proposals
    expect(again!.rests.length).toBe(4)
    await answer(again!.key, 'no')
    expect((await trends()).proposals).toEqual([])
    expect((await ilse.ask<KeptAthlete>('GET', '/me')).body).toEqual(before)
  })
  it('are none where the work lay in its bands, and none of pain', async () => {
    for (const [index, daysAgo] of [30, 23, 16].entries()) await carryOut(1, index + 1, daysAgo)
    expect((await trends()).proposals).toEqual([])
  })
})

describe('what moves', () => {
  it('is a session over time, row by row, bests with their days, and what weeks came to', async () => {
    const first = await carryOut(1, 1, 20)
    const second = await carryOut(1.02, 2, 6)
    const { families, bests, weeks, habits } = await trends()
    expect(families).toMatchObject([{ title: 'Five threes', count: 2 }])
    const trend = (await ilse.ask<FamilyTrend>('GET', `/trends/family?id=${families[0]!.family}`)).body
    expect(trend.done.map(({ id }) => id)).toEqual([first, second])
    const means = trend.done.map(({ rows }) => rows[0]!.mean)
    expect(means[1]! / means[0]!).toBeCloseTo(1.02, 2)
    expect(trend.words['2.1']).toContain('3:00')
    expect(bests.find(({ metres }) => metres === 1000)).toMatchObject({ id: second, day: daysFrom(today, -6) })
    expect(weeks.length).toBe(16)
    expect(weeks.reduce((sum, { count }) => sum + count, 0)).toBe(2)
    expect(weeks.reduce((sum, { load }) => sum + (load ?? 0), 0)).toBeGreaterThan(100)
    expect(habits).toEqual({ open: [], recovery: null })
    expect((await trends('swim')).bests).toEqual([])
  })
  it('is read anew where a step was put elsewhere', async () => {
    const id = await carryOut(1, 1, 20)
    await carryOut(1, 2, 6)
    const family = (await trends()).families[0]!.family
    const mean = async () => (await ilse.ask<FamilyTrend>('GET', `/trends/family?id=${family}`)).body.done[0]!.rows[0]!.mean
    const before = await mean()
    const { score } = (await ilse.ask<LoggedRecording>('GET', `/recordings/${id}`)).body
    const work = score!.steps.find(({ path }) => path === '2.1')!
    await ilse.ask('PUT', `/recordings/${id}/boundaries`, {
      boundaries: [{ path: work.path, round: work.round, startsAt: work.startsAt! - 60 }],
    })
    expect(await mean()).toBeLessThan(before)
  })
})
