const UUID = /[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}/gi

/**
 * A path as it is counted and logged: without ids and without what was asked, so that nobody is named by it.
 * @example routeOf('/api/students/01a2…/record?x=1') // '/api/students/[id]/record'
 */
export function routeOf(path: string): string {
  const bare = path.split('?')[0]!
  return bare.startsWith('/api/') ? bare.replace(UUID, '[id]').slice(0, 80) : 'a page or file'
}
