import type { ReadCalendarOptions } from '~~/core/exchange/read-ics'
import { readIcs } from '~~/core/exchange/read-ics'

self.onmessage = ({ data }: MessageEvent<{ text: string; options: ReadCalendarOptions }>) =>
  self.postMessage(readIcs(data.text, data.options))
