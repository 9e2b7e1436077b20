import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { afterEach, expect, it } from 'vitest'
import { untilAnswers } from '../../scripts/until-answers.mjs'

const server = createServer((_, answer) => answer.end())
afterEach(() => new Promise(resolve => server.close(resolve)))

async function freePort(): Promise<number> {
  await new Promise<void>(resolve => server.listen(0, '127.0.0.1', resolve))
  const { port } = server.address() as AddressInfo
  await new Promise(resolve => server.close(resolve))
  return port
}

it('waits for a slow program until it answers, and says what for', async () => {
  const port = await freePort()
  const said: string[] = []
  const say = (words: string) => {
    said.push(words)
    if (said.length === 2) server.listen(port, '127.0.0.1')
  }
  await untilAnswers(`http://127.0.0.1:${port}/`, { exitCode: null, signalCode: null }, 'The stand-in watch', { say, sayEvery: 1 })
  expect(said[0]).toMatch(/^Waiting for the stand-in watch, \d+ s so far\.$/)
  expect(said.length).toBeGreaterThanOrEqual(2)
})

it('waits no longer for one that has ended, and says how it did', async () => {
  const url = `http://127.0.0.1:${await freePort()}/`
  await expect(untilAnswers(url, { exitCode: 3, signalCode: null }, 'The server')).rejects.toThrow(
    'The server stopped before it answered (code 3)',
  )
  await expect(untilAnswers(url, { exitCode: null, signalCode: 'SIGKILL' }, 'The server')).rejects.toThrow('SIGKILL')
})
