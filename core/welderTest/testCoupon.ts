import {
  cardCase,
  cardJoint,
  expectedPasses,
  newCoupon,
  seamLength,
  thicknessOf,
  type CouponDocument,
  type Hand,
  type Pass,
  type Ticket,
} from '../coupon'
import { rodRun, settingsCard, startCurrent } from '../setup'
import type { HouseRules } from '../house'
import { GTAW_ROOT, runAs } from '../trade'
import type { TestPiece } from '../qualification/testPieces'

/** The slip of a test piece under test terms: whole rods, set as its card says. */
export function testTicket(test: TestPiece, hand: Hand, booth: number | null, rules: HouseRules): Ticket {
  const { piece, position, travel, classification, diameterMm } = test
  const { startA } = startCurrent(
    {
      classification,
      diameterMm,
      position: runAs(position),
      joint: cardJoint(piece),
      pass: 'fill',
      thicknessMm: thicknessOf(piece),
    },
    rules,
  )
  return {
    rung: test.name,
    position,
    classification,
    diameterMm,
    rods: 'new',
    currentA: startA,
    polarity: 'DCEP',
    hand,
    travel,
    booth,
  }
}

/** The passes that a test piece is planned to take; root and hot pass by GTAW where it is so. */
export function testPasses(test: TestPiece, ticket: Ticket, rules: HouseRules): Pass[] {
  const passes = expectedPasses(test.piece, ticket, rules)
  if (!test.gtawRoot) return passes
  const { classification, diameterMm, currentA, polarity } = GTAW_ROOT
  return passes.map(pass =>
    pass.role === 'root' || pass.role === 'hot'
      ? { ...pass, process: 'GTAW', classification, diameterMm, currentA, polarity }
      : pass,
  )
}

/** Who welds a test, and when. */
export interface TestWelder {
  readonly studentId: string
  readonly classDay: string
  readonly rulesVersion: number
  readonly hand: Hand
  readonly booth: number | null
}
/** A welder where none is meant: for plans alone. */
export const NOBODY: TestWelder = { studentId: '', classDay: '2000-01-01', rulesVersion: 1, hand: 'right', booth: null }

/**
 * A test piece as the Bench opens it, a mock test with every pass, start, restart and tie-in that is foreseen.
 * @throws RangeError when the piece's sizes do not go together
 * @example couponOf(testPieceOf('plate-3g'), NOBODY, rules).mock // true
 */
export function couponOf(
  test: TestPiece,
  { hand, booth, ...welder }: TestWelder,
  rules: HouseRules,
  passes?: readonly Pass[],
): CouponDocument {
  const ticket = testTicket(test, hand, booth, rules)
  return {
    ...newCoupon(
      { ...welder, piece: test.piece, ticket, beadCount: 1, passes: passes ?? testPasses(test, ticket, rules) },
      rules,
    ),
    mock: true,
  }
}

/** What a test piece takes: rods by kind, and minutes of arc. */
export interface PieceNeeds {
  readonly rods: readonly { readonly classification: string; readonly diameterMm: number; readonly count: number }[]
  readonly arcMinutes: number
}

/**
 * Share of the time in the booth that the arc burns. Common practice: a fifth to three tenths for covered
 * electrodes.
 */
export const ARC_SHARE = 0.25

/**
 * Rods and arc time of a piece as it is planned: each pass begins with a whole rod.
 * @returns arc time in minutes; what is welded with GTAW counts no rods, and is left out of the arc time
 */
export function needsOf(document: Pick<CouponDocument, 'piece' | 'ticket' | 'passes'>, rules: HouseRules): PieceNeeds {
  const seamMm = seamLength(document.piece)
  const rods = new Map<string, PieceNeeds['rods'][number]>()
  let arcMinutes = 0
  for (const pass of (document.passes ?? []).filter(one => one.process === 'SMAW')) {
    const wanted = cardCase(document, pass)
    const count = Math.ceil(seamMm / rodRun(wanted, pass.currentA, rules))
    const key = `${pass.classification} ${pass.diameterMm}`
    rods.set(key, {
      classification: pass.classification,
      diameterMm: pass.diameterMm,
      count: (rods.get(key)?.count ?? 0) + count,
    })
    arcMinutes += seamMm / settingsCard(wanted, rules).travelMmPerMin
  }
  return { rods: [...rods.values()], arcMinutes }
}
