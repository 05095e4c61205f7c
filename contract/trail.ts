/** One line of the trail: who did what, and whose record it touched. */
export interface TrailLine {
  readonly id: number
  /** ISO 8601. */
  readonly at: string
  /** The person, `a tablet`, or `nobody signed in`. */
  readonly who: string
  /** What was done: `saved a coupon`. */
  readonly did: string
  /** Whose record it touched; null where it was no person's. */
  readonly student: { readonly id: string; readonly name: string } | null
}

/** A page of the trail, newest first; `next` asks for the page after it. */
export interface TrailPage {
  readonly lines: readonly TrailLine[]
  readonly next: number | null
}
