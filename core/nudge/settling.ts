/** Seconds after a step's start before its value is judged: a heart rate lags and must not blame the athlete. */
export const settlingSeconds = { 'pace': 10, 'power': 5, 'heart-rate': 60, 'cadence': 5, 'rpe': Infinity } as const
