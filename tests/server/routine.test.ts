import { eq } from 'drizzle-orm'
import { beforeEach, describe, expect, it } from 'vitest'
import { minutesInZone } from '../../core/quantity/day'
import { pushRoutine } from '../../server/db/plan'
import { watch } from '../../server/db/schema'
import type { KeptAthlete, WatchState } from '../../shared/api'
import type { PlanSpan, PushAhead, PushRoutine, TodayPicture } from '../../shared/plan'
import type { Person } from './client'
import { newPerson, newSession, ownerDatabase, until } from './client'

let ilse: Person
let today: string
const path = () => `/watches/${ilse.watch}/routine`
const routine = async () => (await ilse.ask<PushRoutine>('GET', path())).body
const setHour = async (hour: number | null) => (await ilse.ask<PushRoutine>('PUT', path(), { hour })).body
const held = async () => (await ilse.ask<WatchState>('GET', `/watches/${ilse.watch}/state`)).body.rows.flatMap(row => row.holds ?? [])
const decisions = async () => (await ilse.ask<TodayPicture>('GET', '/today')).body.decisions
async function change(document: object) {
  const { number, athlete } = (await ilse.ask<KeptAthlete>('GET', '/me')).body
  await ilse.ask('PUT', '/me', { base: number, document: { ...athlete, ...document } })
}
/** The hour comes: what is done by itself is due a moment ago. */
const hourComes = (moment: 'pushAt' | 'clearAt') =>
  ownerDatabase
    .update(pushRoutine)
    .set({ [moment]: new Date(Date.now() - 1000) })
    .where(eq(pushRoutine.watchId, ilse.watch))

beforeEach(async () => {
  ilse = await newPerson('Ilse')
  today = (await ilse.ask<PlanSpan>('GET', '/plan/span?from=2026-01-01&to=2026-01-02')).body.today
  const kept = await newSession(ilse, 'title Six eights\nsport run\n\n6 times\n  800 m @ 3:50 /km\n  recovery 1:30\n')
  await ilse.ask('POST', '/plan', { session: kept, day: today })
})

describe('pushing by itself', () => {
  it('is done at the athlete’s hour by the zone they are in, and set anew when they move', async () => {
    expect((await routine()).hour).toBeNull()
    const set = await setHour(330)
    expect(minutesInZone(new Date(set.pushAt!), 'Europe/Oslo')).toBe(330)
    await change({ timeZone: 'America/New_York' })
    expect(minutesInZone(new Date((await routine()).pushAt!), 'America/New_York')).toBe(330)
    await change({ schools: { pushing: 'hand' } })
    expect(await routine()).toMatchObject({ hour: 330, pushAt: null })
    await change({ schools: { pushing: 'today' } })
    expect((await routine()).pushAt).not.toBeNull()
    expect(await setHour(null)).toMatchObject({ hour: null, pushAt: null })
  })

  it('sends what is planned when the hour comes, with nobody there, and is due again the day after', async () => {
    await setHour(330)
    expect(await held()).toEqual([])
    await hourComes('pushAt')
    await until(held, names => names.includes('Six eights'), 40_000)
    const after = await until(routine, now => now.triedAt !== null)
    expect(after.refused).toEqual([])
    expect(Date.parse(after.pushAt!)).toBeGreaterThan(Date.now())
    expect((await decisions()).filter(({ code }) => code === 'push')).toEqual([])
  }, 60_000)

  it('tells on Today what stood in its way, and tries again until the watch is near', async () => {
    await setHour(330)
    await ownerDatabase.update(watch).set({ address: 'nowhere-at-all.all-sport' }).where(eq(watch.id, ilse.watch))
    expect((await ilse.ask('POST', path())).status).toBe(200)
    const refused = await until(routine, now => now.refused.length > 0, 40_000)
    expect(refused.refused[0]!.do).toBe('fault')
    expect(Date.parse(refused.pushAt!) - Date.now()).toBeLessThan(11 * 60_000)
    expect(await decisions()).toContainEqual(expect.objectContaining({ code: 'push', watch: "Ilse's watch" }))
    await ownerDatabase.update(watch).set({ address: ilse.address }).where(eq(watch.id, ilse.watch))
    await ilse.ask('POST', path())
    await until(held, names => names.includes('Six eights'), 40_000)
    await until(routine, now => now.refused.length === 0)
  }, 90_000)
})

describe('weekly clearing', () => {
  it('takes off what was sent for the week that has ended, also for who pushes by hand, and nothing else', async () => {
    await change({ schools: { naming: 'weekday', pushing: 'today' } })
    expect((await routine()).clearAt).not.toBeNull()
    await ilse.ask('POST', path())
    const [name] = await until(held, names => names.length === 1, 40_000)
    expect(name).toMatch(/day$/)
    await change({ schools: { naming: 'weekday', pushing: 'hand' } })
    await hourComes('clearAt')
    const first = await until(routine, now => Date.parse(now.clearAt!) > Date.now(), 40_000)
    expect([await held(), first.refused]).toEqual([[name], []])
    await ownerDatabase.execute(`update holding set day = day - 14 where watch_id = '${ilse.watch}'`)
    await hourComes('clearAt')
    await until(held, names => names.length === 0, 40_000)
  }, 120_000)
})

describe('what is seen ahead', () => {
  it('is what will go on each day, by the watch or by its last receipts', async () => {
    const ahead = async () => (await ilse.ask<PushAhead>('GET', `/watches/${ilse.watch}/ahead`)).body
    const seen = await ahead()
    expect([seen.isSeen, seen.days[0]!.acts.map(act => act.do), seen.days.slice(1).flatMap(({ acts }) => acts)]).toEqual([
      true,
      ['send'],
      [],
    ])
    await ownerDatabase.update(watch).set({ address: 'nowhere-at-all.all-sport' }).where(eq(watch.id, ilse.watch))
    const blind = await ahead()
    expect([blind.isSeen, blind.days[0]!.acts.map(act => act.do)]).toEqual([false, ['send']])
  })
})
