import { awayCodes, databaseFaultOf } from '../log/loggable'
import { Problem } from './problem'

const fullCodes = /^(?:53100|53200|53400|58030)$/
const contestedCodes = /^(?:40001|40P01|55P03|57014)$/

/**
 * A fault in words, where it is one that the reader can do something about: the database is away, its disk is full, or it cannot keep
 * what was sent. Null for what is a fault of ours.
 */
export function problemOfFault(error: unknown): Problem | null {
  const code = databaseFaultOf(error)?.code ?? ''
  if (awayCodes.test(code))
    return new Problem(
      503,
      'The database does not answer.',
      'database',
      'Nothing was changed. Start the application again if this goes on.',
    )
  if (fullCodes.test(code))
    return new Problem(
      503,
      'The disk of the database is full.',
      'database',
      'Nothing was changed. Make room on the disk; what you type is kept in this browser meanwhile.',
    )
  if (contestedCodes.test(code))
    return new Problem(503, 'The database was busy with something else too long.', 'database', 'Nothing was changed. Try again.')
  if (code.startsWith('22') || code === '23514')
    return new Problem(
      422,
      'A value is beyond what can be kept.',
      'request',
      'Look for a number that is far too large, or a sign that is no text.',
    )
  return null
}
