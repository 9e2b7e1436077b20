import { array, boolean, number, object, string } from 'yup'

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
})

export const tagsShape = object({
  tags: array(string().max(40, 'A tag has at most 40 letters.').required()).max(20, 'A session has at most 20 tags.').required(),
})
