import { shallowReactive } from 'vue'

/** Whether the server answers. */
interface Reach {
  /** Since when it does not, ISO 8601; null while it does. */
  away: string | null
  /** Of what is shown from before, the oldest was said then. */
  knownAt: string | null
  /** The server answers, and the sign-in is over: what waits is sent after the next sign-in. */
  signedOut: boolean
}

export const reach: Reach = shallowReactive<Reach>({ away: null, knownAt: null, signedOut: false })

export function noteAnswered(): void {
  reach.away = null
  reach.knownAt = null
}
/** The server answered a person who is signed in, or refused one who is not. */
export function noteSignedIn(is: boolean): void {
  reach.signedOut = !is
}
export function noteAway(now: Date): void {
  reach.away ??= now.toISOString()
}
export function noteShown(at: string): void {
  if (reach.knownAt === null || at < reach.knownAt) reach.knownAt = at
}
