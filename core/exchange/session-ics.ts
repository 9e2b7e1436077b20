import ical from 'ical-generator'
import type { Standpoint } from '../athlete/standpoint'
import { reckon } from '../reckon/reckon'
import { printSession } from '../script/print'
import type { Session } from '../session/document'
import { titleOf } from '../script/title'
import { digestOf } from '../wrist/program/digest'

/** A session of a dated day as a day's entry of a calendar file; its script is the description. Null without a date. */
export function sessionIcs(session: Session, standpoint: Standpoint): string | null {
  if (!/^\d{4}-/.test(session.day ?? '')) return null
  const { likely } = reckon(session, standpoint).seconds
  const start = new Date(`${session.day}T00:00:00Z`)
  const calendar = ical({ prodId: '//Agonis//session//EN' })
  calendar.createEvent({
    id: `${digestOf(session)}@agonis`,
    start,
    allDay: true,
    stamp: start,
    summary: titleOf(session),
    description: `${likely === null ? '' : `about ${Math.round(likely / 60)} min\n\n`}${printSession(session)}`,
  })
  return calendar.toString()
}
