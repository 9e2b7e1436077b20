import type { FormItemRule } from 'element-plus'
import type { Schema } from 'yup'

/** What a form checks a field by: the same schema that the server takes it by. */
export const ruleOf = (schema: Schema, what: string): FormItemRule => ({
  trigger: 'blur',
  validator(_, value, done) {
    schema.validate(value === '' ? undefined : value).then(
      () => done(),
      (error: Error) => done(new Error(`${what} ${error.message}.`)),
    )
  },
})
