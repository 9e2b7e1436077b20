import { weekdayOf } from '../quantity/day'

/** When the athlete usually trains, in minutes after midnight by their own clock. */
export interface CalendarTimes {
  weekdays: number
  weekend: number
}

/** When training usually begins on a day, in minutes after midnight. */
export const usualStart = ({ weekdays, weekend }: CalendarTimes, day: string): number =>
  [0, 6].includes(weekdayOf(day)) ? weekend : weekdays
