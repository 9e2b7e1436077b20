import { defineEventHandler, getCookie, getHeader, getQuery, getRouterParams, setResponseStatus } from 'h3'
import type { H3Event } from 'h3'
import { ValidationError } from 'yup'
import type { InferType, ObjectSchema, AnyObject } from 'yup'
import type { Database, OwnerTransaction } from '../db/client'
import { asOwner, sharedDatabase } from '../db/client'
import { accountOfToken } from './account'
import { Problem } from './problem'
import { refuseUnsound } from './sound-input'

export const cookieName = 'agonis_account'
const usualBodyBytes = 3 * 1024 * 1024

export interface Call<P, Q, B> {
  event: H3Event
  owner: string
  params: P
  query: Q
  body: B
  database: Database
  /** Runs work in a transaction that sees this owner's rows only. */
  transaction: <T>(work: (tx: OwnerTransaction) => Promise<T>) => Promise<T>
}

type Shape = ObjectSchema<AnyObject>
type Given<S> = S extends Shape ? InferType<S> : Record<string, never>

interface Route<P, Q, B, R> {
  params?: P
  query?: Q
  body?: B
  bodyBytes?: number
  handle: (call: Call<Given<P>, Given<Q>, Given<B>>) => Promise<R>
}

async function ownerOf(event: H3Event, database: Database): Promise<string> {
  const bearer = /^Bearer (\S+)$/.exec(getHeader(event, 'authorization') ?? '')?.[1]
  const token = bearer ?? getCookie(event, cookieName)
  const owner = token ? await accountOfToken(database, token) : null
  if (!owner)
    throw new Problem(
      401,
      'Nobody is signed in.',
      'request',
      "Open the application's first page, or send the account's token as a bearer token.",
    )
  return owner
}

/** Reads a body up to a limit; what is larger is refused without being kept. */
async function readBody(event: H3Event, limit: number): Promise<unknown> {
  const tooLarge = () =>
    new Problem(413, `The body is larger than ${Math.round(limit / 1024 / 1024)} MB, the limit.`, 'body', 'Send it in several parts.')
  if (Number(getHeader(event, 'content-length') ?? 0) > limit) throw tooLarge()
  const parts: Buffer[] = []
  let size = 0
  for await (const part of event.node.req) {
    size += (part as Buffer).length
    if (size > limit) throw tooLarge()
    parts.push(part as Buffer)
  }
  const text = Buffer.concat(parts).toString('utf8')
  if (text === '') return {}
  try {
    return JSON.parse(text) as unknown
  } catch (error) {
    throw new Problem(400, 'The body is not JSON.', 'body', (error as Error).message)
  }
}

async function validate<S extends Shape>(schema: S, value: unknown, place: string): Promise<InferType<S>> {
  refuseUnsound(value, place)
  try {
    return await schema
      .noUnknown(true)
      .strict(place === 'body')
      .validate(value, { abortEarly: true, stripUnknown: false })
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    const unknown = error.type === 'noUnknown' || error.message.includes('unspecified keys')
    throw new Problem(
      place === 'params' ? 404 : 400,
      unknown ? `The ${place} has a field that is not known.` : `The ${place} is not right: ${error.message}.`,
      error.path ? `${place}.${error.path}` : place,
      'docs/api.md lists what each route takes.',
    )
  }
}

function answerProblem(event: H3Event, error: unknown) {
  if (error instanceof Problem) {
    setResponseStatus(event, error.status)
    return { problem: error.problem, where: error.where, hint: error.hint, ...error.details }
  }
  console.error(`${event.method} ${event.path} failed:`, error instanceof Error ? error.message : 'unknown fault')
  if (process.env.AGONIS_TRACE) console.error(error)
  setResponseStatus(event, 500)
  return { problem: 'Something went wrong here.', where: 'server', hint: "Nothing was changed. Try again; the server's log says more." }
}

/**
 * A route that validates what it is given with Yup, knows whose request it is, and answers every fault as
 * `{ problem, where, hint }` with the right status.
 */
export function route<
  P extends Shape | undefined = undefined,
  Q extends Shape | undefined = undefined,
  B extends Shape | undefined = undefined,
  R = unknown,
>(definition: Route<P, Q, B, R>) {
  return defineEventHandler(async event => {
    try {
      const database = sharedDatabase()
      const owner = await ownerOf(event, database)
      const params = definition.params ? await validate(definition.params, getRouterParams(event, { decode: true }), 'params') : {}
      const query = definition.query ? await validate(definition.query, getQuery(event), 'query') : {}
      const body = definition.body
        ? await validate(definition.body, await readBody(event, definition.bodyBytes ?? usualBodyBytes), 'body')
        : {}
      return await definition.handle({
        event,
        owner,
        database,
        params: params as Given<P>,
        query: query as Given<Q>,
        body: body as Given<B>,
        transaction: work => asOwner(database, owner, work),
      })
    } catch (error) {
      return answerProblem(event, error)
    }
  })
}
