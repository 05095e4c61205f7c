import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { notFound } from '../../../http/refuse'
import { floorBooths } from '../../../store/floorBooths'

/** How a class stands in its booths: who is here, what they ran today, and what is out of service. */
export default defineRoute({ who: staff, id: 'section' }, async ({ id }) => {
  const booths = await floorBooths(id, new Date())
  if (!booths) throw notFound('section')
  return booths
})
