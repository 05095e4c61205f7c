import { defineEventHandler } from 'h3'
import { idIn, requireStaff } from '../../../http/access'
import { boardOf } from '../../../store/progress'

/** The active students of a section against the rungs of the ladder. */
export default defineEventHandler(async event => {
  await requireStaff(event)
  return boardOf(idIn(event, 'section'))
})
