/** What the reader says about words it did not find in canonical form, or could not read. */
export interface Fix {
  label: string
  replacement: string
}

export type RemarkLevel = 'note' | 'ask' | 'error'

export interface Remark {
  /** 1-based. */
  line: number
  /** 1-based, in UTF-16 units. */
  column: number
  /** In UTF-16 units. A fix replaces exactly this stretch, which may run over several lines. */
  length: number
  level: RemarkLevel
  code: string
  said: string
  readAs: string
  fixes: Fix[]
}
