import { shallowReactive } from 'vue'

/** Whether the server answers. */
interface Reach {
  /** Since when it does not, ISO 8601; null while it does. */
  away: string | null
  /** Of what is shown from before, the oldest was said then. */
  knownAt: string | null
}

export const reach: Reach = shallowReactive<Reach>({ away: null, knownAt: null })

export function noteAnswered(): void {
  reach.away = null
  reach.knownAt = null
}
export function noteAway(now: Date): void {
  reach.away ??= now.toISOString()
}
export function noteShown(at: string): void {
  if (reach.knownAt === null || at < reach.knownAt) reach.knownAt = at
}
