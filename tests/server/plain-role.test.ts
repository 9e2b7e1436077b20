import postgres from 'postgres'
import { afterAll, describe, expect, inject, it } from 'vitest'
import { addressesOf, letIn, plainUrlOf } from '../../scripts/plain-role.mjs'

const ownerUrl = inject('ownerUrl')
const as = (name: string) => Object.assign(new URL(ownerUrl), { username: name, password: 'of a test' }).href
const owner = postgres(ownerUrl, { max: 1, onnotice: () => {} })

afterAll(async () => {
  for (const name of ['plain_test', 'mighty_test', 'owning_test']) {
    await owner`drop owned by ${owner(name)}`.catch(() => {})
    await owner`drop role if exists ${owner(name)}`
  }
  await owner.end()
})

describe('the role that the server enters by', () => {
  it('follows from the owner, whose address may be given alone', async () => {
    expect(await addressesOf(ownerUrl)).toEqual({ plainUrl: inject('databaseUrl'), ownerUrl })
    expect(await addressesOf(undefined, ownerUrl)).toEqual({ plainUrl: plainUrlOf(ownerUrl), ownerUrl })
    expect(await addressesOf(inject('databaseUrl'))).toEqual({ plainUrl: inject('databaseUrl'), ownerUrl: null })
  })

  it('may be one of your own, which is let in', async () => {
    await expect(letIn(ownerUrl, as('plain_test'))).rejects.toThrow('a role that is not there')
    await owner`create role plain_test login password 'of a test'`
    await letIn(ownerUrl, as('plain_test'))
    expect(await addressesOf(as('plain_test'))).toEqual({ plainUrl: as('plain_test'), ownerUrl: null })
    const plain = postgres(as('plain_test'), { max: 1 })
    expect(await plain`select owner from entrance_of_token('nobody')`).toEqual([])
    await plain.end()
  })

  it('is refused where row-level security would not bind it', async () => {
    await owner`create role mighty_test login bypassrls password 'of a test'`
    await owner`create role owning_test login password 'of a test'`
    await owner`grant create on schema public to owning_test`
    await owner`set role owning_test`
    await owner`create table of_a_test (id integer)`
    await owner`reset role`
    for (const name of ['mighty_test', 'owning_test', new URL(ownerUrl).username])
      await expect(letIn(ownerUrl, as(name))).rejects.toThrow('whom row-level security does not bind')
  })
})
