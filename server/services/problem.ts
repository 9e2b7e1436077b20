/** An error that a reader of the interface can act on: what, where, and what to do. */
export class Problem extends Error {
  constructor(
    readonly status: 400 | 401 | 403 | 404 | 409 | 413 | 422 | 429 | 502 | 503,
    readonly problem: string,
    readonly where: string,
    readonly hint: string,
    /** More that the interface shows, such as the other side of a conflict. */
    readonly details: Record<string, unknown> = {},
  ) {
    super(problem)
  }
}

export const notFound = (what: string, where: string) =>
  new Problem(404, `There is no such ${what}.`, where, 'It may have been removed; look at the list again.')
