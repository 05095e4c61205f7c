import type { HouseRules } from '../house'
import { wantedWidth } from '../house'
import { burnRods } from '../deposit'
import { platePieceOf } from '../trade'
import { rodRun } from '../setup'
import type { Bead, CouponDocument, PlatePiece, Ticket, TryMark } from './document'
import { beadEnd, beadStart, layLanes, layRuns, travelsForward } from './lanes'

export interface NewCoupon {
  readonly studentId: string
  readonly classDay: string
  readonly rulesVersion: number
  readonly piece: PlatePiece
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
  const idOf = (number: number) => `b${number}`
  const beads = platePieceOf(piece.kind).inRows
    ? layRuns(piece, { count: beadCount, beadMm: width.highMm, runMm: everyOf(piece) }, idOf)
    : layLanes(piece, { count: beadCount, beadMm: width.highMm, overlap: (rules.overlap.low + rules.overlap.high) / 2 }, idOf)
  return {
    schema: 1,
    studentId: wanted.studentId,
    classDay: wanted.classDay,
    rulesVersion: wanted.rulesVersion,
    mock: false,
    piece,
    ticket,
    beads,
    marks: expectedMarks(beads, ticket, piece, rules),
    cleanUp: 'sound',
    notes: '',
    nextRun: null,
    overrule: null,
  }
}

/**
 * The starts, ends and restarts that a set of beads comes with, all sound: a rod burns at the ticket's current, at the card's travel speed.
 * @returns marks in bead order; places in mm along the plate
 */
export function expectedMarks(beads: readonly Bead[], ticket: Ticket, piece: PlatePiece, rules: HouseRules): TryMark[] {
  const wholeMm = rodRun({ ...ticket, joint: 'pad', pass: 'bead', thicknessMm: piece.thicknessMm }, ticket.currentA, rules)
  const lengths = beads.map(bead => bead.toMm - bead.fromMm)
  const restarts = piece.kind === 'restart strip' ? lengths.map(mm => everyPlace(mm, everyOf(piece))) : burnRods(lengths, ticket.rods === 'stubs' ? wholeMm * STUB_SHARE : wholeMm).restarts
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

/** The spacing of a drill plate: its own, else the usual one. */
const everyOf = ({ kind, everyMm }: PlatePiece): number => everyMm ?? platePieceOf(kind).everyMm

/** Places along a bead at every step, none on its very end. */
const everyPlace = (lengthMm: number, stepMm: number): number[] =>
  Array.from({ length: Math.max(0, Math.ceil(lengthMm / stepMm - 0.5) - 1) }, (_, n) => (n + 1) * stepMm)
