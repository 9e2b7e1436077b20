import { randomUUID } from 'node:crypto'
import { beforeAll, describe, expect, it } from 'vitest'
import type { Person } from './client'
import { newPerson, newSession } from './client'

let ilse: Person
let id: string
beforeAll(async () => {
  ilse = await newPerson('Ilse of the odd signs')
  id = await newSession(ilse, 'sport run\n\n10:00\n')
})

const nested = (depth: number): unknown => {
  let value: unknown = 1
  for (let level = 0; level < depth; level++) value = { inner: value }
  return value
}

describe('what cannot be kept is refused with where it stands, and is no fault of the server', () => {
  it.each([
    ['NUL', '10:00 \u0000'],
    ['half a character', '10:00 \uD800'],
  ])('%s in a script, a source, tags, a search and an athlete', async (_, text) => {
    const asks = [
      ['PUT', `/sessions/${id}`, { base: 1, script: text }, 'body.script'],
      ['PUT', `/sessions/${id}`, { base: 1, script: '10:00', source: text }, 'body.source'],
      ['PUT', `/sessions/${randomUUID()}`, { base: 0, script: `title ${text}` }, 'body.script'],
      ['PUT', `/sessions/${id}/tags`, { tags: [text] }, 'body.tags.0'],
      ['POST', '/plan/week', { week: '2026-03-30', text }, 'body.text'],
      ['PUT', '/me', { base: 0, document: { format: 'agonis.athlete', version: 1, name: text } }, 'body.document.name'],
    ] as const
    for (const [method, path, body, where] of asks) {
      const answer = await ilse.ask<{ where: string; problem: string }>(method, path, body)
      expect([path, answer.status, answer.body.where]).toEqual([path, 422, where])
    }
    const search = await ilse.ask('GET', `/sessions?search=${encodeURIComponent(text.replace('\uD800', ''))}`)
    expect(search.status).toBeLessThan(500)
  })

  it('nesting without end', async () => {
    const answer = await ilse.ask<{ problem: string }>('PUT', '/me', { base: 0, document: nested(2000) })
    expect([answer.status, answer.body.problem]).toEqual([422, 'The body is nested more than 100 deep.'])
  })
})
