export interface Connection {
  PGHOST: string
  PGPORT: string
  PGUSER: string
  PGPASSWORD: string
  PGDATABASE: string
}

export const folder: string
export function connectionOf(url: string): Connection
export function databaseOf(options: { canStart: boolean }): Promise<{ url: string; connection: Connection; close: () => Promise<void> }>
export function clientTool(name: string): string
export function runTool(tool: string, args: readonly string[], connection: Partial<Connection>): string
