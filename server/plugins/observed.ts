import { randomUUID } from 'node:crypto'
import { getResponseStatus, setResponseHeader } from 'h3'
import { defineNitroPlugin } from 'nitropack/runtime'
import { requestSeconds } from '../http/metrics'
import { routeOf } from '../http/routeOf'

declare module 'h3' {
  interface H3EventContext {
    /** Names this request in the log and to the person who asks about it. */
    requestId?: string
  }
}

/** Gives every request a name, and counts how long each took. */
export default defineNitroPlugin(app => {
  app.hooks.hook('request', event => {
    const began = performance.now()
    event.context.requestId = randomUUID()
    setResponseHeader(event, 'x-request-id', event.context.requestId)
    // When the last byte is handed over, whether it was answered or refused.
    event.node.res.once('finish', () => {
      const labels = { method: event.method, route: routeOf(event), status: getResponseStatus(event) }
      requestSeconds.observe(labels, (performance.now() - began) / 1000)
    })
  })
})
