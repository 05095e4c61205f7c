import type { LocationQuery } from 'vue-router'

/** Where somebody was going before the door; only ever a page of our own. */
export const whereTo = ({ to }: LocationQuery): string => (typeof to === 'string' && /^\/(?![/\\])/.test(to) ? to : '/')
