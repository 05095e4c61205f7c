import { defineEventHandler, setResponseHeader } from 'h3'

/** What a route answers belongs to a person: no proxy and no browser keeps it. */
export default defineEventHandler(event => {
  if (event.path.startsWith('/api/')) setResponseHeader(event, 'cache-control', 'no-store')
})
