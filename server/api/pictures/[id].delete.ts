import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { erasePicture } from '../../store/pictures'

/** Erases a picture for good; one that is gone already is gone. */
export default defineRoute({ who: staff, did: 'erased a picture', id: 'picture' }, async ({ id }) => {
  await erasePicture(id)
})
