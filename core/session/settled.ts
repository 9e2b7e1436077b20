/** Whether an object is settled: nobody changes it any more, so that what follows from it follows for good. */
const isSettled = Object.isFrozen

/**
 * Remembers what a function made of a settled object, for as long as it is made with the same context. While one row of
 * a session is typed all the others stay as they are, and what they come to need not be worked out again.
 *
 * @param make must go by its arguments alone
 */
export function remembered<Of extends object, Context extends readonly unknown[], Made>(
  make: (of: Of, ...context: Context) => Made,
): (of: Of, ...context: Context) => Made {
  const known = new WeakMap<Of, { context: Context; made: Made }>()
  return (of, ...context) => {
    if (!isSettled(of)) return make(of, ...context)
    const last = known.get(of)
    if (last && isSame(last.context, context)) return last.made
    const made = make(of, ...context)
    known.set(of, { context, made })
    return made
  }
}

function isSame(some: readonly unknown[], others: readonly unknown[]): boolean {
  for (let index = 0; index < some.length; index++) {
    if (!Object.is(some[index], others[index])) return false
  }
  return true
}

/** Whether two objects say the same by every field, each the very same value. */
export function sameFields(one: object, other: object): boolean {
  const fields = Object.keys(one) as (keyof typeof one)[]
  return fields.length === Object.keys(other).length && fields.every(field => field in other && one[field] === other[field])
}
