import { under } from '../units'
import type { HouseRules } from '../house'
import { wantedWidth } from '../house'
import { burnRods } from '../deposit'
import { isFixedPipe, pieceOf, runAs } from '../trade'
import { atTheArc, rodRun } from '../setup'
import type { Bead, CouponDocument, Ticket, TryMark } from './document'
import { expectedPasses } from './expectedPasses'
import { layLanes, layRuns } from './lanes'
import { layPasses } from './layPasses'
import type { Pass } from './pass'
import { cardCase } from './passCard'
import { isPipe, isPlate, seamLength, type Piece, type PlatePiece } from './piece'
import { beadEnd, beadStart, travelsForward } from './travel'

export interface NewCoupon {
  readonly studentId: string
  readonly classDay: string
  readonly rulesVersion: number
  readonly piece: Piece
  readonly ticket: Ticket
  /** Beads of a plate; a joint has its passes instead. */
  readonly beadCount: number
  /** Passes of a joint as they were run before; what the piece is expected to take when they are not given. */
  readonly passes?: readonly Pass[]
}

/** Stubs of a stub day still hold about this share of a rod. Source: common practice. */
const STUB_SHARE = 0.45

/**
 * A coupon as it opens on the bench: its beads or passes, their starts and ends, the tie-ins of a pipe and the
 * restarts that burn-off predicts, all sound.
 * Ids are made from places (`b3`, `b3-restart-1`, `p2-left-tie-in-1`), so the same ticket gives the same document.
 * @throws RangeError when the beads do not fit on the plate, the joint's sizes do not go together, or the rod is
 *   unknown
 * @example newCoupon(sixBeads, DEFAULT_HOUSE_RULES).marks.filter(mark => mark.kind === 'start').length // 6
 */
export function newCoupon(wanted: NewCoupon, rules: HouseRules): CouponDocument {
  const { ticket, piece } = wanted
  const passes = isPlate(piece) ? undefined : (wanted.passes ?? expectedPasses(piece, ticket, rules))
  const beads = isPlate(piece)
    ? plateBeads(piece, ticket, wanted.beadCount, rules)
    : layPasses(piece, passes!, ticket.position)
  const laid = { piece, ticket, beads, ...(passes ? { passes } : {}) }
  return {
    schema: 1,
    studentId: wanted.studentId,
    classDay: wanted.classDay,
    rulesVersion: wanted.rulesVersion,
    mock: false,
    ...laid,
    marks: expectedMarks(laid, rules),
    cleanUp: 'sound',
    notes: '',
    nextRun: null,
    overrule: null,
  }
}

function plateBeads(piece: PlatePiece, ticket: Ticket, count: number, rules: HouseRules): Bead[] {
  const beadMm = wantedWidth(rules, ticket.diameterMm).highMm
  const idOf = (number: number) => `b${number}`
  return pieceOf(piece.kind).inRows
    ? layRuns(piece, { count, beadMm, runMm: everyOf(piece) }, idOf)
    : layLanes(piece, { count, beadMm, overlap: (rules.overlap.low + rules.overlap.high) / 2 }, idOf)
}

/** A coupon as far as its tries follow from it. */
type Laid = Pick<CouponDocument, 'piece' | 'ticket' | 'passes' | 'beads'>

/**
 * The starts, ends, tie-ins and restarts that a set of beads comes with, all sound: a rod burns at its current, at
 * the card's travel speed.
 * @returns marks in bead order; places in mm along the strip
 */
export function expectedMarks(laid: Laid, rules: HouseRules): TryMark[] {
  const lanes = laid.beads.filter(bead => bead.face !== 'root')
  const restarts = laid.passes ? passRestarts(laid, lanes, rules) : plateRestarts(laid, lanes, rules)
  const rod = laid.ticket.rods === 'stubs' ? 'stub' : 'new'
  return lanes.flatMap((bead, index): TryMark[] => {
    const sign = travelsForward(laid, bead) ? 1 : -1
    const from = beadStart(laid, bead)
    const sound = { beadId: bead.id, degree: 'sound', fault: null, rod } as const
    const [first, last] = endsOf(laid, bead)
    return [
      { id: `${bead.id}-${first}${first === 'tie-in' ? '-1' : ''}`, kind: first, atMm: from, ...sound },
      ...restarts[index]!.map((mm, nth): TryMark => ({
        id: `${bead.id}-restart-${nth + 1}`,
        kind: 'restart',
        atMm: from + sign * mm,
        ...sound,
      })),
      { id: `${bead.id}-${last}${last === 'tie-in' ? '-2' : ''}`, kind: last, atMm: beadEnd(laid, bead), ...sound },
    ]
  })
}

/**
 * How a lane begins and finishes. On a fixed pipe the left half ties into the right one at both its ends; a pipe
 * that is rolled or stands upright is
 * tied into its own start.
 */
function endsOf({ piece, ticket }: Laid, bead: Bead): ['start' | 'tie-in', 'end' | 'tie-in'] {
  if (!isPipe(piece)) return ['start', 'end']
  if (!isFixedPipe(ticket.position)) return ['start', 'tie-in']
  return !under(bead.fromMm, seamLength(piece) / 2) ? ['tie-in', 'tie-in'] : ['start', 'end']
}

const plateRestarts = (
  { ticket, piece }: Laid,
  lanes: readonly Bead[],
  rules: HouseRules,
): readonly (readonly number[])[] => {
  const plate = piece as PlatePiece
  const lengths = lanes.map(bead => bead.toMm - bead.fromMm)
  if (plate.kind === 'restart strip') return lengths.map(mm => everyPlace(mm, everyOf(plate)))
  const wholeMm = rodRun(
    { ...ticket, position: runAs(ticket.position), joint: 'pad', pass: 'bead', thicknessMm: plate.thicknessMm },
    atTheArc(ticket.currentA, ticket.panelOffsetA),
    rules,
  )
  return burnRods(lengths, ticket.rods === 'stubs' ? wholeMm * STUB_SHARE : wholeMm).restarts
}

/** Each pass is begun with a fresh rod and burns its own; where a bare rod is added by hand nothing is foreseen. */
function passRestarts(laid: Laid, lanes: readonly Bead[], rules: HouseRules): readonly (readonly number[])[] {
  const places = new Map<string, readonly number[]>()
  for (const pass of laid.passes ?? []) {
    const own = lanes.filter(bead => bead.passId === pass.id)
    if (pass.process === 'GTAW') continue
    const wholeMm = rodRun(cardCase(laid, pass), atTheArc(pass.currentA, laid.ticket.panelOffsetA), rules)
    const { restarts } = burnRods(
      own.map(bead => bead.toMm - bead.fromMm),
      laid.ticket.rods === 'stubs' ? wholeMm * STUB_SHARE : wholeMm,
    )
    own.forEach((bead, index) => places.set(bead.id, restarts[index]!))
  }
  return lanes.map(bead => places.get(bead.id) ?? [])
}

/** The spacing of a drill plate: its own, else the usual one. */
const everyOf = ({ kind, everyMm }: PlatePiece): number => everyMm ?? pieceOf(kind).everyMm

/** Places along a bead at every step, none on its very end. */
const everyPlace = (lengthMm: number, stepMm: number): number[] =>
  Array.from({ length: Math.max(0, Math.ceil(lengthMm / stepMm - 0.5) - 1) }, (_, n) => (n + 1) * stepMm)
