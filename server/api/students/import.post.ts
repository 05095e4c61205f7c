import { defineEventHandler, setResponseStatus } from 'h3'
import { rosterImportSchema, type RosterImport } from '../../../contract/people'
import { requireStaff } from '../../http/access'
import { DOCUMENT_BYTES, readAs } from '../../http/readAs'
import { requireSection } from '../../http/sectionOf'
import { importRoster } from '../../store/students'

/** A roster read from a file: everybody on it goes in, or nobody. */
export default defineEventHandler(async event => {
  await requireStaff(event)
  const roster = await readAs<RosterImport>(event, rosterImportSchema, DOCUMENT_BYTES)
  await requireSection(roster.sectionId)
  setResponseStatus(event, 201)
  return importRoster(roster)
})
