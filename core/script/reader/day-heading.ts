import { dayWord } from './day-names'
import { patternOf } from '../../quantity/pattern'
import { daysFrom, weekdayOf, weekOf } from '../../quantity/day'
import type { DayName, Sport } from '../../session/document'
import { sportNamed } from '../token/sport-words'
import type { RemarkLevel } from '../remark'
import type { ReadContext } from './options'

const dayNames: readonly DayName[] = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun']
const months = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec']
const month =
  '(jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?)'
const dateWords = [
  '(\\d{4})-(\\d{2})-(\\d{2})',
  `(\\d{1,2})(?:st|nd|rd|th|\\.)?(?:\\s+of)?\\s+${month}\\b\\.?(?:,?\\s+(\\d{4}))?`,
  `${month}\\b\\.?\\s+(\\d{1,2})(?:st|nd|rd|th)?\\b(?:,?\\s+(\\d{4}))?`,
].join('|')
const numericDate = '(\\d{1,2})[./](\\d{1,2})(?:[./](\\d{4})|\\.(?!\\d))?(?![\\d/]|:\\d)'
const partOfDay = '(?:\\s*,?\\s*\\(?(?:am|pm|a\\.m\\.|p\\.m\\.|morning|midday|noon|afternoon|evening|night)\\)?(?![a-z]))?'
const sportWord = '(?:\\s*[,:(\\u2013-]?\\s*(run(?:ning)?|ride|riding|bike|cycl(?:e|ing)|swim(?:ming)?)\\b\\)?(?!\\s*[x\\d]*\\s*\\/))?'
const begins =
  '\\d|easy|rest|off|day\\s+off|long|recovery|warm|wu\\b|track|hills?|strides|steady|tempo|pool|same|as\\b|like\\b|' +
  'repeat\\b|free\\b|nothing'
const ending = `(?:\\s*(?:[:.,)\\u2013\\u2014]|-(?=\\s|$)|$)|(?=\\s+(?:${begins})))`
/** `Tues 12th`: the date says nothing without its month. */
const dateAlone = `\\s+(?:the\\s+)?\\d{1,2}(?:st|nd|rd|th)(?!\\s+(?:of\\s+)?(?:${months.join('|')}))`
const heading = new RegExp(
  `^\\s*(?:[-*\\u2022]+\\s+)?(?:${dayWord}\\b\\.?(?:\\s*,?\\s*\\(?(?:the\\s+)?(?:${dateWords}|` +
    `${numericDate})\\)?|${dateAlone})?|(?:${dateWords}))${partOfDay}${sportWord}${ending}[\\s)]*`,
  'i',
)

/** The head of a day's lines in a pasted week. */
export interface DayHeading {
  /** A date, or the name of a day when no week is known. */
  day: string
  sport?: Sport
  /** How much of the line it takes. */
  length: number
  level: RemarkLevel
  /** What a doubtful date may also be. */
  others: string[]
}

const pad = (value: number) => String(value).padStart(2, '0')
const isoOf = (year: number, monthNumber: number, date: number): string | null => {
  const real = new Date(Date.UTC(year, monthNumber - 1, date))
  return real.getUTCMonth() === monthNumber - 1 && real.getUTCDate() === date ? real.toISOString().slice(0, 10) : null
}

/**
 * The date of a named day in the week that holds a date; a name that is no day's stays as it is.
 *
 * @param week ISO date of any day in it
 * @param weekStart 1 is Monday, 7 Sunday
 */
export function dayInWeek(name: string, week: string, weekStart: number): string {
  const index = dayNames.indexOf(name as DayName)
  if (index < 0) return name
  return daysFrom(weekOf(week, weekStart), (index + 8 - weekStart) % 7)
}

/** The date of a day's name in the week of the message, as the athlete's weeks begin; the name itself where no week is known. */
export const dayMeant = (name: string, { week, standpoint }: ReadContext): string =>
  week === undefined ? name : dayInWeek(name, week, standpoint.athlete.weekStart ?? 1)

/** Whether a date is a day of that name. */
export const isNamed = (day: string, name: string): boolean => dayNames[(weekdayOf(day) + 6) % 7] === name

/** A date without a year is the next such date from the day known. */
function nextSuch(monthNumber: number, date: number, from: string): string | null {
  const year = Number(from.slice(0, 4))
  for (let offset = 0; offset < 9; offset++) {
    const candidate = isoOf(year + offset, monthNumber, date)
    if (candidate !== null && candidate >= from) return candidate
  }
  return null
}

function dated(
  year: string | undefined,
  monthNumber: number,
  date: number,
  context: ReadContext,
  name: string | undefined,
): { day: string | null; isSure: boolean } {
  if (year) return { day: isoOf(Number(year), monthNumber, date), isSure: true }
  const from = context.week ? weekOf(context.week, context.standpoint.athlete.weekStart ?? 1) : context.standpoint.day
  if (from) return { day: nextSuch(monthNumber, date, from), isSure: true }
  if (isoOf(2024, monthNumber, date) === null) return { day: null, isSure: false }
  return { day: name ?? null, isSure: false }
}

/** A date that is no such day of the week is asked. */
function checkedDay(
  day: string,
  isSure: boolean,
  named: string | undefined,
  context: ReadContext,
): Pick<DayHeading, 'day' | 'level' | 'others'> {
  const meant = named && day !== named && context.week ? dayMeant(named, context) : undefined
  const agrees = !named || day === named || isNamed(day, named)
  return { day, level: isSure && agrees ? 'note' : 'ask', others: !agrees && meant ? [meant] : [] }
}

const monthNumberOf = (word: string) => months.indexOf(word.slice(0, 3).toLowerCase()) + 1

const courtesy = '(?:please|do|this|the|your|my|our|session|workout|run|ride|swim|plan|training|is|here|for|on|next|so)'
const courteous = new RegExp(
  `^\\s*(?:(?:hi|hello|hey|dear)(?:\\s+[a-z\u00C0-\u017F]{2,20})?\\s*[,!.\u2013-]\\s*)?(${courtesy}\\s+){0,6}` +
    dayWord +
    `(?:[\u0027\u2019]s)?((?:\\s+${courtesy}){0,6})\\s*:\\s*`,
  'i',
)

/** `Hi Anna, for Thursday please do: ...`: courteous words around the day of what follows. */
function courteousHeading(text: string, context: ReadContext): DayHeading | null {
  const match = courteous.exec(text)
  if (!match) return null
  const sport = /\b(run|ride|swim)\b/i.exec(match[3] ?? '')?.[1]
  const day = dayMeant(match[2]!.slice(0, 3).toLowerCase(), context)
  return { day, length: match[0].length, level: 'note', others: [], ...(sport ? { sport: sportNamed(sport) } : {}) }
}

/** Reads the head of a day: `Tuesday:`, `Wed 1 April (swim)`, `2026-04-02`; null when the line begins otherwise. */
export function readDayHeading(text: string, context: ReadContext): DayHeading | null {
  const match = heading.exec(text)
  if (!match) return courteousHeading(text, context)
  const groups = match.slice(1)
  const [name] = groups
  const dateAt = name === undefined ? 13 : 1
  const [isoYear, isoMonth, isoDate, dayFirst, dayFirstMonth, dayFirstYear, monthFirst, monthFirstDay, monthFirstYear] = groups.slice(
    dateAt,
    dateAt + 9,
  )
  const [numericFirst, numericSecond, numericYear] = name === undefined ? [] : groups.slice(10, 13)
  const sport = groups.at(-1)
  const named = name?.slice(0, 3).toLowerCase()
  const result: DayHeading = { day: '', length: match[0].length, level: 'note', others: [], ...(sport ? { sport: sportNamed(sport) } : {}) }
  if (isoYear) {
    const day = isoOf(Number(isoYear), Number(isoMonth), Number(isoDate))
    return day === null ? null : { ...result, day }
  }
  const spelled = dayFirst
    ? dated(dayFirstYear, monthNumberOf(dayFirstMonth!), Number(dayFirst), context, named)
    : monthFirst
      ? dated(monthFirstYear, monthNumberOf(monthFirst), Number(monthFirstDay), context, named)
      : null
  if (spelled) {
    if (spelled.day === null && !named)
      return spelled.isSure ? null : undatedHeading(result, dayFirst ?? monthFirstDay!, dayFirstMonth ?? monthFirst!)
    return { ...result, ...checkedDay(spelled.day ?? named!, spelled.isSure, named, context) }
  }
  if (numericFirst) {
    const [first, second] = [Number(numericFirst), Number(numericSecond)]
    const isDayFirst = match[0].includes(`${numericFirst}.`)
    const readings = [
      dated(numericYear, second, first, context, named),
      ...(isDayFirst ? [] : [dated(numericYear, first, second, context, named)]),
    ]
    const days = [...new Set(readings.map(reading => reading.day).filter(day => day !== null && day !== named))] as string[]
    const fitting = days.find(day => isNamed(day, named!)) ?? days[0]
    const isSure = fitting !== undefined && (days.length === 1 || isNamed(fitting, named!))
    return { ...result, day: fitting ?? named!, level: isSure ? 'note' : 'ask', others: days.filter(day => day !== fitting) }
  }
  if (!named) return null
  return { ...result, day: dayMeant(named, context) }
}

/** A date without a year, a week or a day of reference: asked, and kept without a day. */
const undatedHeading = (result: DayHeading, date: string, monthWord: string): DayHeading => ({
  ...result,
  day: '',
  level: 'ask',
  others: [`${pad(Number(date))} ${monthWord}`],
})

const dayOffWords = patternOf('i', [
  String.raw`^\s*(?:(?:complete|total|full)\s+)?(?:rest(?:\s+day)?|off|day\s+off|free(?:\s+day)?|nothing`,
  String.raw`|no\s+(?:training|session)|repos|descanso|ruhetag|pause|frei|hvile|-+|\u2013)[\s.!]*(?:\([^\d()]*\)|,[^\d]*|#.*)?$`,
])

/** Words of a day on which nothing is done. */
export const isDayOff = (text: string): boolean => dayOffWords.test(text)
