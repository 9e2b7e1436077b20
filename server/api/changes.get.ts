import { createEventStream } from 'h3'
import { listen, onChange } from '../queue/changes'
import { route } from '../services/route'

const breath = 25_000

/** What changes of the athlete's, as it changes: `change` names the row, `look` says that anything may have. */
export default route({
  async handle({ event, owner }) {
    await listen()
    const stream = createEventStream(event)
    const end = onChange(owner, change => {
      void stream.push(change ? { event: 'change', data: JSON.stringify(change) } : { event: 'look', data: '' })
    })
    const breathing = setInterval(() => void stream.push({ event: 'breath', data: '' }), breath)
    stream.onClosed(async () => {
      clearInterval(breathing)
      end()
      await stream.close()
    })
    void stream.push({ event: 'look', data: '' })
    await stream.send()
  },
})
