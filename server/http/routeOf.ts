import type { H3Event } from 'h3'

/**
 * A request as it is counted and logged: the pattern of the route that answers it, which holds no id and nothing that
 * was asked. There are no more of these than there are routes, for any address that a stranger asks for.
 * @example routeOf(event) // '/api/students/:id/record'
 */
export function routeOf(event: Pick<H3Event, 'context' | 'path'>): string {
  const { matchedRoute } = event.context
  if (matchedRoute?.path.startsWith('/api/')) return matchedRoute.path === '/api/**' ? 'not found' : matchedRoute.path
  return event.path.startsWith('/api/') ? 'refused at the door' : 'a page or file'
}
