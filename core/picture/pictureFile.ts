import { imageSize } from 'image-size'

/** Most pixels that are opened: phones take 12 to 50 million; a file of more is a slip or a trap. */
export const MOST_PIXELS = 64_000_000
/** Most bytes of a file that is opened. */
export const MOST_FILE_BYTES = 40 * 1024 * 1024
/** Shorter edge of a picture on which a weld can be read, px. */
export const LEAST_EDGE_PX = 300

/** Most bytes of a picture that is kept. */
export const MOST_KEPT_BYTES = 3 * 1024 * 1024

export interface ImageHead {
  readonly type: 'jpg' | 'png' | 'webp'
  /** As they lie in the file: a camera that was turned says so beside them. px. */
  readonly widthPx: number
  readonly heightPx: number
}

const OPENED: readonly string[] = ['jpg', 'png', 'webp']
/** Files that begin with a box of this name are HEIC pictures and films. */
const BOXED = 'ftyp'

/**
 * What a file is, by its first bytes, before it is opened.
 * @throws RangeError in words for a person: no picture, one of a kind that browsers do not open, one too large
 */
export function imageHead(bytes: Uint8Array): ImageHead {
  if (bytes.length > MOST_FILE_BYTES)
    throw new RangeError(`That file has ${Math.round(bytes.length / 1024 / 1024)} MB. At most 40 MB are opened.`)
  if (String.fromCharCode(...bytes.subarray(4, 8)) === BOXED)
    throw new RangeError(
      'That is a HEIC picture, which browsers do not open. Set the camera to JPEG, and take it again.',
    )
  let size: { width: number; height: number; type?: string }
  try {
    size = imageSize(bytes)
  } catch {
    throw new RangeError('That file is not a picture. Choose a JPEG, PNG or WebP.')
  }
  const { width: widthPx, height: heightPx, type = '' } = size
  if (!OPENED.includes(type)) throw new RangeError('That kind of picture is not taken. Choose a JPEG, PNG or WebP.')
  if (!(widthPx > 0 && heightPx > 0)) throw new RangeError('That picture is empty.')
  if (widthPx * heightPx > MOST_PIXELS)
    throw new RangeError(
      `That picture has ${Math.round((widthPx * heightPx) / 1e6)} megapixels. ` +
        'At most 64 are opened: set the camera smaller.',
    )
  if (Math.min(widthPx, heightPx) < LEAST_EDGE_PX)
    throw new RangeError(
      `That picture is ${widthPx} by ${heightPx} pixels: too small to see a weld. Its shorter edge needs 300.`,
    )
  return { type: type as ImageHead['type'], widthPx, heightPx }
}
