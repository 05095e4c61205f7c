import { defineEventHandler, setResponseStatus } from 'h3'
import { sectionSchema, type SectionFields } from '../../../contract/people'
import { requireLead } from '../../http/access'
import { readAs } from '../../http/readAs'
import { nameTaken } from '../../http/nameTaken'
import { addSection } from '../../store/sections'

export default defineEventHandler(async event => {
  await requireLead(event)
  const fields = await readAs<SectionFields>(event, sectionSchema)
  const section = await nameTaken(addSection(fields), 'name', 'There is a section of this name already')
  setResponseStatus(event, 201)
  return section
})
