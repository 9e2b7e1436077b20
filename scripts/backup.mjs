/** npm run backup [-- FILE]: writes the whole database to a file that only its owner can read. */
import { closeSync, openSync, rmSync } from 'node:fs'
import { clientTool, databaseOf, runTool } from './database-tools.mjs'

const [given] = process.argv.slice(2)
if (given === '--help' || given === '-h') {
  console.log(`npm run backup [-- FILE]

Writes everything to FILE, agonis-DATE.dump where none is named: of the application that runs, or of the database that
DATABASE_URL names. A file that is there is never written over. Bring it back with npm run restore -- FILE.`)
  process.exit(0)
}
const file = given ?? `agonis-${new Date().toISOString().slice(0, 10)}.dump`
try {
  closeSync(openSync(file, 'wx', 0o600))
} catch (error) {
  console.error(error.code === 'EEXIST' ? `${file} is there already: name another file.` : `${file} cannot be written: ${error.message}`)
  process.exit(1)
}
try {
  const database = await databaseOf({ canStart: true })
  runTool(clientTool('pg_dump'), ['--format=custom', '--no-owner', '--exclude-schema=jobs', '--file', file], database.connection)
  await database.close()
  console.log(`Everything is in ${file}. Bring it back with: npm run restore -- ${file}`)
} catch (error) {
  rmSync(file, { force: true })
  console.error(`${error.message} There is no backup.`)
  process.exit(1)
}
