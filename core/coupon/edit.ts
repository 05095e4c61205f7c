import type { DiscontinuityId } from '../trade'
import { discontinuityOf } from '../trade'
import { inches } from '../units'
import type { HouseRules } from '../house'
import type { Bead, CouponDocument, Degree, FlawMark, Mark, ReadingMark, Side, Ticket, TryKind, TryMark } from './document'
import { isTry } from './document'
import { expectedMarks, newCoupon } from './newCoupon'

/** Where the cursor stands: a bead, and a place along it in mm. */
export interface Place {
  readonly beadId: string
  readonly atMm: number
}

const DEGREES: readonly Degree[] = ['sound', 'workable', 'poor']

/** A new span reaches this far to each side of the cursor, mm. */
const HALF_SPAN = inches(1 / 4)

/** A try this close to the cursor is the one that is meant, mm. */
const NEAR = inches(3 / 8)

/**
 * Holds a place on its bead.
 * @returns mm between the bead's ends
 */
export function clampToBead(bead: Bead, atMm: number): number {
  return Math.min(bead.toMm, Math.max(bead.fromMm, atMm))
}

/** The bead with this id. @throws RangeError when the coupon has no such bead */
export function beadOf(document: CouponDocument, beadId: string): Bead {
  const bead = document.beads.find(candidate => candidate.id === beadId)
  if (!bead) throw new RangeError(`This coupon has no bead "${beadId}"`)
  return bead
}

/** The tries of a kind on a bead, nearest to a place first. */
export function triesNear(document: CouponDocument, kind: TryKind, { beadId, atMm }: Place): TryMark[] {
  return document.marks
    .filter((mark): mark is TryMark => isTry(mark) && mark.kind === kind && mark.beadId === beadId)
    .sort((a, b) => Math.abs(a.atMm - atMm) - Math.abs(b.atMm - atMm))
}

/**
 * The try that a letter means at a place: the one standing there, else, for starts, ends and foreseen restarts,
 * the nearest still sound on the bead. Null when there is none to grade.
 */
export function tryMeant(document: CouponDocument, kind: TryKind, place: Place): TryMark | null {
  const near = triesNear(document, kind, place)
  return near.find(mark => Math.abs(mark.atMm - place.atMm) <= NEAR) ?? near.find(mark => mark.degree === 'sound') ?? null
}

/** Puts a mark on the document in place of the one with its id, or as a new one. */
export function putMark(document: CouponDocument, mark: Mark): CouponDocument {
  const known = document.marks.some(existing => existing.id === mark.id)
  return {
    ...document,
    marks: known ? document.marks.map(existing => (existing.id === mark.id ? mark : existing)) : [...document.marks, mark],
  }
}

/** Takes a mark off the document. */
export function removeMark(document: CouponDocument, id: string): CouponDocument {
  return { ...document, marks: document.marks.filter(mark => mark.id !== id) }
}

/** A new try at a place, poor until said otherwise: it is marked because something is wrong with it. */
export function newTry(id: string, kind: TryKind, place: Place, rod: 'new' | 'stub'): TryMark {
  return { id, kind, ...place, degree: 'poor', fault: null, rod }
}

/**
 * A new flaw at a place, plain in severity: a point, a span of half an inch, or the whole bead, as the kind asks.
 * @example newFlaw(document, 'm1', 'undercut', place).toMm - place.atMm // up to 6.35
 */
export function newFlaw(document: CouponDocument, id: string, flaw: DiscontinuityId, place: Place): FlawMark {
  const row = discontinuityOf(flaw)
  const bead = beadOf(document, place.beadId)
  const half = row.givenAs === 'span' ? HALF_SPAN : 0
  const from = row.givenAs === 'bead' ? bead.fromMm : clampToBead(bead, place.atMm - half)
  const to = row.givenAs === 'bead' ? bead.toMm : clampToBead(bead, place.atMm + half)
  return {
    id, kind: 'flaw', flaw, beadId: place.beadId, atMm: from, toMm: to,
    side: row.sided ? defaultSide(document.ticket) : null,
    severity: 2,
    sizeMm: row.degreeSizesMm?.[1] ?? null,
  }
}

/** Gravity decides which toe suffers: the upper one on a horizontal line, else both. */
function defaultSide(ticket: Ticket): Side {
  return ticket.position === '2G' ? 'upper' : 'both'
}

/** A gauge reading at a place, mm. */
export function newReading(id: string, of: ReadingMark['of'], place: Place, valueMm: number): ReadingMark {
  return { id, kind: 'reading', of, ...place, valueMm }
}

/**
 * Sets how bad a mark is: for tries 1 sound, 2 workable, 3 poor; for flaws 1 light, 2 plain, 3 bad, with the size that goes with it.
 */
export function setDegree(mark: Mark, digit: 1 | 2 | 3): Mark {
  if (mark.kind === 'reading') return mark
  if (mark.kind === 'flaw')
    return { ...mark, severity: digit, sizeMm: discontinuityOf(mark.flaw).degreeSizesMm?.[digit - 1] ?? mark.sizeMm }
  const degree = DEGREES[digit - 1]!
  return { ...mark, degree, fault: degree === 'sound' ? null : mark.fault }
}

/** Moves a mark along its bead, a span as a whole; it stops at the bead's ends. */
export function moveMark(document: CouponDocument, mark: Mark, byMm: number): Mark {
  const bead = beadOf(document, mark.beadId)
  if (mark.kind !== 'flaw') return { ...mark, atMm: clampToBead(bead, mark.atMm + byMm) }
  const length = mark.toMm - mark.atMm
  const from = Math.min(bead.toMm - length, Math.max(bead.fromMm, mark.atMm + byMm))
  return { ...mark, atMm: from, toMm: from + length }
}

/**
 * Pulls the far end of a span; a point that may be a span becomes one. It keeps at least 1/16 in and stays on the bead.
 */
export function stretchSpan(document: CouponDocument, mark: FlawMark, byMm: number): FlawMark {
  if (discontinuityOf(mark.flaw).givenAs === 'bead') return mark
  const bead = beadOf(document, mark.beadId)
  const least = discontinuityOf(mark.flaw).givenAs === 'span' ? inches(1 / 16) : 0
  return { ...mark, toMm: clampToBead(bead, Math.max(mark.atMm + least, mark.toMm + byMm)) }
}

/** The next toe in turn: upper, lower, both. Flaws without a side stay as they are. */
export function turnSide(mark: FlawMark): FlawMark {
  if (!discontinuityOf(mark.flaw).sided) return mark
  const order: readonly Side[] = ['upper', 'lower', 'both']
  return { ...mark, side: order[(order.indexOf(mark.side ?? 'both') + 1) % order.length]! }
}

/**
 * Lays the coupon out again for a changed ticket, plate or number of beads. What was marked on beads that remain is kept;
 * foreseen tries are foreseen anew, those that were graded stay as graded; a bead keeps its arc time.
 * @throws RangeError when the beads do not fit on the plate
 */
export function layOutAgain(
  document: CouponDocument,
  change: { ticket?: Ticket, piece?: CouponDocument['piece'], beadCount?: number },
  rules: HouseRules,
): CouponDocument {
  const ticket = change.ticket ?? document.ticket
  const piece = change.piece ?? document.piece
  const fresh = newCoupon({ ...document, ticket, piece, beadCount: change.beadCount ?? document.beads.length }, rules)
  const bead = new Map(fresh.beads.map(lane => [lane.id, lane]))
  const foreseen = new Set(expectedMarks(document.beads, document.ticket, document.piece, rules).map(mark => mark.id))
  const touched = document.marks.filter(mark => bead.has(mark.beadId) && !(foreseen.has(mark.id) && isTry(mark) && mark.degree === 'sound'))
  const turned = ticket.travel !== document.ticket.travel
  const kept = touched.map((mark): Mark => {
    const twin = fresh.marks.find(candidate => candidate.id === mark.id)
    if (turned && twin && mark.kind !== 'flaw') return { ...mark, atMm: twin.atMm }
    const lane = bead.get(mark.beadId)!
    const at = clampToBead(lane, mark.atMm)
    return mark.kind === 'flaw' ? { ...mark, atMm: at, toMm: clampToBead(lane, mark.toMm) } : { ...mark, atMm: at }
  })
  const keptIds = new Set(kept.map(mark => mark.id))
  const timed = new Map(document.beads.map(lane => [lane.id, lane.arcSeconds]))
  const beads = fresh.beads.map((lane) => {
    const arcSeconds = timed.get(lane.id)
    return arcSeconds === undefined ? lane : { ...lane, arcSeconds }
  })
  return { ...document, ticket, piece, beads, marks: [...fresh.marks.filter(mark => !keptIds.has(mark.id)), ...kept] }
}
