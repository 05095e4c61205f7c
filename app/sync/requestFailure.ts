import type { FieldError } from '../../contract/problem'

/** A request that was refused or never arrived, in words for the person at the screen. */
export class RequestFailure extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly fields: readonly FieldError[] = [],
    readonly body: unknown = null,
  ) {
    super(message)
  }

  /** True when the server was not reached or could not work; the same request may succeed later. */
  get away(): boolean {
    return this.status === 0 || this.status >= 500
  }

  /** True when the server itself was not reached: no answer, a proxy that says so, or a database that is away. */
  get outOfReach(): boolean {
    return this.status === 0 || (this.status >= 502 && this.status <= 504)
  }

  /** What is wrong with a field, by the end of its path. */
  field(name: string): string | undefined {
    return this.fields.find(error => error.path === name || error.path.endsWith(`.${name}`))?.message
  }
}
