import {
  defineEventHandler,
  getRouterParam,
  sendNoContent,
  setResponseHeader,
  setResponseStatus,
  type H3Event,
} from 'h3'
import type { ISchema, Schema } from 'yup'
import { DONE_MARK } from '../../contract/marks'
import { isUuid } from './isUuid'
import { doerOf, keepTrail } from './keepTrail'
import { inAddress, inBody, mustTeach } from './mustTeach'
import { FORM_BYTES, readAs } from './readAs'
import { notFound, wrongField } from './refuse'

/** Finds who asks, or refuses them; the id is that in the address, as it was sent. */
export type Admits<Who> = (event: H3Event, id: string) => Who | Promise<Who>

/** What a route says of itself. */
interface RouteTerms<Who, Body> {
  /** Who may ask. */
  readonly who: Admits<Who>
  /** What the id in the address is of, as a person says it: one that cannot be is no such thing (404). */
  readonly id?: string
  /** What is kept under an id that the client made: one that cannot be is a wrong field (422). */
  readonly newId?: string
  /** What the body is held against. */
  readonly takes?: ISchema<Body>
  /** Bytes that the body may have; a form's otherwise. */
  readonly mostBytes?: number
  /** Fields of the body that hold more characters than others may: by their paths, how many. */
  readonly longer?: Readonly<Record<string, number>>
  /** It makes something new: 201. */
  readonly makes?: true
  /** What the trail says that was done: `saved a coupon`; left out where nothing is to be remembered. */
  readonly did?: string
}

/** What the work of a route is given. */
interface Asked<Who, Body> {
  readonly event: H3Event
  readonly me: Who
  /** The id in the address; empty where the route has none. */
  readonly id: string
  readonly body: Body
}

/**
 * A route of the server: who may, what it takes, and what is done. In this order it refuses a person who may not (401,
 * 403), an id that cannot be (404, 422) and a body that is not as it should be (413, 415, 400, 422); what the work
 * leaves undefined is answered with 204. What is of a section that an instructor does not teach is refused as well.
 * @example defineRoute({ who: staff, id: 'student', takes: studentSchema }, ({ id, body }) => changeStudent(id, body))
 */
export function defineRoute<Who, Answer, Body = undefined>(
  terms: RouteTerms<Who, Body>,
  work: (asked: Asked<Who, Body>) => Answer | Promise<Answer>,
) {
  return defineEventHandler(async event => {
    const id = getRouterParam(event, 'id') ?? ''
    const me = await terms.who(event, id)
    if (terms.id && !isUuid(id)) throw notFound(terms.id)
    if (terms.newId && !isUuid(id)) throw wrongField('id', `The id of a ${terms.newId} is a UUID`)
    await mustTeach(event, inAddress(terms.id ?? terms.newId ?? '', id))
    const body = terms.takes
      ? await readAs<Body>(event, terms.takes as Schema, {
          mostBytes: terms.mostBytes ?? FORM_BYTES,
          longer: terms.longer,
        })
      : undefined
    await mustTeach(event, inBody(body))
    const before = terms.did ? await doerOf(event) : null
    const answer = await work({ event, me, id, body: body as Body })
    if (id && !event.handled) setResponseHeader(event, DONE_MARK, id)
    if (terms.did && before) await keepTrail(event, terms.did, { before, body, answer })
    // A stream of events has answered by itself.
    if (answer === undefined) return event.handled ? undefined : sendNoContent(event)
    if (terms.makes) setResponseStatus(event, 201)
    return answer
  })
}
