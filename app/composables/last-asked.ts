/**
 * Tells whether nothing was asked since: two askings may be answered the other way round, and what was asked last is as it is now.
 *
 * @returns to be called where something is asked; what it gives says, once the answer is there, whether it is still the last
 */
export function useLastAsked(): () => () => boolean {
  let last = 0
  return () => {
    const own = ++last
    return () => own === last
  }
}
