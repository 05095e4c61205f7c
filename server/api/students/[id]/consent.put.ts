import { consentSchema, type GuardianConsent } from '../../../../contract/guardianConsent'
import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { notFound } from '../../../http/refuse'
import { noteConsent } from '../../../store/guardianConsent'
import { findStudent } from '../../../store/students'

/** Notes that a student is under age, and whether a guardian has agreed. */
export default defineRoute(
  { who: staff, did: 'noted a guardian’s consent', id: 'student', takes: consentSchema },
  async ({ me, id, body: { consent } }) => {
    if (!(await findStudent(id))) throw notFound('student')
    await noteConsent(id, (consent ?? null) as GuardianConsent | null, { id: me.id, now: new Date() })
  },
)
