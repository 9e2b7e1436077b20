import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { asOwner, openDatabase } from '../server/db/client'
import { device } from '../server/db/schema'
import { accountOfToken, changeToken, newToken } from '../server/services/account'

/**
 * Gives the account at home another token, and ends every device that was signed in. Stopped half-way, the next run goes on: the new
 * token lies beside the old one until the database knows it.
 */
export async function changeHomeToken(url: string, folder: string): Promise<void> {
  const [file, next] = [join(folder, 'home-token'), join(folder, 'home-token.next')]
  if (!existsSync(next)) writeFileSync(next, newToken(), { mode: 0o600 })
  const token = readFileSync(next, 'utf8')
  const database = openDatabase(url)
  try {
    if (!(await accountOfToken(database, token))) {
      const owner = await accountOfToken(database, readFileSync(file, 'utf8'))
      if (owner)
        await asOwner(database, owner, async tx => {
          await changeToken(tx, token)
          await tx.delete(device)
        })
    }
    renameSync(next, file)
  } finally {
    await database.$client.end()
  }
}

if (process.argv[1]?.endsWith('change-token.ts')) {
  const { DATABASE_URL: url, AGONIS_DATA: folder } = process.env
  if (!url || !folder) throw new Error('DATABASE_URL and AGONIS_DATA are needed')
  await changeHomeToken(url, folder)
}
