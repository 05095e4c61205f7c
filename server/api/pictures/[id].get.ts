import type { PictureBytes } from '../../../contract/pictures'
import { lookerInto, signedIn } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { found, refuse } from '../../http/refuse'
import { findPicture } from '../../store/pictures'

/** A coupon's picture. */
export default defineRoute({ who: signedIn, id: 'picture' }, async ({ event, id }): Promise<PictureBytes> => {
  const { studentId, bytes } = found(await findPicture(id), 'picture')
  await lookerInto(event, studentId)
  if (!bytes) throw refuse(410, 'Gone', 'The file of this picture is lost. A backup may still hold it.')
  return { data: bytes.toString('base64') }
})
