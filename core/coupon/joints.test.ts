import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { DEFAULT_HOUSE_RULES } from '../house'
import { PIECES, pipeOf, positionOf, positionsFor, type PieceKind } from '../trade'
import { inches } from '../units'
import { aJoint, aTicket, EXAMPLE_PIPE } from './example'
import {
  addPass,
  degreesAt,
  describeMark,
  describePiece,
  describePlace,
  expectedPasses,
  isLastLayer,
  isTry,
  laneName,
  layOutAgain,
  newFlaw,
  newTry,
  passRemarks,
  placeAlong,
  placeOver,
  putMark,
  gaugeKinds,
  refusals,
  removePass,
  seamLength,
  setDegree,
  showsRoot,
  stripOf,
  travelsForward,
  usualPiece,
  weldedLength,
  type CouponDocument,
  type Pass,
  type Piece,
  type TryMark,
} from '.'

const rules = DEFAULT_HOUSE_RULES
const pipe = aJoint()
const laneOf = (document: CouponDocument, id: string) => document.beads.find(bead => bead.id === id)!
const triesOn = (document: CouponDocument, id: string) =>
  document.marks.filter((mark): mark is TryMark => isTry(mark) && mark.beadId === id)
/** A coupon of every piece in every position it is welded in. */
const everyPiece = PIECES.flatMap(({ kind, work }) =>
  work === 'plate' ? [] : positionsFor(kind).map(position => ({ kind, position })),
)
const made = (kind: PieceKind, position = positionsFor(kind)[0]!, piece: Piece = usualPiece(kind)) =>
  aJoint(piece, { position, travel: positionOf(position).travel[0]! })

describe('the passes a piece is expected to take', () => {
  // Common practice: E6010 root and hot pass, low-hydrogen fill and cap; the hot pass 5 to 10 A over the root.
  it('of an open root begin with a cellulosic root and a hot pass', () => {
    expect(pipe.passes!.map(pass => pass.role)).toEqual(['root', 'hot', 'cap', 'cap'])
    expect(pipe.passes!.map(pass => pass.classification)).toEqual(['E6010', 'E6010', 'E7018', 'E7018'])
    const [root, hot] = pipe.passes!
    expect(hot!.currentA - root!.currentA).toBeGreaterThanOrEqual(5)
    expect(hot!.currentA - root!.currentA).toBeLessThanOrEqual(10)
  })
  // Common practice: 3/8 in 4G with backing, 1/8 in rods: 1 root, 2 fill, 3 cap (5 to 6 accepted for its layers).
  it('of a 3/8 in groove overhead on backing are a root, fill and a cap of more than one', () => {
    const roles = made('plate groove', '4G').passes!.map(pass => pass.role)
    expect(roles[0]).toBe('root')
    expect(roles.filter(role => role === 'cap').length).toBeGreaterThan(1)
    expect(roles).not.toContain('hot')
  })
  it('of a T grow 1, 3, 6 with its leg, lowest bead of a layer first', () => {
    const passes = (leg: number) =>
      aJoint(
        { kind: 'T', lengthMm: inches(6), thicknessMm: inches(1 / 2), gapMm: 0, legMm: inches(leg), sides: 1 },
        { position: '2F' },
      )
    expect(passes(1 / 4).passes!.map(pass => pass.layer)).toEqual([1])
    expect(passes(3 / 8).passes!.map(pass => pass.layer)).toEqual([1, 2, 2])
    const six = passes(1 / 2)
    expect(six.passes!.map(pass => pass.layer)).toEqual([1, 2, 2, 3, 3, 3])
    expect(laneOf(six, 'p2').offsetMm).toBeLessThan(laneOf(six, 'p3').offsetMm)
  })
  it('are laid on both sides where both are welded', () => {
    const both = aJoint({ ...usualPiece('T'), sides: 2 } as Piece, { position: '2F' })
    expect(both.passes!.map(pass => pass.face)).toEqual(['face', 'far side'])
    const doubleV = aJoint(
      {
        kind: 'plate groove',
        lengthMm: inches(7),
        thicknessMm: inches(1),
        groove: {
          shape: 'double V',
          gapMm: inches(1 / 8),
          landMm: inches(1 / 16),
          includedDegrees: 60,
          backing: false,
        },
      },
      { position: '1G' },
    )
    expect(doubleV.passes!.filter(pass => pass.face === 'far side').length).toBe(
      doubleV.passes!.filter(pass => pass.face === 'face').length,
    )
    expect(doubleV.passes!.filter(pass => pass.role === 'root')).toHaveLength(1)
  })
  it('that are more than can be kept are refused, with what to do', () => {
    const thick: Piece = {
      kind: 'plate groove',
      lengthMm: 200,
      thicknessMm: 50,
      groove: { shape: 'V', gapMm: 3, landMm: 1.5, includedDegrees: 60, backing: false },
    }
    expect(() => aJoint(thick, { position: '1G', diameterMm: inches(3 / 32), currentA: 90 })).toThrow(
      /at most 40 are kept: take a bigger rod/,
    )
    let passes = pipe.passes!
    while (passes.length < 40) passes = addPass(passes, 'p3')
    expect(() => addPass(passes, 'p3')).toThrow(/At most 40/)
    const most = layOutAgain(pipe, { passes }, rules)
    expect(most.beads).toHaveLength(81)
    expect(Math.min(...most.beads.map(bead => bead.widthMm))).toBeGreaterThanOrEqual(1.5)
  })
  it('a plate has none', () => expect(expectedPasses(usualPiece('pad'), aTicket(), rules)).toEqual([]))
  it('a pass off its card says so', () => {
    const [root] = pipe.passes!
    const said = (pass: Pass) => passRemarks(pipe, pass, rules).map(remark => remark.text)
    expect(said(root!)).toEqual([])
    expect(passRemarks(pipe, { ...root!, currentA: 110 }, rules)).toEqual([
      { finding: 'current high', text: '25 A over 75–85 A' },
    ])
    expect(said({ ...root!, polarity: 'AC', log: { cleaned: 'not cleaned' } })).toEqual([
      'E6010 runs on DCEP',
      'not cleaned before the next',
    ])
    expect(said({ ...root!, process: 'GTAW', classification: 'ER70S-2', currentA: 60, polarity: 'DCEP' })).toEqual([
      '10 A under 70–120 A',
      'GTAW on steel runs on DCEN',
    ])
  })
  it('can be one more and one less; layers close up', () => {
    const more = addPass(pipe.passes!, 'p1')
    expect(more.map(pass => `${pass.role} ${pass.layer}`)).toEqual(['root 1', 'fill 2', 'hot 3', 'cap 4', 'cap 4'])
    expect(removePass(more, more[1]!.id)).toEqual(pipe.passes)
    expect(addPass(pipe.passes!, 'p4').at(-1)).toMatchObject({ id: 'p5', role: 'cap', layer: 3 })
    expect(() => removePass([pipe.passes![0]!], 'p1')).toThrow(/at least one/)
    expect(() => addPass(pipe.passes!, 'p9')).toThrow(/no pass "p9"/)
  })
})

describe('a fixed pipe, unrolled', () => {
  // ASME B36.10M: NPS 2 is 2.375 in outside.
  it('is as long as it is round', () => expect(stripOf(EXAMPLE_PIPE).lengthMm).toBeCloseTo(Math.PI * inches(2.375), 9))
  it('has two halves, welded up from 6 to 12, tied in at the bottom and at the top', () => {
    const half = seamLength(EXAMPLE_PIPE) / 2
    const [right, left] = [laneOf(pipe, 'p2-right'), laneOf(pipe, 'p2-left')]
    expect([travelsForward(pipe, right), travelsForward(pipe, left)]).toEqual([false, true])
    const places = (id: string) =>
      triesOn(pipe, id)
        .map(mark => `${mark.kind} ${Math.round(degreesAt(mark.atMm, 2 * half))}`)
        .filter(text => !text.startsWith('restart'))
    expect(places('p2-right')).toEqual(['start 180', 'end 0'])
    expect(places('p2-left')).toEqual(['tie-in 180', 'tie-in 360'])
  })
  it('welded down, starts at the top', () => {
    const down = aJoint(EXAMPLE_PIPE, { position: '5G', travel: 'down', diameterMm: inches(3 / 32), currentA: 85 })
    expect(triesOn(down, 'p1-right').find(mark => mark.kind === 'start')!.atMm).toBe(0)
    expect(
      triesOn(down, 'p1-left')
        .filter(mark => mark.kind === 'tie-in')
        .map(mark => mark.atMm),
    ).toEqual([seamLength(EXAMPLE_PIPE), seamLength(EXAMPLE_PIPE) / 2])
  })
  it('upright or rolled it is one lane that ties into its own start', () => {
    const upright = aJoint(EXAMPLE_PIPE, { position: '2G', travel: 'left to right', diameterMm: inches(3 / 32) })
    expect(triesOn(upright, 'p1').map(mark => mark.kind)).toEqual(expect.arrayContaining(['start', 'tie-in']))
    expect(upright.beads.map(bead => bead.id)).toEqual(['root-side', 'p1', 'p2', 'p3', 'p4'])
  })
  it('the cursor goes over 6 into the other half, over 12 round again, and from pass to pass where it is', () => {
    const whole = seamLength(EXAMPLE_PIPE)
    expect(placeAlong(pipe, { beadId: 'p1-right', atMm: whole / 2 - 2 }, 5)).toEqual({
      beadId: 'p1-left',
      atMm: expect.closeTo(whole / 2 + 3, 9) as number,
    })
    expect(placeAlong(pipe, { beadId: 'p1-right', atMm: 2 }, -5)).toEqual({
      beadId: 'p1-left',
      atMm: expect.closeTo(whole - 3, 9) as number,
    })
    expect(placeOver(pipe, { beadId: 'p1-left', atMm: 150 }, 1)).toEqual({ beadId: 'p2-left', atMm: 150 })
    expect(placeOver(pipe, { beadId: 'p1-left', atMm: 150 }, -1)).toEqual({ beadId: 'root-side', atMm: 150 })
    expect(placeOver(pipe, { beadId: 'p4-left', atMm: 150 }, 1)).toEqual({ beadId: 'p4-left', atMm: 150 })
  })
  it('places are said in degrees, by the clock and in inches', () => {
    const quarter = pipeOf('2 Sch 80').outsideMm * Math.PI * (135 / 360)
    expect(describePlace(EXAMPLE_PIPE, quarter, 'in')).toBe('135° (4:30), 2 13/16 in')
    const mark = newTry('m', 'restart', { beadId: 'p2-left', atMm: 2 * quarter }, 'new')
    expect(describeMark(pipe, mark, 'in')).toBe('pass 2, hot, left half, restart at 270° (9), 5 5/8 in: poor')
  })
})

describe('every piece in every position it is welded in', () => {
  it.each(everyPiece)(
    '$kind in $position comes with its tries on its lanes, lanes on the strip, and nothing to refuse',
    ({ kind, position }) => {
      const coupon = made(kind, position)
      const { lengthMm, widthMm } = stripOf(coupon.piece)
      expect(refusals(coupon)).toEqual([])
      for (const bead of coupon.beads) {
        expect(bead.offsetMm - bead.widthMm / 2).toBeGreaterThanOrEqual(0)
        expect(bead.offsetMm + bead.widthMm / 2).toBeLessThanOrEqual(widthMm)
        expect(bead.toMm).toBeLessThanOrEqual(lengthMm + 1e-9)
        const tries = triesOn(coupon, bead.id)
        expect(tries.length).toBe(bead.face === 'root' ? 0 : Math.max(2, tries.length))
        for (const mark of tries) expect(mark.atMm >= bead.fromMm - 1e-9 && mark.atMm <= bead.toMm + 1e-9).toBe(true)
      }
      expect(weldedLength(coupon)).toBeCloseTo(coupon.passes!.length * lengthMm, 6)
      expect(coupon.beads.some(bead => bead.face === 'root')).toBe(showsRoot(coupon.piece))
      expect(new Set(coupon.beads.map(bead => laneName(coupon, bead.id))).size).toBe(coupon.beads.length)
      expect(describePiece(coupon.piece, 'in')).not.toMatch(/undefined|NaN/)
    },
  )
  it('beads of a layer lie side by side across its width, lapped, within the face', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 9, max: 26, noNaN: true }),
        fc.integer({ min: 40, max: 75 }),
        (thicknessMm, includedDegrees) => {
          const coupon = made('plate groove', '1G', {
            kind: 'plate groove',
            lengthMm: 200,
            thicknessMm,
            groove: { shape: 'V', gapMm: 6, landMm: 0, includedDegrees, backing: true },
          })
          const { widthMm, faceMm } = stripOf(coupon.piece)
          const caps = coupon.passes!.filter(pass => pass.role === 'cap').map(pass => laneOf(coupon, pass.id))
          expect(caps[0]!.offsetMm - caps[0]!.widthMm / 2).toBeCloseTo((widthMm - faceMm) / 2, 6)
          expect(caps.at(-1)!.offsetMm + caps.at(-1)!.widthMm / 2).toBeCloseTo((widthMm + faceMm) / 2, 6)
        },
      ),
      { numRuns: 20 },
    )
  })
})

describe('nonsense is refused, with why', () => {
  const why = (piece: Piece, ticket: Parameters<typeof aTicket>[0], passes?: CouponDocument['passes']) =>
    refusals({ piece, ticket: aTicket(ticket), ...(passes ? { passes } : {}) }).map(row => `${row.field}: ${row.why}`)
  it('5G on plate', () =>
    expect(why(usualPiece('pad'), { position: '5G' })).toEqual([
      'position: A pad is welded in 1G, 2G, 3G or 4G; 5G is pipe level',
    ]))
  it('3G on pipe, and a fillet in 2G', () => {
    expect(why(EXAMPLE_PIPE, { position: '3G', travel: 'up' })[0]).toContain('1G, 2G, 5G, 6G or 6GR')
    expect(why(usualPiece('T'), { position: '2G' })[0]).toContain('A T fillet is welded in 1F, 2F, 3F or 4F')
  })
  it('an E7024 overhead, but not in a horizontal fillet', () => {
    expect(why(usualPiece('pad'), { position: '4G', classification: 'E7024' })).toEqual([
      'classification: E7024 is made for flat work and horizontal fillets; in 4G it will not stay put',
    ])
    expect(why(usualPiece('T'), { position: '2F', classification: 'E7024' })).toEqual([])
  })
  it('6G from left to right', () =>
    expect(why(EXAMPLE_PIPE, { position: '6G', travel: 'left to right' })).toEqual([
      'travel: 6G runs up or down, not left to right',
    ]))
  it('a land as thick as the plate, a leg of more than twice it', () => {
    expect(
      why(
        {
          kind: 'plate groove',
          lengthMm: 150,
          thicknessMm: 6,
          groove: { shape: 'V', gapMm: 3, landMm: 6, includedDegrees: 60, backing: false },
        },
        { position: '1G' },
      ),
    ).toEqual(['piece: The land is thinner than the plate'])
    expect(
      why({ kind: 'T', lengthMm: 150, thicknessMm: 6, gapMm: 0, legMm: 13, sides: 1 }, { position: '2F' })[0],
    ).toContain('at most twice the plate')
  })
  it('GTAW on a cap, but not on a root', () => {
    const tig = (n: number) =>
      pipe.passes!.map((pass, index) =>
        index === n ? { ...pass, process: 'GTAW' as const, classification: 'ER70S-2' } : pass,
      )
    expect(why(EXAMPLE_PIPE, pipe.ticket, tig(3))).toEqual([
      'passes: Pass 4 is cap: GTAW is kept for roots and hot passes',
    ])
    expect(why(EXAMPLE_PIPE, pipe.ticket, tig(0))).toEqual([])
  })
})

describe('a joint laid out again', () => {
  const marked = putMark(
    putMark(
      pipe,
      setDegree(
        pipe.marks.find(mark => mark.id === 'p2-left-tie-in-2')!,
        3,
      ),
    ),
    newFlaw(pipe, 'f', 'incomplete penetration', { beadId: 'root-side', atMm: 60 }),
  )
  it('keeps what was marked when a pass is added or a rod changed', () => {
    const more = layOutAgain(marked, { passes: addPass(pipe.passes!, 'p4') }, rules)
    expect(more.passes).toHaveLength(5)
    expect(more.marks.find(mark => mark.id === 'p2-left-tie-in-2')).toMatchObject({ degree: 'poor' })
    expect(more.marks.find(mark => mark.id === 'f')).toBeDefined()
    const hotter = layOutAgain(marked, { ticket: { ...pipe.ticket, currentA: 95 } }, rules)
    expect(hotter.passes!.map(pass => pass.currentA)).toEqual([80, 90, 95, 95])
  })
  it('carries marks from halves to a whole round when the position changes', () => {
    const upright = layOutAgain(marked, { ticket: { ...pipe.ticket, position: '2G', travel: 'left to right' } }, rules)
    expect(upright.marks.find(mark => mark.id === 'p2-left-tie-in-2')).toMatchObject({ beadId: 'p2', degree: 'poor' })
    expect(upright.passes!.every(pass => pass.travel === 'left to right')).toBe(true)
  })
  it('becomes another piece, and a pad again', () => {
    const pad = layOutAgain(marked, { piece: usualPiece('pad'), beadCount: 6, ticket: aTicket() }, rules)
    expect([pad.passes, pad.beads.length]).toEqual([undefined, 6])
    const back = layOutAgain(pad, { piece: EXAMPLE_PIPE, ticket: pipe.ticket }, rules)
    expect(back.passes).toEqual(pipe.passes)
  })
  it('a pass taken off takes its marks along, and no others', () => {
    const less = layOutAgain(marked, { passes: removePass(pipe.passes!, 'p2') }, rules)
    expect(less.marks.some(mark => mark.beadId.startsWith('p2'))).toBe(false)
    expect(less.marks.find(mark => mark.id === 'f')).toBeDefined()
  })
})

describe('readings of a joint', () => {
  it('are legs, throat and convexity on a fillet, how far it stands through on a root', () => {
    expect(gaugeKinds(usualPiece('T'), { face: 'face' })).toEqual({
      across: ['upper leg', 'lower leg'],
      over: ['throat', 'convexity'],
    })
    expect(gaugeKinds(EXAMPLE_PIPE, { face: 'root' }).over).toEqual(['penetration'])
    expect(gaugeKinds(usualPiece('pad'), {}).across).toEqual(['width', 'edge to toe'])
  })
  it('are final on the last layer only', () => {
    expect(
      ['p1-right', 'p2-left', 'p3-right', 'p4-left', 'root-side'].map(id => isLastLayer(pipe, laneOf(pipe, id))),
    ).toEqual([false, false, true, true, false])
  })
})
