import { describe, expect, it } from 'vitest'
import {
  expectedPasses,
  isPlate,
  newCoupon,
  newFlaw,
  putMark,
  setDegree,
  usualPiece,
  type CouponDocument,
  type FlawMark,
  type GaugeKind,
  type TryKind,
  type TryMark,
  thicknessOf,
} from '../coupon'
import { aTicket, EXAMPLE_STUDENT } from '../coupon/example'
import { DEFAULT_HOUSE_RULES, wantedWidth } from '../house'
import { currentWindow } from '../setup'
import { positionOf, runAs, type PieceKind, type PositionId, type Travel } from '../trade'
import { inches } from '../units'
import { diagnose, type CauseId, type SignId } from '.'

/**
 * Every row of the table of bead shapes, marked as a person marks a coupon: on every bead or on some, in every position
 * in which the shape can happen, with either hand and in either way of travel.
 * Source: common practice, as training manuals agree, from memory.
 */

const rules = DEFAULT_HOUSE_RULES

/** What a coupon is run as. */
interface Run {
  readonly kind: PieceKind
  readonly position: PositionId
  readonly travel: Travel
  readonly hand: 'left' | 'right'
  readonly classification: string
  /** Where in its window the current stands: 0 in the middle, 1 at its top, 2 as far over it again. */
  readonly heat: number
}

function couponOf({ kind, position, travel, hand, classification, heat }: Run): CouponDocument {
  const piece = usualPiece(kind, kind === 'plate groove' || kind === 'pipe butt')
  const diameterMm = isPlate(piece) ? inches(1 / 8) : inches(3 / 32)
  const { lowA, highA } = currentWindow(
    { classification, diameterMm, position: runAs(position), travel, thicknessMm: thicknessOf(piece) },
    rules,
  )
  const currentA = Math.round((lowA + highA) / 2 + (heat * (highA - lowA)) / 2)
  const ticket = aTicket({ position, travel, hand, classification, diameterMm, currentA, rods: 'stubs' })
  const usual = isPlate(piece) ? undefined : expectedPasses(piece, ticket, rules)
  const passes = usual?.map(pass => (heat === 0 ? pass : { ...pass, currentA }))
  return newCoupon(
    { studentId: EXAMPLE_STUDENT, classDay: '2026-10-05', rulesVersion: 1, piece, ticket, passes, beadCount: 6 },
    rules,
  )
}

/** How a person marks: all that is there, or three beads of it, a third of each. */
type Marking = 'every bead' | 'some beads'
type Change = (coupon: CouponDocument, marking: Marking) => CouponDocument

const lanes = (coupon: CouponDocument, marking: Marking) => {
  const laid = coupon.beads.filter(bead => bead.face !== 'root')
  return marking === 'every bead' || laid.length < 4 ? laid : [1, 3, 4].map(n => laid[n]!)
}
const flaw =
  (name: FlawMark['flaw'], side: FlawMark['side'] = null): Change =>
  (coupon, marking) =>
    lanes(coupon, marking).reduce((document, bead) => {
      const { fromMm, toMm } = bead
      const third = (toMm - fromMm) / 3
      const fresh = newFlaw(coupon, `${name} ${bead.id}`, name, { beadId: bead.id, atMm: fromMm + third })
      const whole = marking === 'every bead'
      const span = whole ? { atMm: fromMm, toMm } : { atMm: fromMm + third, toMm: fromMm + 2 * third }
      return putMark(document, { ...fresh, ...span, side, severity: 2 })
    }, coupon)
const onRoot =
  (name: FlawMark['flaw']): Change =>
  (coupon, marking) => {
    const lane = coupon.beads.find(bead => bead.face === 'root')!
    const length = lane.toMm - lane.fromMm
    const fresh = newFlaw(coupon, `${name} root`, name, { beadId: lane.id, atMm: lane.fromMm })
    return putMark(coupon, { ...fresh, toMm: lane.fromMm + (marking === 'every bead' ? length : length / 2) })
  }
const gauged =
  (of: GaugeKind, valueMm: number): Change =>
  coupon =>
    [1, 4].reduce((document, lane) => {
      const bead = coupon.beads[lane]!
      const atMm = (bead.fromMm + bead.toMm) / 2
      return putMark(document, { id: `${of} ${lane}`, kind: 'reading', of, beadId: bead.id, atMm, valueMm })
    }, coupon)
const { lowMm, highMm } = wantedWidth(rules, inches(1 / 8))
const wide = gauged('width', highMm + inches(1 / 16))
const narrow = gauged('width', lowMm - inches(1 / 16))
const tries =
  (kind: TryKind, fault: string): Change =>
  (coupon, marking) =>
    coupon.marks
      .filter(mark => mark.kind === kind)
      .filter((_, n) => marking === 'every bead' || n % 2 === 0)
      .reduce((document, mark) => putMark(document, { ...setDegree(mark, 3), fault } as TryMark), coupon)
const told =
  (...signs: SignId[]): Change =>
  coupon => ({ ...coupon, answers: { ...coupon.answers, ...Object.fromEntries(signs.map(sign => [sign, 'yes'])) } })

interface Shape {
  readonly seen: string
  readonly marks: readonly Change[]
  readonly kind: PieceKind
  readonly in: readonly PositionId[]
  readonly rod?: string
  readonly heat?: number
  readonly causes: readonly CauseId[]
  /** What the advice must say, and must not. */
  readonly says?: RegExp
  readonly never?: RegExp
}

const PADS = ['1G', '2G', '3G', '4G'] as const
const FILLETS = ['1F', '2F', '3F', '4F'] as const
const ROOTS = ['1G', '2G', '3G', '4G'] as const

const SHAPES: readonly Shape[] = [
  {
    seen: 'wide, flat, spatter, undercut, pointed ripples; the rod glowed',
    marks: [wide, flaw('spatter'), flaw('undercut', 'both'), flaw('irregular surface'), told('rod glows')],
    kind: 'pad',
    in: PADS,
    causes: ['current high'],
    says: /^Down \d+ A/,
  },
  {
    seen: 'tall and narrow, starts that stick, the rod stuck',
    marks: [narrow, flaw('excess weld metal'), tries('start', 'stuck'), told('rod sticks')],
    kind: 'pad',
    in: PADS,
    causes: ['current low'],
    says: /^Up \d+ A/,
  },
  {
    seen: 'wide and irregular, spatter, undercut, pinholes, a noisy arc',
    marks: [
      wide,
      flaw('irregular width'),
      flaw('spatter'),
      flaw('undercut', 'both'),
      flaw('porosity'),
      told('arc fluttered'),
    ],
    kind: 'pad',
    in: PADS,
    causes: ['arc long'],
    says: /Close the arc/,
    never: /Lift/,
  },
  {
    seen: 'high, uneven, stubbing, slag trapped',
    marks: [flaw('excess weld metal'), flaw('irregular width'), flaw('slag'), told('rod sticks')],
    kind: 'pad',
    in: PADS,
    causes: ['arc short'],
    says: /Lift slightly/,
  },
  {
    seen: 'narrow and thin, pointed ripples, undercut on both toes',
    marks: [narrow, flaw('underfill'), flaw('irregular surface'), flaw('undercut', 'both')],
    kind: 'pad',
    in: PADS,
    causes: ['travel fast'],
    says: /Slow down/,
  },
  {
    seen: 'wide, high, rolled over at the toes',
    marks: [wide, flaw('excess weld metal'), flaw('overlap', 'both')],
    kind: 'pad',
    in: PADS,
    causes: ['travel slow'],
    says: /faster/,
  },
  {
    seen: 'undercut on the upper toe, metal sags to the lower side',
    marks: [flaw('undercut', 'upper'), flaw('sagging', 'lower')],
    kind: 'pad',
    in: ['2G'],
    causes: ['work angle'],
    says: /Point the rod .* up/,
    never: /Back toward square/,
  },
  {
    seen: 'undercut on the upper toe of a T',
    marks: [flaw('undercut', 'upper')],
    kind: 'T',
    in: ['2F'],
    causes: ['work angle'],
    says: /toward the upper plate/,
  },
  {
    seen: 'undercut on the lower toe of a level bead',
    marks: [flaw('undercut', 'lower')],
    kind: 'pad',
    in: ['2G'],
    causes: ['work angle high'],
    says: /Back toward square/,
    never: /Point the rod/,
  },
  {
    seen: 'roll-over on the lower toe of a level bead',
    marks: [flaw('overlap', 'lower')],
    kind: 'pad',
    in: ['2G'],
    causes: ['travel slow', 'work angle'],
    never: /Back toward square|Slow down/,
  },
  {
    seen: 'roll-over on the lower toe of a T',
    marks: [flaw('overlap', 'lower')],
    kind: 'T',
    in: ['2F'],
    causes: ['travel slow', 'work angle'],
    never: /toward the lower plate|Slow down/,
  },
  {
    seen: 'humped, dripping vertical-up bead',
    marks: [flaw('excess weld metal'), flaw('sagging')],
    kind: 'pad',
    in: ['3G'],
    causes: ['travel angle'],
    never: /[Dd]rag the rod \d|Slow down/,
  },
  {
    seen: 'crowned, hanging overhead bead',
    marks: [flaw('excess weld metal'), flaw('sagging')],
    kind: 'pad',
    in: ['4G'],
    causes: ['travel angle', 'current low'],
    says: /straight in|Up \d+ A/,
    never: /Down \d+ A/,
  },
  { seen: 'crooked', marks: [flaw('crooked')], kind: 'pad', in: PADS, causes: ['bracing'], says: /[Bb]race/ },
  {
    seen: 'width pulses along the bead',
    marks: [flaw('irregular width')],
    kind: 'pad',
    in: PADS,
    causes: ['unsteady feed'],
    says: /[Ff]eed the rod in steadily/,
  },
  {
    seen: 'roll-over, undercut, pores, slag and a high crown, all together',
    marks: [
      flaw('overlap', 'both'),
      flaw('undercut', 'both'),
      flaw('porosity'),
      flaw('slag'),
      flaw('excess weld metal'),
    ],
    kind: 'pad',
    in: PADS,
    causes: ['travel angle'],
  },
  {
    seen: 'the arc goes out at intervals',
    marks: [told('arc goes out')],
    kind: 'pad',
    in: PADS,
    causes: ['current low'],
    says: /Up \d+ A/,
  },
  {
    seen: 'whipped ripples too close or too far apart',
    marks: [told('ripples off step')],
    kind: 'pad',
    in: ['1G', '2G', '3G'],
    rod: 'E6010',
    causes: ['whip'],
  },
  {
    seen: 'the puddle sat on one plate',
    marks: [told('puddle one side')],
    kind: 'T',
    in: FILLETS,
    causes: ['off the joint'],
    says: /colder side/,
  },
  {
    seen: 'E6013: the puddle trails, slow to wet the sides',
    marks: [told('puddle sluggish')],
    kind: 'pad',
    in: PADS,
    rod: 'E6013',
    causes: ['current low'],
    says: /Up \d+ A/,
  },
  {
    seen: 'E6013: the puddle churns and stays liquid',
    marks: [told('puddle churns')],
    kind: 'pad',
    in: PADS,
    rod: 'E6013',
    causes: ['current high'],
    says: /Down \d+ A/,
  },
  {
    seen: 'a lump at each restart',
    marks: [tries('restart', 'high')],
    kind: 'pad',
    in: PADS,
    causes: ['too long in crater'],
    says: /once round the crater and go/,
  },
  {
    seen: 'a dip at each restart',
    marks: [tries('restart', 'gap')],
    kind: 'pad',
    in: PADS,
    causes: ['too short in crater'],
    says: /full width before you move off/,
  },
  {
    seen: 'pinholes at starts only',
    marks: [tries('start', 'pinholes')],
    kind: 'pad',
    in: PADS,
    causes: ['damp rod', 'strike', 'bare tip'],
  },
  {
    seen: 'pinholes everywhere',
    marks: [flaw('porosity')],
    kind: 'pad',
    in: PADS,
    causes: ['damp rod', 'arc long'],
  },
  {
    seen: 'slag lines between beads',
    marks: [flaw('slag')],
    kind: 'pad',
    in: PADS,
    causes: ['not cleaned'],
    says: /Chip and brush/,
  },
  {
    seen: 'slag ran ahead of the puddle',
    marks: [told('slag ran ahead')],
    kind: 'pad',
    in: ['1G', '2G'],
    causes: ['upright rod'],
    says: /Drag the rod/,
  },
  {
    seen: 'stray strikes',
    marks: [flaw('arc strike')],
    kind: 'pad',
    in: PADS,
    causes: ['strike'],
    says: /Strike ahead in the line/,
  },
  {
    seen: 'craters at every end',
    marks: [tries('end', 'crater')],
    kind: 'pad',
    in: PADS,
    causes: ['crater left'],
    says: /back over the crater|an inch short/,
  },
  {
    seen: 'the arc wanders, one side eaten, ends blown out',
    marks: [told('arc wanders'), flaw('undercut', 'upper'), tries('end', 'low')],
    kind: 'pad',
    in: PADS,
    causes: ['arc blow'],
    says: /Move the clamp/,
  },
  {
    seen: 'one wall of the groove not fused',
    marks: [flaw('incomplete fusion', 'upper')],
    kind: 'plate groove',
    in: ROOTS,
    causes: ['off the joint'],
  },
  {
    seen: 'the keyhole grew, too much through the root',
    marks: [told('keyhole grew'), onRoot('excess penetration')],
    kind: 'plate groove',
    in: ROOTS,
    causes: ['gap wide'],
    never: /Up \d+ A|push/,
  },
  {
    seen: 'no penetration at the root',
    marks: [onRoot('incomplete penetration')],
    kind: 'plate groove',
    in: ROOTS,
    causes: ['gap tight'],
    says: /[Gg]auge the gap/,
    never: /[Dd]own \d+ A/,
  },
  {
    seen: 'no penetration at the root of a pipe',
    marks: [onRoot('incomplete penetration')],
    kind: 'pipe butt',
    in: ['2G', '5G', '6G'],
    causes: ['gap tight'],
    says: /[Gg]auge the gap/,
  },
  {
    seen: 'the root drawn in, the keyhole grew',
    marks: [onRoot('root concavity'), told('keyhole grew')],
    kind: 'pipe butt',
    in: ['2G', '5G', '6G'],
    causes: ['gap wide'],
    never: /Up \d+ A/,
  },
  {
    seen: 'laid too far over, or a groove left between',
    marks: [flaw('lap')],
    kind: 'pad',
    in: PADS,
    causes: ['aim'],
    says: /Aim/,
  },
  {
    seen: 'the edge of a lap melted away',
    marks: [told('edge melted'), flaw('undercut', 'upper')],
    kind: 'lap',
    in: ['1F', '2F', '3F', '4F'],
    causes: ['edge melts'],
    says: /^Aim lower/,
  },
  {
    seen: 'a crack along a root',
    marks: [flaw('crack')],
    kind: 'plate groove',
    in: ROOTS,
    causes: ['bead thin', 'crater left'],
    says: /[Ss]tart over/,
  },
  {
    seen: 'high in the middle with undercut at both toes',
    marks: [flaw('excess weld metal'), flaw('undercut', 'both')],
    kind: 'pad',
    in: ['3G'],
    causes: ['no pause', 'travel angle'],
  },
  {
    seen: 'crooked, all of it off level',
    marks: [flaw('crooked'), told('runs off level')],
    kind: 'pad',
    in: ['2G'],
    causes: ['out of level'],
    says: /[Ll]evel the line/,
  },
  {
    seen: 'pointed ripples, undercut on both toes, wide',
    marks: [wide, flaw('irregular surface'), flaw('undercut', 'both')],
    kind: 'pad',
    in: PADS,
    causes: ['current high'],
    says: /Down \d+ A/,
    never: /Slow down/,
  },
  {
    seen: 'pointed ripples, undercut on both toes, narrow',
    marks: [narrow, flaw('irregular surface'), flaw('undercut', 'both')],
    kind: 'pad',
    in: PADS,
    causes: ['travel fast'],
    says: /Slow down/,
    never: /Down \d+ A/,
  },
  {
    seen: 'sags overhead, and nothing else',
    marks: [flaw('sagging')],
    kind: 'pad',
    in: ['4G'],
    causes: ['travel angle', 'current low', 'travel slow'],
    never: /Down \d+ A/,
  },
  {
    seen: 'the rod stuck, the current under its window',
    marks: [told('rod sticks')],
    kind: 'pad',
    in: PADS,
    heat: -1.5,
    causes: ['current low'],
    says: /Up \d+ A/,
  },
  {
    seen: 'the rod stuck, the current in its window',
    marks: [told('rod sticks')],
    kind: 'pad',
    in: PADS,
    causes: ['arc short', 'current low'],
    never: /Down \d+ A|Close the arc/,
  },
  {
    seen: 'undercut on both toes, the current over its window',
    marks: [flaw('undercut', 'both')],
    kind: 'pad',
    in: PADS,
    heat: 1.5,
    causes: ['current high'],
    says: /Down \d+ A/,
  },
  {
    seen: 'starts stuck, the current in its window',
    marks: [tries('start', 'stuck')],
    kind: 'pad',
    in: PADS,
    causes: ['strike', 'current low'],
  },
]

/** Basic rods are not run downhill. */
const waysOf = (position: PositionId, rod: string) =>
  positionOf(position).travel.filter(travel => travel !== 'down' || !rod.startsWith('E7018'))

/** Every way in which a shape can come onto a bench. */
const runsOf = ({ in: positions, rod = 'E7018' }: Shape) =>
  positions.flatMap(position =>
    waysOf(position, rod).flatMap(travel =>
      (['right', 'left'] as const).flatMap(hand =>
        (['every bead', 'some beads'] as const).map(marking => ({ position, travel, hand, marking })),
      ),
    ),
  )

describe('a bead’s shape, in every position, hand and way', () => {
  it.each(SHAPES)('$seen ($kind)', shape => {
    for (const { marking, ...run } of runsOf(shape)) {
      const { kind, rod = 'E7018', heat = 0 } = shape
      const bare = couponOf({ ...run, kind, classification: rod, heat })
      const coupon = shape.marks.reduce((document, mark) => mark(document, marking), bare)
      const { causes, nextRun } = diagnose(coupon, rules)
      const where = `${run.position}, ${run.travel}, ${run.hand}-handed, ${marking}`
      expect(shape.causes, where).toContain(causes[0]?.cause.id)
      if (shape.says) expect(nextRun, where).toMatch(shape.says)
      if (shape.never) expect(nextRun, where).not.toMatch(shape.never)
    }
  })
})
