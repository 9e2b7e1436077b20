/** What stands against a document that fits the schema, as a code with its fields. `what` names what it is about. */
export type SessionProblem = { path?: string } & (
  | { code: 'nesting' | 'title' | 'steps'; count: number; limit: number }
  | { code: 'duration' | 'leg' }
  | { code: 'unread'; text: string }
  | { code: 'step'; what: StepProblem }
  | { code: 'block'; what: BlockProblem }
)

export type StepProblem =
  | 'target-order'
  | 'goal-order'
  | 'changing-end'
  | 'own-time-end'
  | 'changing-measure'
  | 'changing-unit'
  | 'zone-order'
  | 'too-many-ends'
  | 'grade-order'

export type BlockProblem = 'no-last-recovery' | 'no-distance' | 'no-time'
