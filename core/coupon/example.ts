import { DEFAULT_HOUSE_RULES, type HouseRules } from '../house'
import { inches } from '../units'
import type { FitUp } from '../setup'
import type { CouponDocument, FlawMark, Mark, Ticket } from './document'
import type { Piece, PlatePiece } from './piece'
import { newCoupon } from './newCoupon'

/** A six-bead flat pad with nothing against it: the example that docstrings and tests start from. */

export const EXAMPLE_PLATE: PlatePiece = {
  kind: 'pad',
  lengthMm: inches(6),
  widthMm: inches(4),
  thicknessMm: inches(3 / 8),
}

export const EXAMPLE_STUDENT = '01900000-0000-7000-8000-000000000001'

/** A ticket that fits, changed where wanted. */
export function aTicket(change: Partial<Ticket> = {}): Ticket {
  return {
    rung: 'flat pad',
    position: '1G',
    classification: 'E7018',
    diameterMm: inches(1 / 8),
    rods: 'new',
    currentA: 125,
    polarity: 'DCEP',
    hand: 'right',
    travel: 'left to right',
    booth: 7,
    ...change,
  }
}

/** A new coupon as it opens on the bench. */
export function aCoupon(
  change: { ticket?: Partial<Ticket>; beadCount?: number; studentId?: string } = {},
): CouponDocument {
  return newCoupon(
    {
      studentId: change.studentId ?? EXAMPLE_STUDENT,
      classDay: '2026-10-05',
      rulesVersion: 1,
      piece: EXAMPLE_PLATE,
      ticket: aTicket(change.ticket),
      beadCount: change.beadCount ?? 6,
    },
    DEFAULT_HOUSE_RULES,
  )
}

/** NPS 2 Sch 80 with an open root: four passes in 6G with 3/32 in rods. */
export const EXAMPLE_PIPE: Piece = {
  kind: 'pipe butt',
  pipe: '2 Sch 80',
  groove: { shape: 'V', gapMm: inches(1 / 8), landMm: inches(3 / 32), includedDegrees: 60, backing: false },
}

/** A fit-up of which only the gap was gauged, even and before the tacks, mm. */
export const aFitUp = (gapMm: number, change: Partial<FitUp> = {}): FitUp => ({
  bare: { leftMm: gapMm, rightMm: gapMm },
  afterFirstTack: null,
  afterSecondTack: null,
  misalignmentMm: 0,
  presetDegrees: 3,
  leftDegrees: null,
  bevelDegrees: null,
  landMm: null,
  tacks: [],
  surface: null,
  clamp: null,
  ...change,
})

/** A new coupon of a joint or a pipe as it opens on the bench; by default the example pipe in 6G. */
export function aJoint(
  piece: Piece = EXAMPLE_PIPE,
  ticket: Partial<Ticket> = { rung: '6G pipe', position: '6G', travel: 'up', diameterMm: inches(3 / 32), currentA: 85 },
  rules: HouseRules = DEFAULT_HOUSE_RULES,
): CouponDocument {
  return newCoupon(
    {
      studentId: EXAMPLE_STUDENT,
      classDay: '2026-10-05',
      rulesVersion: 1,
      piece,
      ticket: aTicket(ticket),
      beadCount: 1,
    },
    rules,
  )
}

/** A flaw on the first bead from 1 to 2 in, changed where wanted. */
export function aFlaw(change: Partial<FlawMark> = {}): FlawMark {
  return {
    id: 'f1',
    kind: 'flaw',
    flaw: 'undercut',
    beadId: 'b1',
    atMm: inches(1),
    toMm: inches(2),
    side: 'upper',
    severity: 2,
    sizeMm: inches(1 / 32),
    ...change,
  }
}

/**
 * A pad that was read, laid out by a set of rules: what a change of the rules does can be seen on it.
 * One restart high, one end low, an inch and a half of shallow undercut, a stray strike, and three width readings.
 */
export function exampleRead(rules: HouseRules): CouponDocument {
  const expected = newCoupon(
    {
      studentId: EXAMPLE_STUDENT,
      classDay: '2026-10-05',
      rulesVersion: 1,
      piece: EXAMPLE_PLATE,
      ticket: aTicket(),
      beadCount: 6,
    },
    rules,
  )
  const restart = expected.marks.find(mark => mark.kind === 'restart')
  const graded = expected.marks.map((mark): Mark => {
    if (mark.id === restart?.id) return { ...mark, degree: 'poor', fault: 'high' } as Mark
    return mark.id === 'b4-end' ? ({ ...mark, degree: 'poor', fault: 'low' } as Mark) : mark
  })
  const flaws = [
    aFlaw({
      id: 'f1',
      beadId: 'b3',
      side: 'both',
      severity: 1,
      sizeMm: inches(1 / 64),
      atMm: inches(2),
      toMm: inches(3.5),
    }),
    aFlaw({ id: 'f2', beadId: 'b6', flaw: 'arc strike', side: null, sizeMm: null, atMm: inches(5), toMm: inches(5) }),
  ]
  const widths = (
    [
      ['b1', 1 / 4],
      ['b3', 5 / 16],
      ['b5', 9 / 32],
    ] as const
  ).map(([beadId, wide], n): Mark => ({
    id: `w${n}`,
    kind: 'reading',
    of: 'width',
    beadId,
    atMm: inches(3),
    valueMm: inches(wide),
  }))
  return { ...expected, marks: [...graded, ...flaws, ...widths] }
}
