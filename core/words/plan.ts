import { sayDay } from './date'

/** What an edit of the plan did, as a code with its fields; titles stand in it as the athlete knows them. */
export type SaidEdit =
  | { code: 'put' | 'off'; title: string; day: string; others: number }
  | { code: 'change'; title: string }
  | { code: 'move'; title: string; from: string; to: string }
  | { code: 'copy'; days: number; from: string; to: string; count: number; way?: 'harder' | 'easier' }
  | { code: 'lay'; count: number; from: string }
  | { code: 'take-in'; count: number }
  | { code: 'swap'; one: string; other: string }
  | { code: 'shift'; from: string; by: number; count: number }
  | { code: 'clear'; from: string; days: number; count: number }
  | { code: 'fill'; count: number }

const short = (day: string) => sayDay(day, { weekday: 'short' })
const things = (count: number) => (count === 1 ? 'one thing' : `${count} things`)
const span = ({ days, from }: { days: number; from: string }) => (days === 1 ? short(from) : `the week of ${short(from)}`)
const dayCount = (count: number) => (Math.abs(count) === 1 ? 'a day' : `${Math.abs(count)} days`)

/** An edit of the plan in words: what can be taken back. */
export function sayPlanEdit(edit: SaidEdit): string {
  switch (edit.code) {
    case 'put':
      return `${edit.title} put on ${short(edit.day)}`
    case 'off':
      return `${edit.title}${edit.others > 0 ? ` and ${things(edit.others)} more` : ''} taken off ${short(edit.day)}`
    case 'change':
      return `${edit.title} changed`
    case 'move':
      return edit.from === edit.to
        ? `${edit.title} moved within ${short(edit.to)}`
        : `${edit.title} moved from ${short(edit.from)} to ${short(edit.to)}`
    case 'copy':
      return `${things(edit.count)} copied from ${span(edit)} to ${short(edit.to)}${edit.way ? `, a little ${edit.way}` : ''}`
    case 'lay':
      return `${things(edit.count)} laid out from ${short(edit.from)} on`
    case 'take-in':
      return `${things(edit.count)} taken in from a calendar`
    case 'swap':
      return `${short(edit.one)} and ${short(edit.other)} swapped`
    case 'shift':
      return `${things(edit.count)} from ${short(edit.from)} on moved ${dayCount(edit.by)} ${edit.by > 0 ? 'later' : 'earlier'}`
    case 'clear':
      return `${things(edit.count)} taken off ${span(edit)}`
    case 'fill':
      return `${things(edit.count)} put on their days from a message`
  }
}
