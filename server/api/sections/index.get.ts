import { defineEventHandler } from 'h3'
import { requireStaff } from '../../http/access'
import { listSections } from '../../store/sections'

export default defineEventHandler(async event => {
  await requireStaff(event)
  return listSections()
})
