/** An error as the server states it, or as the browser found it. */
export interface ApiProblem {
  status: number
  problem: string
  where: string
  hint: string
  why?: string
  theirs?: unknown
  losses?: unknown
}

export class ApiError extends Error {
  constructor(readonly told: ApiProblem) {
    super(told.problem)
  }
}

/** Whoever is not known any more is led to signing in, and back to where they were. What they typed stays in the browser. */
function leaveForSignIn() {
  const { pathname, search } = window.location
  if (pathname !== '/sign-in') window.location.assign(`/sign-in?to=${encodeURIComponent(pathname + search)}`)
}

/** Asks the server; every failure is an `ApiError` that a screen can show. */
export async function api<T>(path: string, options: { method?: 'GET' | 'POST' | 'PUT' | 'DELETE'; body?: unknown } = {}): Promise<T> {
  let response: Response
  try {
    response = await fetch(`/api${path}`, {
      method: options.method ?? 'GET',
      ...(options.body === undefined ? {} : { body: JSON.stringify(options.body), headers: { 'content-type': 'application/json' } }),
    })
  } catch {
    throw new ApiError({
      status: 0,
      problem: 'The server does not answer.',
      where: 'network',
      hint: 'What you typed is kept here and goes there when it is back.',
    })
  }
  if (response.status === 401) leaveForSignIn()
  const value = (await response.json().catch(() => null)) as unknown
  if (!response.ok)
    throw new ApiError({ status: response.status, problem: 'The server failed.', where: path, hint: '', ...(value as object) })
  return value as T
}

/** What to show of any failure. */
export function toldOf(error: unknown): ApiProblem {
  return error instanceof ApiError ? error.told : { status: 0, problem: (error as Error).message, where: 'here', hint: '' }
}
