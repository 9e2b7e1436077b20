import { get as getHttp } from 'node:http'
import { get as getHttps } from 'node:https'
import { setTimeout as pause } from 'node:timers/promises'

const answers = (url, ca) =>
  new Promise((resolve, reject) => {
    const get = url.startsWith('https:') ? getHttps : getHttp
    get(url, ca ? { ca } : {}, response => resolve(response.resume())).on('error', reject)
  })

/**
 * Waits until a program answers, as long as it runs, and says what it waits for when that takes a while.
 *
 * @param program the child process
 * @param what it is, as the beginning of a sentence
 * @param say is told every `sayEvery` milliseconds
 * @param ca the authority that its certificate is of
 */
export async function untilAnswers(url, program, what, { say = console.log, sayEvery = 5000, ca } = {}) {
  const begun = Date.now()
  let said = begun
  for (;;) {
    if (program.exitCode !== null || program.signalCode !== null)
      throw new Error(`${what} stopped before it answered (${program.signalCode ?? `code ${program.exitCode}`}).`)
    try {
      await answers(url, ca)
      return
    } catch {
      await pause(50)
    }
    if (Date.now() - said < sayEvery) continue
    said = Date.now()
    say(`Waiting for ${what[0].toLowerCase()}${what.slice(1)}, ${Math.round((said - begun) / 1000)} s so far.`)
  }
}
