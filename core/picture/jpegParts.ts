/** Markers of a JPEG stream. Source: ITU-T T.81, table B.1. */
const START = 0xd8
const END = 0xd9
const SCAN = 0xda
const APP0 = 0xe0
const APP14 = 0xee
const APP15 = 0xef
const COMMENT = 0xfe

/** APP0 (JFIF) and APP14 say how colours are kept; every other one may say where, when and with what it was taken. */
const tells = (marker: number) => marker === COMMENT || (marker > APP0 && marker <= APP15 && marker !== APP14)

interface Part {
  readonly marker: number
  readonly from: number
  readonly to: number
}

/** The parts before the picture's own data, and where that begins. @throws RangeError for what is no whole JPEG */
function partsOf(bytes: Uint8Array): { parts: Part[]; scanFrom: number } {
  if (bytes[0] !== 0xff || bytes[1] !== START) throw new RangeError('This is not a JPEG picture')
  const parts: Part[] = []
  let at = 2
  while (at + 4 <= bytes.length) {
    if (bytes[at] !== 0xff) throw new RangeError('This JPEG picture is broken')
    const marker = bytes[at + 1]!
    if (marker === 0xff) {
      at++
      continue
    }
    if (marker === SCAN) return { parts, scanFrom: at }
    const to = at + 2 + bytes[at + 2]! * 256 + bytes[at + 3]!
    parts.push({ marker, from: at, to })
    at = to
  }
  throw new RangeError('This JPEG picture ends before its end')
}

/** Where the picture's data ends: what follows its last end marker is not part of it. */
function endOf(bytes: Uint8Array): number {
  for (let at = bytes.length - 2; at > 0; at--) if (bytes[at] === 0xff && bytes[at + 1] === END) return at + 2
  throw new RangeError('This JPEG picture ends before its end')
}

/**
 * Whether a JPEG holds anything but the picture: EXIF, the place, the camera, a comment, a thumbnail, or bytes after
 * its end.
 * @throws RangeError for what is no whole JPEG
 */
export const saysMore = (bytes: Uint8Array): boolean =>
  partsOf(bytes).parts.some(({ marker }) => tells(marker)) || endOf(bytes) < bytes.length

/**
 * The JPEG without all that is not the picture; its colours are not touched.
 * @throws RangeError for what is no whole JPEG
 */
export function pictureAlone(bytes: Uint8Array): Uint8Array<ArrayBuffer> {
  const { parts, scanFrom } = partsOf(bytes)
  const kept = [
    bytes.subarray(0, 2),
    ...parts.filter(({ marker }) => !tells(marker)).map(({ from, to }) => bytes.subarray(from, to)),
    bytes.subarray(scanFrom, endOf(bytes)),
  ]
  const alone = new Uint8Array(kept.reduce((sum, part) => sum + part.length, 0))
  let at = 0
  for (const part of kept) {
    alone.set(part, at)
    at += part.length
  }
  return alone
}
