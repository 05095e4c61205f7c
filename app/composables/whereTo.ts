/** Where a person was going before the door, by the address they stand at; only ever a page of our own. */
export const whereTo = ({ to }: Readonly<Record<string, unknown>>): string =>
  typeof to === 'string' && /^\/(?![/\\])/.test(to) ? to : '/'
