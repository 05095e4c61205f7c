import type { CouponDocument, FlawMark, Mark, TryKind, TryMark } from '../coupon'
import { beadNumber, isFlaw, isPlate, isReading, isTry, thicknessOf } from '../coupon'
import { wantedWidth, type HouseRules } from '../house'
import { checkTicket, type Finding } from '../setup'

/** Something seen that speaks for or against causes. */
export type SignId =
  | 'current high' | 'current low' | 'wrong polarity' | 'rod unfit' | 'rod exposed' | 'plate thin'
  | 'undercut upper' | 'undercut both' | 'overlap lower' | 'overlap any' | 'porosity at starts' | 'porosity everywhere' | 'slag between'
  | 'crack in crater' | 'crater' | 'restart high' | 'restart low' | 'restart off line' | 'restart dirty' | 'start stuck' | 'start pinholes' | 'start poor'
  | 'crooked' | 'width uneven' | 'wide' | 'narrow' | 'rough ripples' | 'too high' | 'too low' | 'sag' | 'spatter' | 'stray strike' | 'lap off'
  | 'growing' | 'burn-through' | 'no fusion' | 'ends low'

export interface Sign {
  readonly id: SignId
  readonly markIds: readonly string[]
  /** How much of the coupon shows it: from under 1 for a single slip to over 1 for what is everywhere. */
  readonly strength: number
}

/** What a ticket that does not fit speaks for; the other remarks are the house's taste and no evidence. */
const TICKET_SIGNS: Readonly<Partial<Record<Finding, SignId>>> = {
  'current high': 'current high', 'current low': 'current low', 'wrong polarity': 'wrong polarity',
  'rod unfit for position': 'rod unfit', 'rod exposed': 'rod exposed', 'plate thin': 'plate thin',
}

/** A sign on a small part of a coupon says less than one that is everywhere: from 0.3 up to 1.5. Common practice. */
const strengthOf = (share: number) => Math.min(1.5, 0.3 + 2 * share)

/**
 * The signs on a coupon, each with the marks that show it.
 * A sign is read by its pattern: which toe, at starts or everywhere, on one bead or growing from bead to bead.
 * Source: common practice.
 */
export function signsOf(document: CouponDocument, rules: HouseRules): Sign[] {
  const signs: Sign[] = []
  const see = (id: SignId, marks: readonly Mark[], of = document.beads.length) => {
    const places = new Set(marks.map(mark => (of === document.beads.length ? mark.beadId : mark.id)))
    if (marks.length > 0) signs.push({ id, markIds: marks.map(mark => mark.id), strength: strengthOf(places.size / of) })
  }
  for (const { finding } of checkTicket(document.ticket, thicknessOf(document.piece), rules)) {
    const id = TICKET_SIGNS[finding]
    if (id) signs.push({ id, markIds: [], strength: 1 })
  }

  const flaws = document.marks.filter(isFlaw)
  const of = (flaw: FlawMark['flaw']) => flaws.filter(mark => mark.flaw === flaw)
  const undercut = of('undercut')
  see('undercut upper', undercut.filter(mark => mark.side === 'upper'))
  see('undercut both', undercut.filter(mark => mark.side !== 'upper'))
  const overlap = of('overlap')
  see('overlap lower', overlap.filter(mark => mark.side === 'lower'))
  see('overlap any', overlap.filter(mark => mark.side !== 'lower'))
  const pores = of('porosity')
  const atStarts = pores.filter(mark => isNearTry(document, mark))
  see(atStarts.length === pores.length ? 'porosity at starts' : 'porosity everywhere', pores)
  see('slag between', of('slag'))
  see('crack in crater', of('crack'))
  see('burn-through', of('melt-through'))
  see('no fusion', of('incomplete fusion'))
  see('crooked', of('crooked'))
  see('width uneven', of('irregular width'))
  see('rough ripples', of('irregular surface'))
  see('too high', of('excess weld metal'))
  see('too low', of('underfill'))
  see('sag', of('sagging'))
  see('spatter', of('spatter').filter(mark => mark.severity > 1))
  see('stray strike', of('arc strike'))
  see('lap off', of('lap'))
  if (grows(document, [...undercut, ...overlap, ...of('sagging')])) see('growing', [...undercut, ...overlap, ...of('sagging')])

  const seeTries = (id: SignId, kinds: readonly TryKind[], ...faults: string[]) => {
    const tried = document.marks.filter((mark): mark is TryMark => isTry(mark) && kinds.includes(mark.kind))
    see(id, tried.filter(mark => mark.degree !== 'sound' && faults.includes(mark.fault ?? '')), tried.length)
  }
  seeTries('restart high', ['restart', 'tie-in'], 'high')
  seeTries('restart low', ['restart', 'tie-in'], 'low', 'gap')
  seeTries('restart off line', ['restart', 'tie-in'], 'off line')
  seeTries('restart dirty', ['restart', 'tie-in'], 'slag', 'pinholes')
  seeTries('start stuck', ['start'], 'stuck', 'cold')
  seeTries('start pinholes', ['start'], 'pinholes')
  seeTries('start poor', ['start'], 'lump', 'not burnt over')
  seeTries('crater', ['end'], 'crater')
  seeTries('ends low', ['end'], 'low', 'short of the edge', 'run off')

  if (!isPlate(document.piece)) return signs
  const { lowMm, highMm } = wantedWidth(rules, document.ticket.diameterMm)
  const widths = document.marks.filter(isReading).filter(mark => mark.of === 'width')
  see('wide', widths.filter(mark => mark.valueMm > highMm + 1e-6))
  see('narrow', widths.filter(mark => mark.valueMm < lowMm - 1e-6))
  return signs
}

/** A pore within half an inch of a start or restart belongs to it, mm. */
const AT_A_START = 12.7

function isNearTry(document: CouponDocument, flaw: FlawMark): boolean {
  return document.marks.some(mark =>
    isTry(mark) && mark.kind !== 'end' && mark.beadId === flaw.beadId
    && flaw.atMm <= mark.atMm + AT_A_START && flaw.toMm >= mark.atMm - AT_A_START)
}

/** Nothing on the first half of the beads, and three or more on the second: heat builds up. */
function grows(document: CouponDocument, flaws: readonly FlawMark[]): boolean {
  const half = document.beads.length / 2
  return isPlate(document.piece) && document.beads.length >= 4 && flaws.length >= 3 && flaws.every(flaw => beadNumber(document, flaw.beadId) > half)
}
