import { isFlaw, isTry, type Bead, type CouponDocument, type Degree, type TryKind } from '../coupon'
import { unionLength } from '../grading'
import type { DiscontinuityId } from '../trade'
import { inches, wholeSteps } from '../units'
import { sameTry } from './compareReadings'
import type { AgreementTable } from '../statistics'

/**
 * Tables of agreement of two readings of one coupon, the reference in rows. What is counted is each try, and each inch
 * of each bead; so an inch that both passed over counts as agreed, as a sound try does.
 */
export interface Tally {
  /**
   * Sound or not, of every try and every inch: [[both sound, only the reading faults], [only the reference faults,
   * both fault]].
   */
  readonly all: AgreementTable
  /** Sound, workable, poor, of each kind of try. */
  readonly tries: Readonly<Partial<Record<TryKind, AgreementTable>>>
  /** Not there, there, in each inch, of each discontinuity that either saw. */
  readonly flaws: Readonly<Partial<Record<DiscontinuityId, AgreementTable>>>
}

/** The same of several coupons, a table for each: a coupon's inches and tries are no sample by themselves. */
export interface Tallies {
  readonly all: readonly AgreementTable[]
  readonly tries: Readonly<Partial<Record<TryKind, readonly AgreementTable[]>>>
  readonly flaws: Readonly<Partial<Record<DiscontinuityId, readonly AgreementTable[]>>>
}

const DEGREES: readonly Degree[] = ['sound', 'workable', 'poor']
const CELL_MM = inches(1)

const zeros = (size: number): number[][] => Array.from({ length: size }, () => Array<number>(size).fill(0))

/**
 * Counts how two readings of one coupon agree.
 * @example kappa([tallyOf(instructors, students).all]).kappa
 */
export function tallyOf(reference: CouponDocument, reading: CouponDocument): Tally {
  const all = zeros(2)
  const tries: Partial<Record<TryKind, number[][]>> = {}
  for (const mark of reference.marks.filter(isTry)) {
    const other = reading.marks.filter(isTry).find(candidate => sameTry(mark, candidate))
    if (!other) continue
    const table = (tries[mark.kind] ??= zeros(3))
    table[DEGREES.indexOf(mark.degree)]![DEGREES.indexOf(other.degree)]! += 1
    all[mark.degree === 'sound' ? 0 : 1]![other.degree === 'sound' ? 0 : 1]! += 1
  }
  const kinds = [...new Set([...reference.marks, ...reading.marks].filter(isFlaw).map(mark => mark.flaw))].sort()
  const flaws: Partial<Record<DiscontinuityId, number[][]>> = Object.fromEntries(kinds.map(kind => [kind, zeros(2)]))
  for (const bead of reference.beads) {
    for (const cell of cellsOf(bead)) {
      const there = (document: CouponDocument, kind: DiscontinuityId) => (isIn(document, bead, cell, kind) ? 1 : 0)
      const seen = kinds.map(kind => [there(reference, kind), there(reading, kind)] as const)
      for (const [index, [one, other]] of seen.entries()) flaws[kinds[index]!]![one]![other]! += 1
      all[seen.some(([one]) => one === 1) ? 1 : 0]![seen.some(([, other]) => other === 1) ? 1 : 0]! += 1
    }
  }
  return { all, tries, flaws }
}

interface Cell {
  readonly fromMm: number
  readonly toMm: number
}

/** Inches of a bead; what is left at its end is of the last. */
function cellsOf({ fromMm, toMm }: Bead): readonly Cell[] {
  const count = Math.max(1, wholeSteps(toMm - fromMm, CELL_MM))
  return Array.from({ length: count }, (_, n) => ({
    fromMm: fromMm + n * CELL_MM,
    toMm: n === count - 1 ? toMm : fromMm + (n + 1) * CELL_MM,
  }))
}

/** Whether a flaw lies in a cell: its middle, or half the cell and more of it. */
function isIn({ marks }: CouponDocument, bead: Bead, cell: Cell, kind: DiscontinuityId): boolean {
  const here = marks.filter(isFlaw).filter(mark => mark.beadId === bead.id && mark.flaw === kind)
  const middles = here.map(mark => (mark.atMm + mark.toMm) / 2)
  if (middles.some(at => at >= cell.fromMm && (at < cell.toMm || cell.toMm === bead.toMm))) return true
  const covered = here
    .map(mark => ({ fromMm: Math.max(mark.atMm, cell.fromMm), toMm: Math.min(mark.toMm, cell.toMm) }))
    .filter(span => span.toMm > span.fromMm)
  return unionLength(covered) >= (cell.toMm - cell.fromMm) / 2
}

/**
 * Puts the tallies of several coupons together. Where neither reader saw a kind of flaw on a coupon, they agreed on all
 * its inches.
 * @example kappa(addTallies(tallies).all).low // 0.31
 */
export function addTallies(tallies: readonly Tally[]): Tallies {
  const kinds = <K extends string>(of: (tally: Tally) => Readonly<Partial<Record<K, AgreementTable>>>) =>
    [...new Set(tallies.flatMap(tally => Object.keys(of(tally)) as K[]))].sort()
  const clear = (tally: Tally): AgreementTable => [
    [inchesOf(tally), 0],
    [0, 0],
  ]
  return {
    all: tallies.map(tally => tally.all),
    tries: Object.fromEntries(
      kinds(tally => tally.tries).map(kind => [
        kind,
        tallies.flatMap(({ tries }) => (tries[kind] ? [tries[kind]] : [])),
      ]),
    ),
    flaws: Object.fromEntries(
      kinds(tally => tally.flaws).map(kind => [kind, tallies.map(tally => tally.flaws[kind] ?? clear(tally))]),
    ),
  }
}

/** Inches counted: what is in `all` and is not a try. */
function inchesOf({ all, tries }: Tally): number {
  const count = (table: AgreementTable) => table.flat().reduce((total, value) => total + value, 0)
  return count(all) - Object.values(tries).reduce((total, table) => total + count(table), 0)
}
