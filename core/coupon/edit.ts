import type { DiscontinuityId } from '../trade'
import { discontinuityOf } from '../trade'
import { inches } from '../units'
import type {
  Bead,
  CouponDocument,
  Degree,
  FlawMark,
  Mark,
  GaugeMark,
  Side,
  Ticket,
  TryKind,
  TryMark,
} from './document'
import { isTry } from './document'
import { isPipe, seamLength } from './piece'

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

/**
 * A place a step further along. Where a pass is two lanes, the right half of a pipe and the left, it goes on from
 * one into the other, and past 12 o'clock.
 * @example placeAlong(pipe, { beadId: 'p1-right', atMm: 94 }, 6).beadId // 'p1-left'
 */
export function placeAlong(document: CouponDocument, { beadId, atMm }: Place, byMm: number): Place {
  const bead = beadOf(document, beadId)
  const aimed = atMm + byMm
  if (aimed >= bead.fromMm && aimed <= bead.toMm) return { beadId, atMm: aimed }
  const round = isPipe(document.piece) ? seamLength(document.piece) : 0
  const wrapped = round === 0 ? aimed : ((aimed % round) + round) % round
  const next = document.beads.find(
    lane =>
      lane.id !== beadId &&
      lane.passId !== undefined &&
      lane.passId === bead.passId &&
      lane.face === bead.face &&
      wrapped >= lane.fromMm &&
      wrapped <= lane.toMm,
  )
  return next ? { beadId: next.id, atMm: wrapped } : { beadId, atMm: clampToBead(bead, aimed) }
}

/** What a lane is a row with: the lanes of its pass; the root side and each bead of a pad stand alone. */
export const rowOf = (bead: Pick<Bead, 'id' | 'passId' | 'face'>): string =>
  bead.face === 'root' ? 'root' : (bead.passId ?? bead.id)

/**
 * The same place a bead, or a pass, further on; it stays where there is none.
 * @param step 1 for the next laid, -1 for the one before
 */
export function placeOver(document: CouponDocument, place: Place, step: 1 | -1): Place {
  const rows = [...new Set(document.beads.map(rowOf))]
  const at = rows.indexOf(rowOf(beadOf(document, place.beadId))) + step
  const row = rows[Math.min(rows.length - 1, Math.max(0, at))]!
  return row === rowOf(beadOf(document, place.beadId)) ? place : placeOnRow(document, row, place.atMm)
}

/**
 * A place on a row of lanes, as far along as asked: on the half of a pipe that reaches there.
 * @throws RangeError when the coupon has no such row
 */
export function placeOnRow(document: CouponDocument, row: string, atMm: number): Place {
  const lanes = document.beads.filter(bead => rowOf(bead) === row)
  const lane = lanes.find(bead => atMm >= bead.fromMm && atMm <= bead.toMm) ?? lanes[0]
  if (!lane) throw new RangeError(`This coupon has no row "${row}"`)
  return { beadId: lane.id, atMm: clampToBead(lane, atMm) }
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
  return (
    near.find(mark => Math.abs(mark.atMm - place.atMm) <= NEAR) ?? near.find(mark => mark.degree === 'sound') ?? null
  )
}

/** Puts a mark on the document in place of the one with its id, or as a new one. */
export function putMark(document: CouponDocument, mark: Mark): CouponDocument {
  const known = document.marks.some(existing => existing.id === mark.id)
  return {
    ...document,
    marks: known
      ? document.marks.map(existing => (existing.id === mark.id ? mark : existing))
      : [...document.marks, mark],
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
  const whole = row.givenAs === 'bead' || row.beginsWhole === true
  const from = whole ? bead.fromMm : clampToBead(bead, place.atMm - half)
  const to = whole ? bead.toMm : clampToBead(bead, place.atMm + half)
  return {
    id,
    kind: 'flaw',
    flaw,
    beadId: place.beadId,
    atMm: from,
    toMm: to,
    side: row.sided ? defaultSide(document.ticket) : null,
    severity: 2,
    sizeMm: row.degreeSizesMm?.[1] ?? null,
  }
}

/** Gravity decides which toe suffers: the upper one on a horizontal line, else both. */
function defaultSide(ticket: Ticket): Side {
  return ticket.position === '2G' || ticket.position === '2F' ? 'upper' : 'both'
}

/** A gauge reading at a place, mm. */
export function newReading(id: string, of: GaugeMark['of'], place: Place, valueMm: number): GaugeMark {
  return { id, kind: 'reading', of, ...place, valueMm }
}

/**
 * Sets how bad a mark is: for tries 1 sound, 2 workable, 3 poor; for flaws 1 light, 2 plain, 3 bad, with the size
 * that goes with it.
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

/** The next form of a flaw in turn, the commonest first; flaws without forms stay as they are. */
export function turnForm(mark: FlawMark): FlawMark {
  const forms = discontinuityOf(mark.flaw).forms
  if (!forms) return mark
  return { ...mark, form: forms[(forms.findIndex(form => form.id === mark.form) + 1) % forms.length]!.id }
}
