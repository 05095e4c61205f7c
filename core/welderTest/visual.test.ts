import { describe, expect, it } from 'vitest'
import type { CouponDocument } from '../coupon'
import { aFlaw } from '../coupon/example'
import { setForVisual } from '../criteria'
import { DEFAULT_HOUSE_RULES as rules } from '../house'
import { testPieceOf } from '../qualification'
import { couponOf, NOBODY, sidePassed, visualOf, visualSigned } from '.'

const set = setForVisual('d1.1 welder', [])!
const open = couponOf(testPieceOf('open-root-3g'), NOBODY, rules)
const root = open.beads.find(bead => bead.face === 'root')!
const cap = open.beads.filter(bead => bead.face !== 'root').at(-1)!
const cracked = (...beadIds: string[]): CouponDocument => ({
  ...open,
  marks: [
    ...open.marks,
    ...beadIds.map((beadId, n) => aFlaw({ id: `crack-${n}`, flaw: 'crack', side: null, beadId, atMm: 30, toMm: 60 })),
  ],
})
const seen = { by: 'TK', at: '2026-11-20T18:40:00.000Z', why: '' }

describe('where a visual fails', () => {
  it.each([
    ['nowhere', [], []],
    ['on the face', [cap.id], ['face']],
    ['at the root', [root.id], ['root']],
    ['on both', [root.id, cap.id], ['face', 'root']],
  ] as const)('%s', (_, beadIds, sides) => {
    const said = visualOf(cracked(...beadIds), set, 'in')
    expect(said.failedOn).toEqual(sides)
    const visual = visualSigned({ ...seen, outcome: said.computed }, said)
    expect((['face', 'root'] as const).filter(side => !sidePassed(visual, side))).toEqual(sides)
  })
  it('is not known while nobody has looked, nor where a person failed it without a line of the criteria', () => {
    expect(sidePassed(null, 'face')).toBeNull()
    const byHand = visualSigned({ ...seen, outcome: 'fails', why: 'burnt' }, visualOf(open, set, 'in'))
    expect(byHand).not.toHaveProperty('failedOn')
    expect([sidePassed(byHand, 'face'), sidePassed(byHand, 'root')]).toEqual([null, null])
  })
  it('is nowhere where a person accepted what the criteria reject', () => {
    const accepted = visualSigned({ ...seen, outcome: 'passes', why: 'scratch' }, visualOf(cracked(root.id), set, 'in'))
    expect(accepted).toMatchObject({ computed: 'fails', outcome: 'passes', failed: [] })
    expect([sidePassed(accepted, 'face'), sidePassed(accepted, 'root')]).toEqual([true, true])
  })
})
