import { expect } from 'vitest'
import type { TransferState, WatchState } from '../../shared/api'
import type { Person } from './client'
import { newPerson, until } from './client'

/** Somebody with a watch, and what is done with it. */

export const short = (title: string) =>
  `title ${title}\nsport run\n\nwarm-up 1:00\n3 times, drop last recovery\n  0:30 @ 4:20-4:50 /km\n  recovery 0:20\n`
export const today = () => new Date().toISOString().slice(0, 10)
export const inDays = (days: number) => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10)

export async function newWearer(): Promise<Person> {
  const ilse = await newPerson('Ilse')
  await ilse.ask('PUT', '/me', {
    base: 0,
    document: {
      format: 'agonis.athlete',
      version: 1,
      name: 'Ilse Brandvik',
      timeZone: 'UTC',
      heart: { max: 182, rest: 50 },
      run: { criticalSpeed: 3.6 },
      easyPace: 355,
    },
  })
  return ilse
}

export const stateOf = async (person: Person, id = person.watch) => (await person.ask<WatchState>('GET', `/watches/${id}/state`)).body
export const hand = (person: Person, act: object) => person.ask('POST', `/standin/${person.watch}/hand`, act)
export const ended = (person: Person, id: string) =>
  until(
    async () => (await person.ask<TransferState>('GET', `/transfers/${id}`)).body,
    transfer => transfer.state !== 'sending',
  )
export async function send(person: Person, session: string): Promise<TransferState> {
  const begun = await person.ask<TransferState>('POST', `/watches/${person.watch}/transfers`, { session })
  expect(begun.status).toBe(201)
  return ended(person, begun.body.id)
}
export const statuses = (state: WatchState) =>
  state.rows.filter(row => row.status !== 'empty').map(row => `${row.status} ${row.holds ?? '-'}`)
export const problemOf = (answer: { body: unknown }) => (answer.body as { problem: string }).problem
