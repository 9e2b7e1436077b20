/** npm run restore -- FILE: brings the database of the running application back to what the file holds. */
import { existsSync } from 'node:fs'
import { connectionOf, clientTool, runTool } from './database-tools.mjs'

const file = process.argv[2]
if (!file || !existsSync(file)) {
  console.error(`Say which file: npm run restore -- agonis-2026-03-31.dump${file ? ` (${file} is not there)` : ''}`)
  process.exit(1)
}
const connection = await connectionOf()
runTool(clientTool('pg_restore'), ['--clean', '--if-exists', '--no-owner', '--single-transaction', '--dbname', 'agonis', file], connection)
console.log(`Everything is as it was in ${file}.`)
