import { getRouterParam, type H3Event } from 'h3'
import { addLookToTrail, addToTrail, type Doer } from '../store/trail'
import { isUuid } from './isUuid'
import { log } from './log'

/** Who a request comes from, by its session. */
export async function doerOf(event: H3Event): Promise<Doer> {
  const { user, kiosk } = await getUserSession(event)
  return {
    accountId: user?.id ?? null,
    studentReaderId: kiosk?.student?.id ?? null,
    tabletId: kiosk?.tabletId ?? null,
  }
}

const isNobody = (doer: Doer) => Object.values(doer).every(one => one === null)

/** Documents and forms that name the student they are about. */
function studentIn(part: unknown): string | null {
  const { studentId, document } = (part ?? {}) as { studentId?: unknown; document?: { studentId?: unknown } }
  const named = document?.studentId ?? studentId
  return typeof named === 'string' && isUuid(named) ? named : null
}

/**
 * Adds what a route did to the trail.
 * @param before who asked before it was done; a sign-in is by whom it let in
 */
export async function keepTrail(
  event: H3Event,
  did: string,
  { before, body, answer }: { readonly before: Doer; readonly body: unknown; readonly answer: unknown },
): Promise<void> {
  const id = getRouterParam(event, 'id') ?? ''
  const subjectId = isUuid(id) ? id : null
  const doer = isNobody(before) ? await doerOf(event) : before
  log.info(
    { requestId: event.context.requestId, account: doer.accountId, tablet: doer.tabletId, subject: subjectId },
    did,
  )
  const ofStudent = event.path.startsWith('/api/students/') ? subjectId : null
  const deed = { ...doer, did, subjectId, studentId: ofStudent ?? studentIn(body) ?? studentIn(answer), at: new Date() }
  // It is done: that its line cannot be written is the school's to know of, and no reason to say that it was not.
  await addToTrail(deed).catch((error: unknown) =>
    log.error({ requestId: event.context.requestId, did, subject: subjectId, err: error }, 'no line in the trail'),
  )
}

/** What a look at any part of a student's record is called in the trail. */
const LOOKED = 'looked into the record'

/** Notes that one of the staff looks into a student's record: once in a while, not for each of its parts. */
export async function keepLook(event: H3Event, studentId: string): Promise<void> {
  const { accountId } = await doerOf(event)
  if (!accountId) return
  await addLookToTrail({ accountId, studentId, did: LOOKED, at: new Date() }).catch((error: unknown) =>
    log.error(
      { requestId: event.context.requestId, did: LOOKED, subject: studentId, err: error },
      'no line in the trail',
    ),
  )
}
