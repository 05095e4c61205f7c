import { describe, expect, it } from 'vitest'
import { besideOf, tellingOf, type PictureShows, type Quarter } from './couponPicture'

const at = (quarter: Quarter | null) => ({
  corners: [
    { x: 0, y: 0 },
    { x: 9, y: 0 },
    { x: 9, y: 9 },
    { x: 0, y: 9 },
  ] as const,
  acrossMm: 100,
  quarter,
})
const picture = (
  side: PictureShows['side'],
  state: PictureShows['state'],
  lies: PictureShows['lies'] = at(null),
): PictureShows => ({ side, state, lies })
const [on, off, rootOn, rootOff] = [
  picture('face', 'slag on'),
  picture('face', 'slag off'),
  picture('root', 'slag on'),
  picture('root', 'slag off'),
]

describe('the picture beside another', () => {
  it('is of the same side, before it was chipped or after', () => {
    expect(besideOf([on, off, rootOn, rootOff], off)).toBe(on)
    expect(besideOf([on, off, rootOn, rootOff], on)).toBe(off)
    expect(besideOf([on, off, rootOn, rootOff], rootOff)).toBe(rootOn)
    expect(besideOf([off, rootOn], off)).toBeNull()
  })
  it('is the last of several, of the same quarter of a pipe, and one whose corners were set', () => {
    const again = picture('face', 'slag on')
    expect(besideOf([on, again, off], off)).toBe(again)
    expect(besideOf([picture('face', 'slag on', null), off], off)).toBeNull()
    const third = picture('face', 'slag on', at(2))
    expect(besideOf([picture('face', 'slag on', at(1)), third, on], picture('face', 'slag off', at(2)))).toBe(third)
  })
})

describe('the picture that says most', () => {
  it('is the chipped face, the last one taken', () => {
    const later = picture('face', 'slag off')
    expect(tellingOf([on, off, rootOff])).toBe(off)
    expect(tellingOf([off, later, on, rootOff])).toBe(later)
  })
  it('is a face with its slag on before a root side, and none whose corners were not set', () => {
    expect(tellingOf([rootOff, on])).toBe(on)
    expect(tellingOf([rootOn, rootOff])).toBe(rootOff)
    expect(tellingOf([picture('face', 'slag off', null)])).toBeNull()
    expect(tellingOf([])).toBeNull()
  })
})
