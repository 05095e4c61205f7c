import { defineEventHandler } from 'h3'
import { idIn, requireStaff } from '../../../http/access'
import { notFound } from '../../../http/refuse'
import { findTest } from '../../../store/welderTests'

/** A test, whole. */
export default defineEventHandler(async event => {
  await requireStaff(event)
  const test = await findTest(idIn(event, 'test'))
  if (!test) throw notFound('test')
  return test
})
