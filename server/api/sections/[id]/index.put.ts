import { defineEventHandler } from 'h3'
import { sectionSchema, type SectionFields } from '../../../../contract/people'
import { idIn, requireLead } from '../../../http/access'
import { nameTaken } from '../../../http/nameTaken'
import { readAs } from '../../../http/readAs'
import { notFound } from '../../../http/refuse'
import { changeSection } from '../../../store/sections'

export default defineEventHandler(async event => {
  await requireLead(event)
  const id = idIn(event, 'section')
  const fields = await readAs<SectionFields>(event, sectionSchema)
  if (!(await nameTaken(changeSection(id, fields), 'name', 'There is a section of this name already')))
    throw notFound('section')
  return { id, ...fields }
})
