/**
 * A coupon's picture under its drawing: what a file must be, where the coupon lies on it, and the picture laid out to
 * the scale of the strip.
 */
export * from './plane'
export * from './homography'
export * from './couponPicture'
export * from './layPicture'
export * from './beadEdges'
export * from './bareBead'
export * from './jpegParts'
export * from './pictureFile'
export * from './scaleCard'
export * from './widthsHeld'
