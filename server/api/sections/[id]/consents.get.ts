import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { listConsents } from '../../../store/guardianConsent'

/** Which of a section's students are under age, and who has agreed to the record. */
export default defineRoute({ who: staff, id: 'section' }, ({ id }) => listConsents(id))
