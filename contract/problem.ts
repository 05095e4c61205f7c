/** What every refused request answers: RFC 9457 problem details, with the fields that are wrong. */
export interface Problem {
  readonly title: string
  readonly status: number
  readonly detail: string
  readonly errors?: readonly FieldError[]
}

/** One field that is wrong, and what would be right. `path` is dotted: `ticket.currentA`. */
export interface FieldError {
  readonly path: string
  readonly message: string
}
