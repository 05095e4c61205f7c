import { cameIn } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { notFound } from '../../http/refuse'
import { endSignIn } from '../../store/signIns'

/** Signs out of one place where one is signed in. */
export default defineRoute({ who: cameIn, id: 'sign-in', did: 'signed out elsewhere' }, async ({ me, id }) => {
  if (!(await endSignIn(me.id, id))) throw notFound('sign-in')
})
