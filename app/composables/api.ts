import { composablesApi as texts } from '~/texts/en'
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
  const { pathname, search, hash } = window.location
  if (pathname !== '/sign-in') window.location.assign(`/sign-in?to=${encodeURIComponent(pathname + search + hash)}`)
}

/**
 * Asks the server; every failure is an `ApiError` that a screen can show.
 *
 * @param hint what to do when the server does not answer
 */
export async function answerTo(path: string, init: RequestInit, hint: string): Promise<Response> {
  let response: Response
  try {
    response = (await firstAnswer(path, init.method)) ?? (await fetch(`/api${path}`, init))
  } catch {
    throw new ApiError({ status: 0, problem: texts.theServerDoesNot, where: 'network', hint })
  }
  if (response.status === 401) leaveForSignIn()
  if (response.ok) return response
  const told = (await response.json().catch(() => null)) as object | null
  throw new ApiError({ status: response.status, problem: texts.theServerFailed, where: path, hint: '', ...told })
}

/** Asks the server in JSON, and gives what it answers. */
export async function api<T>(path: string, options: { method?: 'GET' | 'POST' | 'PUT' | 'DELETE'; body?: unknown } = {}): Promise<T> {
  const sent = options.body === undefined ? {} : { body: JSON.stringify(options.body), headers: { 'content-type': 'application/json' } }
  const hint = texts.whatYouTypedIs
  const response = await answerTo(path, { method: options.method ?? 'GET', ...sent }, hint)
  return (await response.json().catch(() => null)) as T
}

/** What to show of any failure. */
export function toldOf(error: unknown): ApiProblem {
  return error instanceof ApiError ? error.told : { status: 0, problem: (error as Error).message, where: 'here', hint: '' }
}
