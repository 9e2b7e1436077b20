/** What PostgreSQL and its client say of a fault, beside words that may hold what the athlete wrote. */
interface DatabaseFault {
  code?: string
  severity?: string
  table_name?: string
  constraint_name?: string
  query?: string
}

/** The fault of the database below an error, however it was wrapped. */
export function databaseFaultOf(error: unknown): DatabaseFault | null {
  let query: string | undefined
  for (let next: unknown = error; next instanceof Error; next = next.cause) {
    const own = next as DatabaseFault
    query ??= own.query
    if (typeof own.code === 'string' && (own.severity !== undefined || awayCodes.test(own.code))) return { ...pick(own), query }
  }
  return null
}

const pick = ({ code, severity, table_name, constraint_name }: DatabaseFault): DatabaseFault => ({
  code,
  severity,
  table_name,
  constraint_name,
})

/** Connections refused or lost, a server that starts or stops, too many that wait. */
export const awayCodes = /^(?:ECONN\w+|EPIPE|ENOTFOUND|ETIMEDOUT|CONNECT\w+|CONNECTION_\w+|08\w{3}|57P0[1-3]|53300)$/

/**
 * The name of a query: what it does to which table. Its parameters are not in it.
 *
 * @example nameOfQuery('insert into "session" ("id") values ($1)') // 'insert session'
 */
export function nameOfQuery(query: string | undefined): string | undefined {
  const found = /^\s*(select|insert|update|delete|begin|commit|with)\b(?:[^]*?\b(?:from|into|update)\b)?\s*"?(\w+)?/i.exec(query ?? '')
  return found ? [found[1]!.toLowerCase(), found[2]].filter(Boolean).join(' ') : undefined
}

/** What a log may know of an error: kinds, codes and names, no words of anybody. */
export function loggable(error: unknown): Record<string, unknown> {
  const fault = databaseFaultOf(error)
  const names: string[] = []
  for (let next: unknown = error; next instanceof Error; next = next.cause) names.push(next.name)
  if (fault) {
    const { query, ...codes } = fault
    return { error: names, ...codes, queryName: nameOfQuery(query) }
  }
  const where =
    error instanceof Error
      ? error.stack
          ?.split('\n')
          .filter(line => line.startsWith('    at '))
          .slice(0, 6)
      : undefined
  return { error: names, where }
}
