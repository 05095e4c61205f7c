import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { listSections } from '../../store/sections'

/** The sections that the account teaches; a lead sees all. */
export default defineRoute({ who: staff }, ({ me }) => {
  return listSections(me.sectionIds)
})
