import type { Standpoint } from '~~/core/athlete/standpoint'
import type { NudgePicture, SessionForecast } from '~~/core/forecast/forecast'
import type { Nudging } from '~~/core/nudge/nudging'
import type { Session } from '~~/core/session/document'

/** What the page asks of the forecasting worker; a newer question ends the one before. */
export type Question =
  { kind: 'ask'; id: number; session: Session; standpoint: Standpoint; nudging: Nudging; runs: number } | { kind: 'stop' }

/** What comes back, in this order: the forecast at once, progress while it lasts, the nudges at the end. */
export type Answer =
  | { kind: 'forecast'; id: number; forecast: SessionForecast }
  | { kind: 'progress'; id: number; share: number }
  | { kind: 'nudges'; id: number; picture: NudgePicture }
  | { kind: 'failed'; id: number; problem: string }
