import { readdirSync } from 'node:fs'
import { inject, expect, it } from 'vitest'
import { newPerson, until } from './client'

const descriptors = () => readdirSync(`/proc/${inject('serverPid')}/fd`).length

it('a stream ends where it comes from when whoever reads it has left', async () => {
  const ilse = await newPerson('Ilse who looks and leaves')
  const before = descriptors()
  for (let round = 0; round < 10; round++) {
    await Promise.all(
      Array.from({ length: 20 }, async () => {
        const leaving = new AbortController()
        const response = await fetch(`${inject('address')}/api/standin/${ilse.watch}/events`, {
          headers: { authorization: `Bearer ${ilse.token}` },
          signal: leaving.signal,
        })
        await response.body!.getReader().read()
        leaving.abort()
      }),
    )
  }
  const left = await until(
    () => Promise.resolve(descriptors()),
    count => count < before + 30,
  )
  expect(left).toBeLessThan(before + 30)
})
