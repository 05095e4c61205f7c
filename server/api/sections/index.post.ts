import { sectionSchema } from '../../../contract/people'
import { lead } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { mustFitClassDay } from '../../http/mustFitClassDay'
import { nameTaken } from '../../http/nameTaken'
import { addSection } from '../../store/sections'

/** A new section, with its meetings and term. */
export default defineRoute(
  { who: lead, did: 'made a section', takes: sectionSchema, makes: true },
  async ({ body: fields }) => {
    await mustFitClassDay(fields)
    const section = await nameTaken(addSection(fields), 'name', 'There is a section of this name already')
    return section
  },
)
