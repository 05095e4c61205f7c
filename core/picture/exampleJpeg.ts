/** A grey JPEG for tests and demonstrations, of few bytes at any size: eight by eight blocks that all say the same. */
const join = (...parts: readonly (string | readonly number[] | Uint8Array)[]): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(
    parts.flatMap(part => (typeof part === 'string' ? [...part].map(one => one.charCodeAt(0)) : [...part])),
  )

const short = (value: number): number[] => [value >> 8, value & 255]

/** A part of a JPEG: its marker, its length, what it holds. */
const part = (marker: number, ...held: readonly (string | readonly number[])[]): Uint8Array => {
  const body = join(...held)
  return join([0xff, marker], short(body.length + 2), body)
}

/**
 * A whole JPEG of one grey.
 * @param width px; @param height px
 */
export function aJpeg(width: number, height: number): Uint8Array<ArrayBuffer> {
  const blocks = Math.ceil(width / 8) * Math.ceil(height / 8)
  // One code for no difference of the mean, and one for the end of a block: a nought each.
  const bits = Math.ceil((2 * blocks) / 8)
  const table = (of: number) => part(0xc4, [of, 1, ...Array<number>(15).fill(0), 0])
  return join(
    [0xff, 0xd8],
    part(0xe0, 'JFIF\0', [1, 1, 0], short(1), short(1), [0, 0]),
    part(0xdb, [0, ...Array<number>(64).fill(16)]),
    part(0xc0, [8], short(height), short(width), [1, 1, 0x11, 0]),
    table(0x00),
    table(0x10),
    part(0xda, [1, 1, 0, 0, 63, 0]),
    new Uint8Array(bits),
    [0xff, 0xd9],
  )
}

/** A JPEG as a phone writes it: with EXIF that says where and with what it was taken, a comment and a thumbnail. */
export const withPlace = (jpeg: Uint8Array): Uint8Array<ArrayBuffer> =>
  join(
    jpeg.subarray(0, 2),
    part(0xe1, 'Exif\0\0', 'MM', [0, 42, 0, 0, 0, 8], 'GPSLatitude 47 N, a made-up phone'),
    part(0xed, 'a thumbnail'),
    part(0xfe, 'taken in booth 4'),
    jpeg.subarray(2),
  )
