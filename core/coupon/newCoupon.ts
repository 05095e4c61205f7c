import type { HouseRules } from '../house'
import { wantedWidth } from '../house'
import { electrodeOf, rodSizeOf } from '../trade'
import { beadArea, predictRestarts, runOut } from '../deposit'
import type { Bead, CouponDocument, PadPiece, Ticket, TryMark } from './document'
import { beadEnd, beadStart, layLanes, travelsForward } from './lanes'

export interface NewCoupon {
  readonly studentId: string
  readonly classDay: string
  readonly rulesVersion: number
  readonly piece: PadPiece
  readonly ticket: Ticket
  readonly beadCount: number
}

/** Stubs of a stub day still hold about this share of a rod. Source: common practice. */
const STUB_SHARE = 0.45

/**
 * A coupon as it opens on the bench: its beads, their starts and ends and the restarts that burn-off predicts, all sound.
 * Ids are made from places (`b3`, `b3-restart-1`), so the same ticket gives the same document.
 * @throws RangeError when the beads do not fit on the plate or the rod is unknown
 * @example newCoupon(sixBeads, DEFAULT_HOUSE_RULES).marks.filter(mark => mark.kind === 'start').length // 6
 */
export function newCoupon(wanted: NewCoupon, rules: HouseRules): CouponDocument {
  const { ticket, piece, beadCount } = wanted
  const width = wantedWidth(rules, ticket.diameterMm)
  const beads = layLanes(
    piece,
    { count: beadCount, beadMm: width.highMm, overlap: (rules.overlap.low + rules.overlap.high) / 2 },
    number => `b${number}`,
  )
  return {
    schema: 1,
    studentId: wanted.studentId,
    classDay: wanted.classDay,
    rulesVersion: wanted.rulesVersion,
    mock: false,
    piece,
    ticket,
    beads,
    marks: expectedMarks(beads, ticket, rules),
    cleanUp: 'sound',
    notes: '',
    nextRun: null,
    overrule: null,
  }
}

/**
 * The starts, ends and restarts that a set of beads comes with, all sound.
 * @returns marks in bead order; places in mm along the plate
 */
export function expectedMarks(beads: readonly Bead[], ticket: Ticket, rules: HouseRules): TryMark[] {
  const rodMm = runOutOf(beads[0]?.widthMm ?? 0, ticket, rules)
  const firstMm = ticket.rods === 'stubs' ? rodMm * STUB_SHARE : rodMm
  const each = ticket.rods === 'stubs' ? firstMm : rodMm
  const restarts = predictRestarts(beads.map(bead => bead.toMm - bead.fromMm), each, firstMm)
  const sign = travelsForward(ticket) ? 1 : -1
  const rod = ticket.rods === 'stubs' ? 'stub' : 'new'
  const sound = { degree: 'sound', fault: null, rod } as const
  return beads.flatMap((bead, index): TryMark[] => [
    { id: `${bead.id}-start`, kind: 'start', beadId: bead.id, atMm: beadStart(bead, ticket), ...sound },
    ...restarts[index]!.map((mm, nth): TryMark => ({
      id: `${bead.id}-restart-${nth + 1}`, kind: 'restart', beadId: bead.id, atMm: beadStart(bead, ticket) + sign * mm, ...sound,
    })),
    { id: `${bead.id}-end`, kind: 'end', beadId: bead.id, atMm: beadEnd(bead, ticket), ...sound },
  ])
}

function runOutOf(beadMm: number, ticket: Ticket, rules: HouseRules): number {
  const heightMm = (rules.heightMm.low + rules.heightMm.high) / 2
  return runOut({
    rod: rodSizeOf(ticket.diameterMm),
    recovery: electrodeOf(ticket.classification).recovery,
    stubMm: rules.stubMm,
    beadAreaMm2: beadArea(beadMm, heightMm),
  })
}
