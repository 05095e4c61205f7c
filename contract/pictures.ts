import { mixed, number, object, string, tuple } from 'yup'
import type { CouponDocument } from '../core/coupon'
import {
  cornersTrouble,
  LEAST_ACROSS_MM,
  MOST_ACROSS_MM,
  MOST_KEPT_BYTES,
  PICTURE_SIDES,
  PICTURE_STATES,
  QUARTERS,
  type Corners,
  type PictureShows,
  type Quarter,
} from '../core/picture'
import { PICTURE_PX } from '../core/house'
import { across, millimetres, oneOf, uuid } from './fields'

/** The body of `PUT /api/pictures/:id`: the picture whole, and what it shows. */
export interface PictureSave extends PictureShows {
  readonly couponId: string
  readonly studentId: string
  readonly widthPx: number
  readonly heightPx: number
  /** A JPEG that holds nothing but the picture, as base64. */
  readonly data: string
}

/** A picture without its bytes. */
export interface CouponPicture extends Omit<PictureSave, 'data'> {
  readonly id: string
  /** ISO 8601. */
  readonly takenAt: string
  readonly by: string
}

/** The answer of `GET /api/pictures/:id`. */
export interface PictureBytes {
  /** JPEG, as base64. */
  readonly data: string
}

/** A picture of a coupon whose beads were gauged, with its reading: `GET /api/pictures/gauged`. */
export interface GaugedPicture {
  readonly picture: CouponPicture
  readonly document: CouponDocument
}

/** Bytes of the longest body: the picture as base64, and what it shows. */
export const PICTURE_BYTES = Math.ceil(MOST_KEPT_BYTES / 3) * 4 + 4096

const isBase64 = (text: string | undefined) => !!text && text.length % 4 === 0 && /^[A-Za-z0-9+/]*={0,2}$/.test(text)

const pixels = (what: string) =>
  number()
    .strict()
    .required('${path} is missing')
    .integer(`\${path} is a whole number of pixels`)
    .min(1, `The ${what} of a picture is 1 pixel or more`)
    .max(PICTURE_PX.most, `The ${what} of a picture is at most ${PICTURE_PX.most} pixels`)

const coordinate = () => number().strict().required('${path} is missing')
const point = () => object({ x: coordinate(), y: coordinate() }).exact()

const lies = object({
  corners: tuple([point(), point(), point(), point()]).required('${path} are four'),
  acrossMm: millimetres()
    .required('${path} is missing')
    .min(LEAST_ACROSS_MM, `\${path} is at least ${LEAST_ACROSS_MM} mm`)
    .max(MOST_ACROSS_MM, `\${path} is at most ${MOST_ACROSS_MM} mm`),
  quarter: mixed<Quarter>()
    .nullable()
    .defined('${path} is missing: null where it is of a plate')
    .oneOf([...QUARTERS, null], '${path} is 0, 1, 2 or 3'),
})
  .exact()
  .nullable()
  .defined('${path} is missing: null until the corners were set')

export const pictureSchema = across(
  object({
    couponId: uuid().required('${path} is missing'),
    studentId: uuid().required('${path} is missing'),
    side: oneOf(PICTURE_SIDES, 'a side'),
    state: oneOf(PICTURE_STATES, 'a state'),
    widthPx: pixels('width'),
    heightPx: pixels('height'),
    lies,
    data: string()
      .strict()
      .required('${path} is missing')
      .test('base64', '${path} is a JPEG picture as base64', isBase64),
  }).exact(),
  ({ lies: at, widthPx, heightPx }) => {
    const trouble = at ? cornersTrouble(at.corners as Corners, { widthPx, heightPx }) : null
    return trouble ? { path: 'lies.corners', message: trouble } : null
  },
)
