import type { LengthUnit } from '../units'
import type { Clause } from './codeFamily'
import { isUnder, isOver, printed, sizeIn, type SizeRange } from './printedSize'
import type { TestTaken } from './testTaken'

/** Outside diameters that are qualified. `null` range: plate only. */
export interface QualifiedDiameter extends Clause {
  readonly range: SizeRange | null
  readonly says: string
}

const range = (unit: LengthUnit, least: number | null, most: number | null): SizeRange => ({ unit, least, most })
const PLATE_TO_PIPE = printed(24, 600)
const FOUR = printed(4, 100)
const ONE = printed(1, 25)
const TWO_SEVEN_EIGHTHS = printed(2.875, 73)
const GROUPS = [printed(2.375, 60.3), printed(12.75, 323.9)] as const

/**
 * The pipe diameters that a test qualifies.
 * @example diameterQualified(sixInchPipe).range // { unit: 'in', least: 4, most: null } in the structural code
 */
export function diameterQualified(test: TestTaken): QualifiedDiameter {
  const { unit, family, form } = test
  const outside = test.outsideMm === null ? null : sizeIn(test.outsideMm, unit)
  switch (family) {
    case 'structural':
      if (form === 'plate') return { range: range(unit, PLATE_TO_PIPE[unit], null), says: 'pipe with backing, backgouging, or both', clause: 'Table 4.10, note (2015)', remembered: 'check before it decides' }
      return isOver(outside!, FOUR)
        ? { range: range(unit, Math.max(FOUR[unit], outside!.value / 2), null), says: 'half the test diameter, at least 4 in (100 mm)', clause: 'Table 9.14 (2015), 10.13 (2020)', remembered: 'check before it decides' }
        : { range: range(unit, printed(3 / 4, 20)[unit], FOUR[unit]), says: 'small pipe', clause: 'Table 9.14 (2015), 10.13 (2020)', remembered: 'check before it decides' }
    case 'pressure':
      if (form === 'plate') return { range: range(unit, TWO_SEVEN_EIGHTHS[unit], null), says: 'in the positions of the pipe column; over 24 in (610 mm) as plate', clause: 'QW-461.9, QW-303', remembered: 'sure' }
      if (isUnder(outside!, ONE)) return { range: range(unit, outside!.value, null), says: 'the size welded and over', clause: 'QW-452.3', remembered: 'sure' }
      return { range: range(unit, (isUnder(outside!, TWO_SEVEN_EIGHTHS) ? ONE : TWO_SEVEN_EIGHTHS)[unit], null), says: '', clause: 'QW-452.3', remembered: 'sure' }
    case 'ISO': {
      if (form === 'plate') return { range: range('mm', 500, null), says: 'fixed pipe; rotated from 75 mm in PA, PB, PC and PD', clause: '5.3', remembered: 'sure' }
      const mm = test.outsideMm!
      return { range: mm <= 25 ? range('mm', mm, 2 * mm) : range('mm', Math.max(25, mm / 2), null), says: mm > 25 ? 'and plate' : '', clause: '5.7, Table 7', remembered: 'sure' }
    }
    case 'pipeline': {
      if (form === 'plate') return { range: null, says: 'no plate test', clause: '6.2', remembered: 'sure' }
      const [small, large] = [GROUPS[0][unit], GROUPS[1][unit]]
      const group = outside!.value < small ? range(unit, null, small) : outside!.value <= large ? range(unit, small, large) : range(unit, large, null)
      return { range: group, says: 'its group of diameters', clause: '6.2.2', remembered: 'sure' }
    }
  }
}
