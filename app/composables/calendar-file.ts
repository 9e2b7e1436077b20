import type { ReadCalendar, ReadCalendarOptions } from '~~/core/exchange/read-ics'
import { composablesCalendarFile as texts } from '~/texts/en'

const longestMilliseconds = 10_000

/** Reads a calendar file apart from the page; one whose rules never end is given up. */
export async function readCalendarFile(file: File, options: ReadCalendarOptions): Promise<ReadCalendar> {
  const { calendarBytes } = await import('~~/core/exchange/read-ics')
  if (file.size > calendarBytes) return { ok: false, problem: texts.isLarger(file.name, calendarBytes / 1024 / 1024) }
  const text = await file.text()
  const worker = new Worker(new URL('../workers/calendar.worker.ts', import.meta.url), { type: 'module' })
  try {
    return await new Promise<ReadCalendar>((resolve, reject) => {
      setTimeout(() => resolve({ ok: false, problem: texts.hasARule(file.name) }), longestMilliseconds)
      worker.onmessage = ({ data }: MessageEvent<ReadCalendar>) => resolve(data)
      worker.onerror = event => reject(new Error(event.message))
      worker.postMessage({ text, options })
    })
  } finally {
    worker.terminate()
  }
}
