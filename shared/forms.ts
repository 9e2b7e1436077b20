import { array, boolean, number, object, string } from 'yup'
import { sessionSports } from '../core/session/document'
import { limits } from '../core/session/limits'

/** What the forms take, for the screens that ask and the server that keeps. */

export const watchShape = object({
  name: string().trim().required('A name is missing.').max(60, 'A name has at most 60 letters.'),
  profile: string().max(40),
  address: string().trim().max(120, 'An address has at most 120 signs.'),
})

export const codeShape = object({
  code: string()
    .required('The code is missing.')
    .matches(/^\d{6}$/, 'A code is six digits, as the glass shows them.'),
})

export const feltShape = object({
  rpe: number().min(0, 'Effort goes from 0 to 10.').max(10, 'Effort goes from 0 to 10.'),
  note: string().max(4096, 'A note has at most 4096 letters.'),
  pain: boolean(),
  slept: number().min(0, 'A night has 0 to 24 hours.').max(24, 'A night has 0 to 24 hours.'),
})

const instant = (told = string()) =>
  told.max(40).test('instant', 'That is no time.', value => value === undefined || !Number.isNaN(Date.parse(value)))
const sport = () => string().oneOf(sessionSports, 'A sport is run, ride, swim or multi.')

/** What may be put right of a recording; when it began and its sport only where no program led it. */
export const factsShape = object({
  title: string().trim().min(1, 'A title is missing.').max(limits.titleLength, `A title has at most ${limits.titleLength} letters.`),
  startedAt: instant(),
  sport: sport(),
})

const longest = 48 * 3600
/** A session that no device recorded. */
export const byHandShape = object({
  sport: sport().required('A sport is missing.'),
  startedAt: instant(string().required('When it began is missing.')),
  seconds: number()
    .required('How long it took is missing.')
    .moreThan(0, 'It took longer than nothing.')
    .max(longest, 'It took at most 48 hours.'),
  metres: number().min(0, 'A distance is not below nothing.').max(2_000_000, 'A distance is at most 2000 km.'),
  heartRate: number().min(30, 'A heart beats 30 to 240 times a minute.').max(240, 'A heart beats 30 to 240 times a minute.'),
  rpe: number().min(0, 'Effort goes from 0 to 10.').max(10, 'Effort goes from 0 to 10.'),
  note: string().max(4096, 'A note has at most 4096 letters.'),
})

export const tagsShape = object({
  tags: array(string().max(40, 'A tag has at most 40 letters.').required()).max(20, 'A session has at most 20 tags.').required(),
})
