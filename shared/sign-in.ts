import { object, string } from 'yup'

/** What a name and a passphrase must be, for the screen that asks and the server that takes. */
export const nameShape = () =>
  string()
    .max(60, 'is longer than 60 letters')
    .test('blank', 'is empty', value => value === undefined || value.trim() !== '')
export const passphraseShape = () => string().min(12, 'has fewer than 12 letters').max(200, 'is longer than 200 letters')
export const signInShape = object({ name: nameShape().required('is missing'), passphrase: passphraseShape().required('is missing') })
