import { setTimeout as pause } from 'node:timers/promises'
import { defineNitroPlugin } from 'nitropack/runtime'
import { startWorking } from '../jobs/work'
import { loggable } from '../log/loggable'
import { log } from '../log/log'

const tryAgainAfter = 2000

/** Every copy of the server works at the jobs that are due, as soon as the database lets it. */
export default defineNitroPlugin(nitro => {
  let isEnding = false
  const working = (async () => {
    while (!isEnding) {
      try {
        return await startWorking()
      } catch (error) {
        log.warn(loggable(error), 'not working at jobs yet')
        await pause(tryAgainAfter)
      }
    }
    return null
  })()
  nitro.hooks.hook('close', async () => {
    isEnding = true
    await (
      await working
    )?.()
  })
})
