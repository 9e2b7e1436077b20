/** npm run backup: writes the database of the running application to a file. */
import { connectionOf, clientTool, runTool } from './database-tools.mjs'

const file = process.argv[2] ?? `agonis-${new Date().toISOString().slice(0, 10)}.dump`
const connection = await connectionOf()
runTool(clientTool('pg_dump'), ['--format=custom', '--no-owner', '--file', file], connection)
console.log(`Everything is in ${file}. Restore it with: npm run restore -- ${file}`)
