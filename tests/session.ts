/** A signed-in visitor for tests: keeps its cookie, sends the origin a browser would. */
export const ADDRESS = process.env.FUSILIS_URL ?? ''

export interface Answer<T = Record<string, unknown>> {
  readonly status: number
  readonly type: string
  readonly body: T
}

export class Visitor {
  private readonly jar = new Map<string, string>()

  /** @param address the server that is asked: one of several over the same database */
  constructor(public address = ADDRESS) {}

  /** The cookies that it was given. */
  get cookies(): { name: string; value: string }[] {
    return [...this.jar].map(([name, value]) => ({ name, value }))
  }

  /** What a browser would send with every request. */
  get headers(): Record<string, string> {
    return {
      origin: this.address,
      ...(this.jar.size > 0 ? { cookie: [...this.jar].map(([name, value]) => `${name}=${value}`).join('; ') } : {}),
    }
  }

  async ask<T = Record<string, unknown>>(
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<Answer<T>> {
    const response = await fetch(`${this.address}${path}`, {
      method,
      headers: {
        ...this.headers,
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
        ...headers,
      },
      body: body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body),
    })
    for (const set of response.headers.getSetCookie()) {
      const [, name, value] = /^([^=]+)=([^;]*)/.exec(set)!
      this.jar.set(name!, value!)
    }
    const text = await response.text()
    const type = response.headers.get('content-type') ?? ''
    return { status: response.status, type, body: (type.includes('json') && text ? JSON.parse(text) : text) as T }
  }

  /** Comes with the session of another visitor: the same browser at another server. */
  takeCookie(of: Visitor): void {
    for (const [name, value] of of.jar) this.jar.set(name, value)
  }

  async signIn(username: string, password = PASSWORD): Promise<this> {
    const { status } = await this.ask('POST', '/api/session', { username, password })
    if (status !== 200) throw new Error(`${username} could not sign in: ${status}`)
    return this
  }

  /** Comes in for the first time by the password that a lead gave, and chooses an own one. */
  async takeUp(username: string): Promise<this> {
    await this.signIn(username, GIVEN)
    const { status } = await this.ask('PUT', '/api/session/password', { current: GIVEN, next: PASSWORD })
    if (status !== 204) throw new Error(`${username} could not choose a password: ${status}`)
    return this
  }
}

export const PASSWORD = 'a long enough secret'
/** What a lead gives with a new account. */
export const GIVEN = 'given over the counter'
