import type { FamilyId } from './codeFamily'
import { isWithin, sizeIn } from './printedSize'
import { diameterQualified } from './qualifiedDiameter'
import { positionsTogether, type Welded } from './qualifiedPositions'
import { thicknessQualified } from './qualifiedThickness'
import type { TestTaken } from './testTaken'

/** What somebody should end up qualified for. Lengths mm. */
export interface Wanted {
  readonly family: FamilyId
  readonly on: 'plate' | 'pipe'
  readonly grooves: readonly Welded[]
  readonly fillets: readonly Welded[]
  readonly thicknessMm: number
  /** Outside diameter of the pipe; null on plate. */
  readonly outsideMm: number | null
  readonly openRoot: boolean
  readonly progression: 'up' | 'down'
}

/** Whether some tests together cover what is wanted. */
export function covers(tests: readonly TestTaken[], wanted: Wanted): boolean {
  const { plateGroove, pipeGroove, fillet } = positionsTogether(wanted.family, tests)
  const groove = wanted.on === 'plate' ? plateGroove : pipeGroove
  return wanted.grooves.every(letter => groove.includes(letter)) && wanted.fillets.every(letter => fillet.includes(letter))
}

/** Whether one test is of use: its thickness, diameter, root and way are those wanted. Positions are added up over several. */
function fits(test: TestTaken, wanted: Wanted): boolean {
  if (test.family !== wanted.family || (test.progression !== null && test.progression !== wanted.progression)) return false
  if (wanted.openRoot && test.weld === 'groove' && test.backing) return false
  const total = thicknessQualified(test).filter(row => row.range.most === null || row.of !== 'deposit' || row.filler === test.fillers.at(-1)!.classification)
  const inUnit = (unit: 'in' | 'mm') => sizeIn(wanted.thicknessMm, unit)
  if (test.weld === 'groove' && !total.some(row => isWithin(inUnit(row.range.unit), row.range))) return false
  if (wanted.on === 'plate') return true
  const { range } = diameterQualified(test)
  return range !== null && isWithin(sizeIn(wanted.outsideMm!, range.unit), range)
}

/**
 * The fewest test pieces that cover what is wanted, found by looking at all sets of one, then two, and so on: there are few pieces, and few positions.
 * @param pieces what the school can run
 * @returns every smallest set; none when nothing covers it
 * @example fewestTests(wantAllOnPlate, pieces)[0].map(test => test.position) // ['3G', '4G'] in the structural code
 */
export function fewestTests(wanted: Wanted, pieces: readonly TestTaken[]): TestTaken[][] {
  const useful = pieces.filter(test => fits(test, wanted))
  for (let size = 1; size <= Math.min(4, useful.length); size++) {
    const found = setsOf(useful, size).filter(set => covers(set, wanted))
    if (found.length > 0) return found
  }
  return []
}

function setsOf<T>(items: readonly T[], size: number): T[][] {
  if (size === 0) return [[]]
  return items.flatMap((item, n) => setsOf(items.slice(n + 1), size - 1).map(rest => [item, ...rest]))
}
