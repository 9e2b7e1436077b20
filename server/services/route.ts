import { defineEventHandler, getHeader, getQuery, getRouterParams, setResponseStatus } from 'h3'
import type { H3Event } from 'h3'
import { ValidationError } from 'yup'
import type { InferType, ObjectSchema, AnyObject } from 'yup'
import type { Database, Transaction } from '../db/client'
import { asOwner, sharedDatabase } from '../db/client'
import type { Entrance } from './account'
import { whoAsks } from './entrance'
import { problemOfFault } from './fault'
import { loggable } from '../log/loggable'
import { log, requestIdOf, routeOf } from '../log/log'
import { Problem } from './problem'
import { refuseUnsound } from './sound-input'

const usualBodyBytes = 3 * 1024 * 1024

/** What is asked, and the database that knows. */
export interface OutsideCall<P, Q, B> {
  event: H3Event
  params: P
  query: Q
  body: B
  database: Database
}

/** What is asked by somebody who is known. */
export interface Call<P, Q, B> extends OutsideCall<P, Q, B> {
  owner: string
  /** The device that asks, where it is signed in as one. */
  device: string | null
  transaction: Transaction
}

type Shape = ObjectSchema<AnyObject>
type Given<S> = S extends Shape ? InferType<S> : Record<string, never>

interface Shapes<P, Q, B> {
  params?: P
  query?: Q
  /** What the body is, or what it is by what it says. */
  body?: B | ((value: unknown) => B)
  bodyBytes?: number
}
interface Route<P, Q, B, R> extends Shapes<P, Q, B> {
  handle: (call: Call<Given<P>, Given<Q>, Given<B>>) => Promise<R>
}
interface OutsideRoute<P, Q, B, R> extends Shapes<P, Q, B> {
  handle: (call: OutsideCall<Given<P>, Given<Q>, Given<B>>) => Promise<R>
}

async function entranceFor(event: H3Event, database: Database): Promise<Entrance> {
  const entrance = await whoAsks(event, database)
  if (!entrance)
    throw new Problem(
      401,
      'Nobody is signed in.',
      'request',
      "Open the application's first page, or send the account's token as a bearer token.",
    )
  return entrance
}

/** Reads a body up to a limit; what is larger is refused without being kept. */
export async function readBytes(event: H3Event, limit: number): Promise<Buffer> {
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
  return Buffer.concat(parts)
}

async function readBody(event: H3Event, limit: number): Promise<unknown> {
  const text = (await readBytes(event, limit)).toString('utf8')
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
  const request = requestIdOf(event)
  const told = error instanceof Problem ? error : problemOfFault(error)
  const about = { request, method: event.method, route: routeOf(event) }
  if (told) {
    if (told !== error) log.warn({ ...about, status: told.status, ...loggable(error) }, 'not answered')
    setResponseStatus(event, told.status)
    return { problem: told.problem, where: told.where, hint: told.hint, ...told.details }
  }
  log.error({ ...about, status: 500, ...loggable(error) }, 'failed')
  setResponseStatus(event, 500)
  return {
    problem: 'Something went wrong here.',
    where: 'server',
    hint: `Nothing was changed. Try again; the server's log says more under ${request}.`,
  }
}

/** Answers a request by some work, and every fault of it as `{ problem, where, hint }` with the right status. */
async function answering(event: H3Event, work: () => Promise<unknown>): Promise<unknown> {
  const begun = performance.now()
  const request = requestIdOf(event)
  event.node.res.once('close', () => {
    const milliseconds = Math.round(performance.now() - begun)
    log.info({ request, method: event.method, route: routeOf(event), status: event.node.res.statusCode, milliseconds }, 'answered')
  })
  try {
    return await work()
  } catch (error) {
    /** Trap: whoever has left gets no answer, and that they left is no fault. */
    const { req, res } = event.node
    if (res.closed || (req.destroyed && !req.complete)) return undefined
    return answerProblem(event, error)
  }
}

async function given<P extends Shape | undefined, Q extends Shape | undefined, B extends Shape | undefined>(
  event: H3Event,
  database: Database,
  shapes: Shapes<P, Q, B>,
): Promise<OutsideCall<Given<P>, Given<Q>, Given<B>>> {
  const params = shapes.params ? await validate(shapes.params, getRouterParams(event, { decode: true }), 'params') : {}
  const query = shapes.query ? await validate(shapes.query, getQuery(event), 'query') : {}
  const bodyShape = (value: unknown) => (typeof shapes.body === 'function' ? shapes.body(value)! : shapes.body!)
  const sent = shapes.body ? await readBody(event, shapes.bodyBytes ?? usualBodyBytes) : null
  const body = shapes.body ? await validate(bodyShape(sent), sent, 'body') : {}
  return { event, database, params: params as Given<P>, query: query as Given<Q>, body: body as Given<B> }
}

/** A route that validates what it is given with Yup and knows whose request it is. */
export function route<
  P extends Shape | undefined = undefined,
  Q extends Shape | undefined = undefined,
  B extends Shape | undefined = undefined,
  R = unknown,
>(definition: Route<P, Q, B, R>) {
  return defineEventHandler(event =>
    answering(event, async () => {
      const database = sharedDatabase()
      const { owner, device } = await entranceFor(event, database)
      const call = await given(event, database, definition)
      return definition.handle({ ...call, owner, device, transaction: work => asOwner(database, owner, work) })
    }),
  )
}

/** A route for whoever is not known yet: what leads to being known. */
export function outsideRoute<
  P extends Shape | undefined = undefined,
  Q extends Shape | undefined = undefined,
  B extends Shape | undefined = undefined,
  R = unknown,
>(definition: OutsideRoute<P, Q, B, R>) {
  return defineEventHandler(event => answering(event, async () => definition.handle(await given(event, sharedDatabase(), definition))))
}
