import { imageHead, MOST_KEPT_BYTES, MOST_PICTURES, saysMore } from '../../../core/picture'
import { PICTURE_BYTES, pictureSchema, type PictureSave } from '../../../contract/pictures'
import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { doneAt } from '../../http/doneAt'
import { wrongField } from '../../http/refuse'
import { keepPicture, type PictureKept } from '../../store/pictures'

const REFUSED: Readonly<Record<Exclude<PictureKept, 'kept'>, readonly [path: string, says: string]>> = {
  'no such student': ['studentId', 'There is no such student'],
  'coupon of another': ['couponId', 'That coupon is another student’s'],
  'another picture': ['data', 'A picture that is kept is not changed: erase it, and take another'],
  'too many': ['couponId', `A coupon has at most ${MOST_PICTURES} pictures: erase one first`],
}

/** What the bytes are is looked at here, not believed: a JPEG of that size, and nothing in it but the picture. */
function mustBePicture({ data, widthPx, heightPx }: PictureSave): void {
  const bytes = Buffer.from(data, 'base64')
  if (bytes.length > MOST_KEPT_BYTES) throw wrongField('data', 'A picture that is kept has at most 3 MB')
  let head: ReturnType<typeof imageHead>
  let more: boolean
  try {
    head = imageHead(bytes)
    more = head.type === 'jpg' && saysMore(bytes)
  } catch (error) {
    throw wrongField('data', (error as Error).message.replace(/\.$/, ''))
  }
  if (head.type !== 'jpg') throw wrongField('data', 'A picture is kept as JPEG')
  if (more)
    throw wrongField('data', 'The file still says where or with what it was taken: only the picture itself is kept')
  if (head.widthPx !== widthPx || head.heightPx !== heightPx)
    throw wrongField('widthPx', `The picture is ${head.widthPx} by ${head.heightPx} pixels`)
}

/** Keeps a coupon's picture, or where the coupon lies on it; the coupon itself may come later. */
export default defineRoute(
  {
    who: staff,
    did: 'kept a picture',
    newId: 'picture',
    takes: pictureSchema,
    mostBytes: PICTURE_BYTES,
    longer: { data: PICTURE_BYTES },
  },
  async ({ me, id, body, event }) => {
    const save = body as PictureSave
    mustBePicture(save)
    const now = doneAt(event)
    const kept = await keepPicture(id, save, { name: me.name, now })
    if (kept !== 'kept') throw wrongField(...REFUSED[kept])
  },
)
