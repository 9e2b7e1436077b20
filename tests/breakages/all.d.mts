/** One fault put in on purpose, and the test that is to find it. */
export interface Breakage {
  what: string
  file: string
  from: string
  to: string
  test: string
  project: 'core' | 'server' | 'browser'
}

export const breakages: readonly Breakage[]
