import { rosterImportSchema } from '../../../contract/people'
import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { DOCUMENT_BYTES } from '../../http/readAs'
import { requireSection } from '../../http/requireSection'
import { importRoster } from '../../store/students'

/** A roster read from a file: all on it go in, or none. */
export default defineRoute(
  { who: staff, did: 'imported a roster', takes: rosterImportSchema, mostBytes: DOCUMENT_BYTES, makes: true },
  async ({ body: roster }) => {
    await requireSection(roster.sectionId)
    return importRoster(roster)
  },
)
