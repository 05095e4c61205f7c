import { describe, expect, it } from 'vitest'
import { aJpeg, withPlace } from './exampleJpeg'
import { pictureAlone, saysMore } from './jpegParts'
import { imageHead, MOST_FILE_BYTES } from './pictureFile'

const bytes = (...parts: (string | readonly number[] | Uint8Array)[]) =>
  Uint8Array.from(
    parts.flatMap(part => (typeof part === 'string' ? [...part].map(one => one.charCodeAt(0)) : [...part])),
  )
const big = (value: number) => [value >>> 24, (value >>> 16) & 255, (value >>> 8) & 255, value & 255]
const png = (width: number, height: number) =>
  bytes([0x89], 'PNG\r\n', [0x1a, 0x0a], big(13), 'IHDR', big(width), big(height), [8, 2, 0, 0, 0], big(0))

describe('a JPEG, part by part', () => {
  it('with EXIF, a place, a comment and bytes after its end says more than the picture', () => {
    const clean = aJpeg(640, 480)
    expect(saysMore(clean)).toBe(false)
    const told = withPlace(clean)
    expect(saysMore(told)).toBe(true)
    expect(new TextDecoder('latin1').decode(told)).toContain('GPS')
    expect(saysMore(bytes(clean, 'a film'))).toBe(true)
  })

  it('is left as it was without them, to the byte, and a second time', () => {
    const clean = aJpeg(640, 480)
    for (const told of [withPlace(clean), bytes(withPlace(clean), 'a film of the shop')])
      expect([...pictureAlone(told)]).toEqual([...clean])
    expect([...pictureAlone(clean)]).toEqual([...clean])
  })

  it('keeps what says how its colours are kept', () => {
    const adobe = bytes([0xff, 0xee, 0, 14], 'Adobe', [0, 100, 0, 0, 0, 0, 1])
    const clean = aJpeg(640, 480)
    const coloured = bytes(clean.subarray(0, 2), adobe, clean.subarray(2))
    expect([...pictureAlone(coloured)]).toEqual([...coloured])
  })

  it.each([
    ['no JPEG', bytes('hello, this is a text')],
    ['nothing', new Uint8Array()],
    ['one that is cut off before its data', aJpeg(640, 480).subarray(0, 40)],
    ['one without an end', aJpeg(640, 480).slice(0, -2)],
    ['a part that is longer than the file', bytes([0xff, 0xd8, 0xff, 0xe0, 0xff, 0xff, 0, 0])],
    ['a broken part', bytes([0xff, 0xd8, 0x12, 0xe0, 0, 4, 0, 0])],
  ])('is refused where it is %s', (_, file) => {
    expect(() => pictureAlone(file)).toThrow(RangeError)
    expect(() => saysMore(file)).toThrow(RangeError)
  })
})

describe('a file for a picture', () => {
  it('is known by its first bytes, whatever its name says', () => {
    expect(imageHead(aJpeg(4000, 3000))).toEqual({ type: 'jpg', widthPx: 4000, heightPx: 3000 })
    expect(imageHead(png(1200, 900))).toEqual({ type: 'png', widthPx: 1200, heightPx: 900 })
  })
  it.each([
    ['HEIC', bytes(big(24), 'ftypheic', big(0), 'mif1heic'), 'Set the camera to JPEG'],
    ['a text', bytes('Roster of the evening section'), 'not a picture'],
    ['empty', new Uint8Array(), 'not a picture'],
    ['a GIF', bytes('GIF89a', [0, 4, 0, 4, 0, 0, 0]), 'That kind of picture'],
    ['a drawing', bytes('<svg xmlns="http://www.w3.org/2000/svg" width="900" height="900"></svg>'), 'That kind'],
    ['200 megapixels', png(16320, 12240), '200 megapixels. At most 64'],
    ['a bomb', png(60000, 60000), '3600 megapixels'],
    ['a stamp', png(900, 120), '900 by 120 pixels: too small'],
  ])('%s is refused in words', (_, file, says) => {
    expect(() => imageHead(file)).toThrow(says)
  })
  it('of more than 40 MB is refused before it is looked at', () => {
    expect(() => imageHead(new Uint8Array(MOST_FILE_BYTES + 1))).toThrow('At most 40 MB')
  })
})
