import type { CouponDocument, FlawMark, Mark } from '../coupon'
import { beadNumber, isFlaw, isPlate, isTry } from '../coupon'
import { unionLength } from '../grading'
import { binomialTail } from '../statistics'
import { inches } from '../units'
import { isLevel } from './level'
import { onBeads, type Sign } from './sign'
import type { SignId } from './signTable'

/** One short place on a root is no less than one bead of a six-bead pad. */
const ONE_PLACE = 1 / 6

/** A sign on the root side, as a share of its length: it is one lane, however many passes lie over it. */
function alongRoot(document: CouponDocument, id: SignId, marks: readonly FlawMark[]): Sign[] {
  const lane = document.beads.find(bead => bead.face === 'root')
  if (!lane || marks.length === 0) return []
  const covered = unionLength(marks.map(mark => ({ fromMm: mark.atMm, toMm: mark.toMm }))) / (lane.toMm - lane.fromMm)
  return [{ id, markIds: marks.map(mark => mark.id), share: Math.max(ONE_PLACE, covered) }]
}

const PLAIN: readonly (readonly [FlawMark['flaw'], SignId])[] = [
  ['slag', 'slag between'],
  ['melt-through', 'burn-through'],
  ['crooked', 'crooked'],
  ['irregular width', 'width uneven'],
  ['irregular surface', 'rough ripples'],
  ['excess weld metal', 'too high'],
  ['underfill', 'too low'],
  ['sagging', 'sag'],
  ['arc strike', 'stray strike'],
  ['lap', 'lap off'],
]
const ROOT: readonly (readonly [FlawMark['flaw'], SignId])[] = [
  ['incomplete penetration', 'root not through'],
  ['excess penetration', 'root heavy'],
  ['root concavity', 'root concave'],
]

/** The signs that flaws are, by their pattern. */
export function flawSigns(document: CouponDocument): Sign[] {
  const flaws = document.marks.filter(isFlaw)
  const of = (flaw: FlawMark['flaw']) => flaws.filter(mark => mark.flaw === flaw)
  const see = (id: SignId, marks: readonly Mark[]) => onBeads(document, id, marks)
  const [undercut, overlap, pores] = [of('undercut'), of('overlap'), of('porosity')]
  const [unfused, cracks] = [of('incomplete fusion'), of('crack')]
  const isCraterCrack = (mark: FlawMark) => mark.form === 'crater' || (!mark.form && isAtEnd(document, mark))
  // Where no toe is above the other, the one that is eaten more is called the upper, whichever way it is drawn.
  const turned = !isLevel(document) && leansToLower(undercut, overlap)
  const atStarts = pores.filter(mark => isNearTry(document, mark))
  const heats = HEAT_SHOWS.flatMap(of)
  const joint = !isPlate(document.piece)
  return [
    ...bySide(undercut, { upper: 'undercut upper', lower: 'undercut lower', both: 'undercut both' }, turned, see),
    ...bySide(overlap, { upper: 'overlap upper', lower: 'overlap lower', both: 'overlap any' }, turned, see),
    ...see('crack in crater', cracks.filter(isCraterCrack)),
    ...see(
      'crack along',
      cracks.filter(mark => !isCraterCrack(mark)),
    ),
    ...see(atStarts.length === pores.length ? 'porosity at starts' : 'porosity everywhere', pores),
    ...see(
      'one wall',
      unfused.filter(mark => joint && (mark.side === 'upper' || mark.side === 'lower')),
    ),
    ...see(
      'no fusion',
      unfused.filter(mark => !joint || (mark.side !== 'upper' && mark.side !== 'lower')),
    ),
    ...see(
      'spatter',
      of('spatter').filter(mark => mark.severity > 1),
    ),
    ...PLAIN.flatMap(([flaw, id]) => see(id, of(flaw))),
    ...ROOT.flatMap(([flaw, id]) => alongRoot(document, id, of(flaw))),
    ...growing(document, heats),
  ]
}

const OTHER = { upper: 'lower', lower: 'upper' } as const

/** Whether the lower toe is eaten more than the upper, or the upper rolled over more than the lower. */
function leansToLower(undercut: readonly FlawMark[], overlap: readonly FlawMark[]): boolean {
  const sum = (flaws: readonly FlawMark[], side: 'upper' | 'lower') =>
    flaws
      .filter(flaw => flaw.side === side)
      .reduce((total, flaw) => total + flaw.severity * (1 + flaw.toMm - flaw.atMm), 0)
  return sum(undercut, 'lower') + sum(overlap, 'upper') > sum(undercut, 'upper') + sum(overlap, 'lower')
}

/** A flaw on one toe is not the same as on the other: which toe it sits on is half of what it says. */
function bySide(
  flaws: readonly FlawMark[],
  ids: Readonly<Record<'upper' | 'lower' | 'both', SignId>>,
  turned: boolean,
  see: (id: SignId, marks: readonly Mark[]) => Sign[],
): Sign[] {
  const on = (side: FlawMark['side']) => (side === 'upper' || side === 'lower' ? (turned ? OTHER[side] : side) : 'both')
  return (['upper', 'lower', 'both'] as const).flatMap(side =>
    see(
      ids[side],
      flaws.filter(flaw => on(flaw.side) === side),
    ),
  )
}

/** A pore within half an inch of a start or restart belongs to it, mm. */
const AT_A_START = 12.7

function isNearTry(document: CouponDocument, flaw: FlawMark): boolean {
  return document.marks.some(
    mark => isTry(mark) && mark.kind !== 'end' && mark.beadId === flaw.beadId && liesAt(flaw, mark.atMm),
  )
}

/** A flaw that is longer goes on along the bead, and is no matter of one place of it, mm. Common practice. */
const LONGEST_AT_A_PLACE = inches(1.5)

/** Whether a flaw lies about a place, whichever way the bead was run. */
const liesAt = ({ atMm, toMm }: FlawMark, placeMm: number) =>
  toMm - atMm <= LONGEST_AT_A_PLACE && atMm <= placeMm + AT_A_START && toMm >= placeMm - AT_A_START

/** A crack that was given no kind, within half an inch of where a bead ends, is a crater's. */
function isAtEnd(document: CouponDocument, flaw: FlawMark): boolean {
  return document.marks.some(
    mark =>
      isTry(mark) &&
      (mark.kind === 'end' || mark.kind === 'restart') &&
      mark.beadId === flaw.beadId &&
      liesAt(flaw, mark.atMm),
  )
}

/** What a plate that gets hotter from bead to bead shows more and more of. Common practice. */
const HEAT_SHOWS: readonly FlawMark['flaw'][] = ['undercut', 'overlap', 'sagging', 'spatter', 'irregular surface']
/** It grows where the second half of the beads shows three of them or more, and this many times what the first does. */
const FEWEST_LATE = 3
const LATE_TO_EARLY = 4

/**
 * What grows from bead to bead. Luck alone may have put it late: as often as that number of marks falls on late beads
 * where each is as likely on any; what is marked twice on a bead is one.
 * Source: sign test, Dixon and Mood 1946.
 */
function growing(document: CouponDocument, flaws: readonly FlawMark[]): Sign[] {
  const { piece, beads } = document
  if (!isPlate(piece) || beads.length < 4) return []
  const isLate = (flaw: Pick<FlawMark, 'beadId'>) => beadNumber(document, flaw.beadId) > beads.length / 2
  const late = flaws.filter(isLate).length
  if (late < FEWEST_LATE || late < LATE_TO_EARLY * (flaws.length - late)) return []
  const places = [...new Map(flaws.map(mark => [`${mark.beadId} ${mark.flaw}`, mark])).values()]
  const lateShare = beads.filter(({ id }) => isLate({ beadId: id })).length / beads.length
  const byLuck = binomialTail(places.filter(isLate).length, places.length, lateShare)
  return onBeads(document, 'growing', flaws).map(sign => ({ ...sign, byLuck }))
}
