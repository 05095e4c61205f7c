import { randomUUID } from 'node:crypto'
import { getResponseStatus, setResponseHeader } from 'h3'
import { defineNitroPlugin } from 'nitropack/runtime'
import { requestSeconds } from '../http/metrics'
import { routeOf } from '../http/routeOf'

declare module 'h3' {
  interface H3EventContext {
    /** Names this request in the log and to whoever asks about it. */
    requestId?: string
  }
}

const UNKNOWN = 404

/** Gives every request a name, and counts how long each took. */
export default defineNitroPlugin(app => {
  app.hooks.hook('request', event => {
    const began = performance.now()
    event.context.requestId = randomUUID()
    setResponseHeader(event, 'x-request-id', event.context.requestId)
    // When the last byte is handed over, whether it was answered or refused.
    event.node.res.once('finish', () => {
      const status = getResponseStatus(event)
      // What is not there is not counted by its name: anybody can think of more.
      const route = status === UNKNOWN ? 'not found' : routeOf(event.path)
      requestSeconds.observe({ method: event.method, route, status }, (performance.now() - began) / 1000)
    })
  })
})
