import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeEach, describe, expect, inject, it } from 'vitest'
import { changeHomeToken } from '../../scripts/change-token'
import { asOwner } from '../../server/db/client'
import { accountOfToken, changeToken, newToken } from '../../server/services/account'
import { addDevice } from '../../server/services/invitation'
import type { Person } from './client'
import { database, newPerson } from './client'

const folder = mkdtempSync(join(tmpdir(), 'agonis-token-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))
const [file, next] = [join(folder, 'home-token'), join(folder, 'home-token.next')]
const kept = () => readFileSync(file, 'utf8')
const change = () => changeHomeToken(inject('databaseUrl'), folder)

let ilse: Person
beforeEach(async () => {
  ilse = await newPerson('Ilse with another token')
  writeFileSync(file, ilse.token)
})

describe('another token for the account at home', () => {
  it('opens it from then on, and the one before opens nothing, nor does any device', async () => {
    const device = await asOwner(database, ilse.owner, tx => addDevice(tx, 'Browser on a boat'))
    expect(await accountOfToken(database, device)).toBe(ilse.owner)
    await change()
    expect(kept()).not.toBe(ilse.token)
    expect(await accountOfToken(database, kept())).toBe(ilse.owner)
    for (const gone of [ilse.token, device]) expect(await accountOfToken(database, gone)).toBeNull()
    expect(existsSync(next)).toBe(false)
  })

  it.each([
    ['before the database knew it', false],
    ['before the folder did', true],
  ])('is gone on with where a start was stopped %s', async (_, isInDatabase) => {
    const token = newToken()
    writeFileSync(next, token)
    if (isInDatabase) await asOwner(database, ilse.owner, tx => changeToken(tx, token))
    await change()
    expect(kept()).toBe(token)
    expect(await accountOfToken(database, token)).toBe(ilse.owner)
  })
})
