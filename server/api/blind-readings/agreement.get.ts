import { defineEventHandler } from 'h3'
import { requireStaff } from '../../http/access'
import { readersAgreement } from '../../store/blindReadings'

/** How the school's instructors agree with one another. */
export default defineEventHandler(async event => {
  const me = await requireStaff(event)
  return readersAgreement(me.id)
})
