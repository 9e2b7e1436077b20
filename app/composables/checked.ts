type Shapes = typeof import('~~/shared/forms')
type Form = { [Name in keyof Shapes]: Name extends `${infer Short}Shape` ? Short : never }[keyof Shapes]

/**
 * Checks what a form holds by the schema that the server takes it by, which comes when it is first asked for.
 *
 * @returns what is wrong in a sentence; empty where nothing is
 */
export async function faultOf(form: Form, values: object): Promise<string> {
  const shapes = await import('~~/shared/forms')
  return shapes[`${form}Shape`].validate(values).then(
    () => '',
    (error: Error) => error.message,
  )
}
