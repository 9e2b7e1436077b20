import { defineEventHandler, setResponseStatus } from 'h3'

export default defineEventHandler(event => {
  setResponseStatus(event, 404)
  return { problem: 'There is no such address.', where: `${event.method} ${event.path}`, hint: 'docs/api.md lists the routes.' }
})
