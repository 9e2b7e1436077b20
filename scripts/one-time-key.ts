/** npm run key: prints an address that lets its reader in once, into the application that runs. */
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { asOwner, openDatabase } from '../server/db/client'
import { accountOfToken } from '../server/services/account'
import { invite } from '../server/services/invitation'
import { folder } from './database-tools.mjs'

const minutes = 30

/** An address that opens once, within half an hour. */
export async function oneTimeAddress(address: string, url: string, homeToken: string): Promise<string> {
  const database = openDatabase(url)
  try {
    const owner = await accountOfToken(database, homeToken)
    if (!owner) throw new Error('The account at home is not in the database.')
    return `${address}/enter?key=${await asOwner(database, owner, tx => invite(tx, 'enter', minutes))}`
  } finally {
    await database.$client.end()
  }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const file = join(folder, 'running.json')
  if (!existsSync(file)) {
    console.error('Agonis does not run in this folder: start it first.')
    process.exit(1)
  }
  const { address, plainUrl } = JSON.parse(readFileSync(file, 'utf8')) as { address: string; plainUrl: string }
  console.log(await oneTimeAddress(address, plainUrl, readFileSync(join(folder, 'home-token'), 'utf8')))
}
