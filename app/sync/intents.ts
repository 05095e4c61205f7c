/** What a page can mean to save and the server may be too far away to take. */
export type IntentKind =
  | 'coupon'
  | 'welder test'
  | 'blind reading'
  | 'bead answer'
  | 'sign-off'
  | 'ready'
  | 'not ready'
  | 'attendance'
  | 'rods'
  | 'remark'
  | 'demonstration'
  | 'oven reading'
  | 'picture'
  | 'no picture'

interface KindOfIntent {
  readonly path: string
  /** Whether the page that made it holds it still when the server will not take it. */
  readonly pageHolds: boolean
  /** It takes something away that stands there; else it is put there. */
  readonly takesAway?: true
}

/** Where each kind goes, by its id. */
export const INTENT_KINDS: Readonly<Record<IntentKind, KindOfIntent>> = {
  'coupon': { path: '/api/coupons', pageHolds: true },
  'welder test': { path: '/api/tests', pageHolds: false },
  'blind reading': { path: '/api/blind-readings', pageHolds: true },
  'bead answer': { path: '/api/reading-room', pageHolds: true },
  'sign-off': { path: '/api/sign-offs', pageHolds: true },
  'ready': { path: '/api/waiting', pageHolds: true },
  'not ready': { path: '/api/waiting', pageHolds: true, takesAway: true },
  'attendance': { path: '/api/attendance', pageHolds: true },
  'rods': { path: '/api/rod-movements', pageHolds: true },
  'remark': { path: '/api/remarks', pageHolds: true },
  'demonstration': { path: '/api/demonstrations', pageHolds: true },
  'oven reading': { path: '/api/oven-readings', pageHolds: true },
  'picture': { path: '/api/pictures', pageHolds: true },
  'no picture': { path: '/api/pictures', pageHolds: true, takesAway: true },
}

/** One thing that a person meant to save. Sent twice under its id it is saved once. */
export interface Intent<Body = unknown> {
  readonly kind: IntentKind
  /** The id of what is saved, given when it was begun. */
  readonly id: string
  readonly body: Body
  /** Whose work it is, by name, and what it is about: for a person who asks what waits. */
  readonly student: string
  readonly about: string
  /** The account that made it; no other sign-in may send it. */
  readonly owner: string
  /** When it was last changed, ISO 8601. */
  readonly madeAt: string
  /** Counts its changes, so that an answer to an earlier one does not clear a later one. */
  readonly turn: number
  /** Why the server would not take it; null while it was only out of reach. */
  readonly refused: string | null
}

export type MadeIntent<Body = unknown> = Pick<Intent<Body>, 'kind' | 'id' | 'body' | 'student' | 'about'>

export const keyOf = ({ kind, id }: Pick<Intent, 'kind' | 'id'>): string => `${kind} ${id}`

/** What came of sending: the server's answer, what was in the way, or that it waits. */
export type Sent<Answer> =
  | { readonly is: 'saved'; readonly answer: Answer }
  | { readonly is: 'kept here' }
  | { readonly is: 'conflict'; readonly theirs: Answer }
