export function untilAnswers(
  url: string,
  program: { exitCode: number | null; signalCode: string | null },
  what: string,
  saying?: { say?: (words: string) => void; sayEvery?: number; ca?: string },
): Promise<void>
