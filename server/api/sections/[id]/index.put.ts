import { sectionSchema } from '../../../../contract/people'
import { lead } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { mustFitClassDay } from '../../../http/mustFitClassDay'
import { nameTaken } from '../../../http/nameTaken'
import { notFound } from '../../../http/refuse'
import { changeSection } from '../../../store/sections'

/** Changes a section, its meetings and its term. */
export default defineRoute(
  { who: lead, did: 'changed a section', id: 'section', takes: sectionSchema },
  async ({ id, body: fields }) => {
    await mustFitClassDay(fields)
    if (!(await nameTaken(changeSection(id, fields), 'name', 'There is a section of this name already')))
      throw notFound('section')
    return { id, ...fields }
  },
)
