import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { listSections } from '../../store/sections'

export default defineRoute({ who: staff }, ({ me }) => {
  return listSections(me.sectionIds)
})
