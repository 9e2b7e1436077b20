import { spawnSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { cpSync, mkdtempSync, readFileSync, rmSync, statSync, truncateSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { drizzle } from 'drizzle-orm/postgres-js'
import { migrate } from 'drizzle-orm/postgres-js/migrator'
import postgres from 'postgres'
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest'
import { clientTool, connectionOf, runTool } from '../../scripts/database-tools.mjs'
import { prepareDatabase } from '../../scripts/migrate'
import { plainUrlOf } from '../../scripts/plain-role.mjs'
import { Refused, beforeName, restore } from '../../scripts/restore'
import { asOwner, openDatabase } from '../../server/db/client'
import { accountOfToken, createAccount, newToken } from '../../server/services/account'
import { loadSession, saveSession } from '../../server/services/session'
import type { Stack } from '../support/stack'
import { throwAwayStack } from '../support/stack'

const root = fileURLToPath(new URL('../..', import.meta.url))
const migrations = join(root, 'server/db/migrations')
const folder = mkdtempSync(join(tmpdir(), 'agonis-backup-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))
const file = (name: string) => join(folder, name)

const urlOf = (name: string) => Object.assign(new URL(inject('ownerUrl')), { pathname: `/${name}` }).href
const made: string[] = []
async function newDatabase(name: string): Promise<string> {
  const server = postgres(urlOf('postgres'), { max: 1, onnotice: () => {} })
  await server`create database ${server(name)}`
  await server.end()
  made.push(name, beforeName(name))
  return urlOf(name)
}
afterAll(async () => {
  const server = postgres(urlOf('postgres'), { max: 1, onnotice: () => {} })
  for (const name of made) {
    await server`select pg_terminate_backend(pid) from pg_stat_activity where datname = ${name}`
    await server`drop database if exists ${server(name)}`
  }
  await server.end()
})

/** A database as a version before had it: with so many of the migrations there are. */
async function migratedTo(url: string, count: number): Promise<void> {
  const older = mkdtempSync(join(folder, 'migrations-'))
  cpSync(migrations, older, { recursive: true })
  const journal = JSON.parse(readFileSync(join(older, 'meta/_journal.json'), 'utf8')) as { entries: unknown[] }
  writeFileSync(join(older, 'meta/_journal.json'), JSON.stringify({ ...journal, entries: journal.entries.slice(0, count) }))
  const connection = postgres(url, { max: 1, onnotice: () => {} })
  await migrate(drizzle(connection), { migrationsFolder: older })
  await connection.end()
}
const schemas = (JSON.parse(readFileSync(join(migrations, 'meta/_journal.json'), 'utf8')) as { entries: { tag: string }[] }).entries

const script = 'title Quay ladder\nsport run\n\n3 times\n  400 m @ 5k effort\n  recovery 1:30\n'
const dump = (url: string, name: string) =>
  runTool(clientTool('pg_dump'), ['--format=custom', '--no-owner', '--file', file(name)], connectionOf(url))

/** A database of this version with one session of one athlete, and their key. */
async function kept(name: string, session: string, words = script) {
  const url = await newDatabase(name)
  await prepareDatabase(url, plainUrlOf(url))
  const database = openDatabase(plainUrlOf(url))
  const token = newToken()
  const owner = await createAccount(database, 'home', token)
  await asOwner(database, owner, tx => saveSession(tx, session, 0, words))
  await database.$client.end()
  return { url, token }
}

/** The session that a key leads to; null where it leads to none. */
async function scriptOf(url: string, token: string, session: string): Promise<string | null> {
  const database = openDatabase(plainUrlOf(url))
  const owner = await accountOfToken(database, token)
  const found = owner && (await asOwner(database, owner, tx => loadSession(tx, session).catch(() => null)))
  await database.$client.end()
  return found ? found.script : null
}

describe('a backup', () => {
  const [session, other] = [randomUUID(), randomUUID()]
  let here: { url: string; token: string }
  beforeAll(async () => {
    const there = await kept('backup_there', session)
    dump(there.url, 'whole.dump')
    here = await kept('backup_here', other, '5:00\n')
  })

  it('comes back whole on another machine, and its sessions belong to whoever is at home there', async () => {
    const url = await newDatabase('backup_empty')
    const token = newToken()
    await restore(file('whole.dump'), url, token)
    expect(await scriptOf(url, token, session)).toBe(script)
  })

  it.each([
    ['cut off', 'is not whole', () => truncateSync(file('cut.dump'), statSync(file('whole.dump')).size - 60), 'cut.dump'],
    ['cut off at its head', 'no backup', () => truncateSync(file('head.dump'), 40), 'head.dump'],
    ['of another kind', 'no backup', () => writeFileSync(file('words.dump'), 'title Quay ladder'), 'words.dump'],
  ])('that is %s is refused, and nothing is touched', async (_, why, spoil, name) => {
    cpSync(file('whole.dump'), file(name))
    spoil()
    await expect(restore(file(name), here.url, here.token)).rejects.toThrow(why)
    expect(await scriptOf(here.url, here.token, other)).toBe('5:00\n')
  })

  it('of another program is refused, and nothing is touched', async () => {
    dump(await newDatabase('backup_foreign'), 'foreign.dump')
    await expect(restore(file('foreign.dump'), here.url, here.token)).rejects.toThrow(Refused)
    expect(await scriptOf(here.url, here.token, other)).toBe('5:00\n')
  })

  it('of a later version is refused, and nothing is touched', async () => {
    const later = await kept('backup_later', randomUUID())
    const connection = postgres(later.url, { max: 1, onnotice: () => {} })
    await connection`insert into drizzle.__drizzle_migrations (hash, created_at) values ('later', 99999999999999)`
    await connection.end()
    dump(later.url, 'later.dump')
    await expect(restore(file('later.dump'), here.url, here.token)).rejects.toThrow('later version')
    expect(await scriptOf(here.url, here.token, other)).toBe('5:00\n')
  })

  it.each(schemas.map(({ tag }, index) => [tag, index + 1] as const))('of the schema %s is brought to this one', async (tag, count) => {
    const name = `backup_of_${count}`
    const url = await newDatabase(name)
    await migratedTo(url, count)
    const [owner, id] = [randomUUID(), randomUUID()]
    const connection = postgres(url, { max: 1, onnotice: () => {} })
    await connection`insert into account (id, name, token_digest) values (${owner}, 'home', 'of another machine')`
    const session = { id, owner_id: owner, title: 'Quay ladder', sport: 'run', head: 1, steps: 1, open: 0 }
    await connection`insert into session ${connection(session)}`
    const revision = {
      session_id: id,
      owner_id: owner,
      number: 1,
      base: 0,
      script,
      document: '{"format":"agonis.session","version":1,"sport":"run","items":[]}',
      digest: 'x',
    }
    const columns = await connection`select column_name from information_schema.columns where table_name = 'revision'`
    const hasSearch = columns.some(({ column_name: column }) => column === 'search')
    await connection`insert into revision ${connection(hasSearch ? { ...revision, search: connection.json({}) as never } : revision)}`
    await connection.end()
    dump(url, `${tag}.dump`)
    const token = newToken()
    const target = await newDatabase(`${name}_back`)
    await restore(file(`${tag}.dump`), target, token)
    expect(await scriptOf(target, token, id)).toBe(script)
  })

  it('goes in place of what is there, which is kept beside it', async () => {
    const { url, token } = await kept('backup_swapped', other, '5:00\n')
    const busy = postgres(url, { max: 2, onnotice: () => {} })
    await busy`select 1`
    await restore(file('whole.dump'), url, token)
    expect(await scriptOf(url, token, session)).toBe(script)
    expect(await scriptOf(url, token, other)).toBeNull()
    expect(await scriptOf(urlOf(beforeName('backup_swapped')), token, other)).toBe('5:00\n')
    expect((await busy`select count(*)::int as count from session`)[0]).toEqual({ count: 1 })
    await busy.end()
  })
})

describe('npm run backup and restore', () => {
  const session = randomUUID()
  const run = (script: string, args: string[], env: Record<string, string>) =>
    spawnSync(process.execPath, ['--import', 'tsx', `scripts/${script}`, ...args], {
      cwd: root,
      encoding: 'utf8',
      env: { ...process.env, ...env },
    })

  it('write a file for its owner alone, and obey DATABASE_URL', async () => {
    const { url, token } = await kept('backup_by_command', session)
    const env = { DATABASE_URL: url, AGONIS_DATA: file('data') }
    const name = file('command.dump')
    expect(run('backup.mjs', [name], env).status).toBe(0)
    expect(statSync(name).mode & 0o777).toBe(0o600)
    const again = run('backup.mjs', [name], env)
    expect([again.status, again.stderr]).toEqual([1, `${name} is there already: name another file.\n`])
    const target = await newDatabase('backup_to_command')
    const restored = run('restore.ts', [name], { ...env, DATABASE_URL: target })
    expect(restored.stderr).toBe('')
    expect(await scriptOf(target, readFileSync(join(file('data'), 'home-token'), 'utf8'), session)).toBe(script)
    expect(await scriptOf(url, token, session)).toBe(script)
  })

  it('say how they are used, and what is wrong', () => {
    for (const name of ['backup.mjs', 'restore.ts']) {
      const { status, stdout } = run(name, ['--help'], {})
      expect([status, stdout]).toEqual([0, expect.stringContaining('npm run')])
    }
    expect(run('restore.ts', [file('nowhere.dump')], {})).toMatchObject({ status: 1, stderr: `${file('nowhere.dump')} is not there.\n` })
  })
})

describe('a machine with nothing on it', () => {
  let stack: (Stack & { folder: string }) | undefined
  afterAll(() => stack?.stop())

  it('shows everything of the backup to its own athlete while it runs', async () => {
    stack = await throwAwayStack(false)
    const id = randomUUID()
    const { url } = await kept('backup_moved', id)
    dump(url, 'moved.dump')
    await restore(file('moved.dump'), stack.ownerUrl!, stack.homeToken)
    const response = await fetch(`${stack.address}/api/sessions/${id}`, { headers: { authorization: `Bearer ${stack.homeToken}` } })
    expect([response.status, ((await response.json()) as { script: string }).script]).toEqual([200, script])
  })
})
