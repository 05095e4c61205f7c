import type { LengthUnit } from '../units'
import type { Clause } from './codeFamily'
import { isOver, isUnder, printed, sizeIn, type SizeRange } from './printedSize'
import type { TestTaken } from './testTaken'

/** Thickness that is qualified: of the joint, or of what one filler deposits. */
export interface QualifiedThickness extends Clause {
  readonly of: 'groove' | 'deposit' | 'fillet material'
  /** The filler whose deposit it is; null for the joint. */
  readonly filler: string | null
  readonly range: SizeRange
}

const range = (unit: LengthUnit, least: number | null, most: number | null): SizeRange => ({ unit, least, most })
const THREE_EIGHTHS = printed(3 / 8, 10)
const HALF = printed(1 / 2, 13)
const INCH = printed(1, 25)
const EIGHTH = printed(1 / 8, 3)
const THREE_SIXTEENTHS = printed(3 / 16, 5)
const FOUR_OD = printed(4, 100)
const THREE_MM = 3
const TWELVE_MM = 12

/**
 * The thickness that a test qualifies. The structural code goes by the coupon, the pressure code and ISO by what each filler deposited.
 * @throws RangeError when the coupon is no standard test of the family
 * @example thicknessQualified(threeEighthsPlate)[0].range // { unit: 'in', least: 0.125, most: 0.75 }
 */
export function thicknessQualified(test: TestTaken): QualifiedThickness[] {
  switch (test.family) {
    case 'structural': return [structural(test)]
    case 'pressure': return test.weld === 'fillet'
      ? [{ of: 'fillet material', filler: null, range: range(test.unit, null, null), clause: 'QW-452.5, QW-452.6', remembered: 'check before it decides' }]
      : test.fillers.map(({ classification, depositMm, layers }) => {
          const deposit = sizeIn(depositMm, test.unit)
          const free = !isUnder(deposit, HALF) && layers >= 3
          return { of: 'deposit', filler: classification, range: range(test.unit, null, free ? null : 2 * deposit.value), clause: 'QW-452.1(b)', remembered: 'sure' }
        })
    case 'ISO': return test.weld === 'fillet' ? [isoFillet(test)] : test.fillers.map(filler => isoDeposit(filler))
    case 'pipeline': return [pipeline(test)]
  }
}

function structural(test: TestTaken): QualifiedThickness {
  const wall = sizeIn(test.thicknessMm, test.unit)
  if (test.weld === 'fillet') return { of: 'fillet material', filler: null, range: range(test.unit, EIGHTH[test.unit], null), clause: 'Table 4.11 (2015), 6.11 (2020)', remembered: 'sure' }
  if (test.form === 'plate') {
    if (isUnder(wall, THREE_EIGHTHS)) throw new RangeError('A plate thinner than 3/8 in (10 mm) is no standard test of the structural code')
    return { of: 'groove', filler: null, range: range(test.unit, EIGHTH[test.unit], isUnder(wall, INCH) ? 2 * wall.value : null), clause: 'Table 4.11 (2015), 6.11 (2020)', remembered: 'sure' }
  }
  const outside = sizeIn(test.outsideMm!, test.unit)
  const clause = { clause: 'Table 9.14 (2015), 10.13 (2020)', remembered: 'check before it decides' } as const
  const heavy = isOver(outside, FOUR_OD) && isOver(wall, THREE_EIGHTHS)
  return { of: 'groove', filler: null, range: heavy ? range(test.unit, THREE_SIXTEENTHS[test.unit], null) : range(test.unit, EIGHTH[test.unit], printed(3 / 4, 20)[test.unit]), ...clause }
}

function isoDeposit({ classification, depositMm }: TestTaken['fillers'][number]): QualifiedThickness {
  const most = depositMm < THREE_MM ? Math.max(THREE_MM, 2 * depositMm) : depositMm < TWELVE_MM ? 2 * depositMm : null
  return { of: 'deposit', filler: classification, range: range('mm', depositMm < THREE_MM ? depositMm : THREE_MM, most), clause: '5.7, Table 6', remembered: 'sure' }
}

function isoFillet({ thicknessMm }: TestTaken): QualifiedThickness {
  const thin = thicknessMm < THREE_MM
  return { of: 'fillet material', filler: null, range: range('mm', thin ? thicknessMm : THREE_MM, thin ? Math.max(2 * thicknessMm, THREE_MM) : null), clause: '5.7, Table 8', remembered: 'sure' }
}

const WALL_GROUPS = [printed(0.188, 4.8), printed(0.75, 19.1)] as const

function pipeline({ thicknessMm, unit }: TestTaken): QualifiedThickness {
  const wall = sizeIn(thicknessMm, unit)
  const [thin, thick] = [WALL_GROUPS[0][unit], WALL_GROUPS[1][unit]]
  const group = wall.value < thin ? range(unit, null, thin) : wall.value <= thick ? range(unit, thin, thick) : range(unit, thick, null)
  return { of: 'groove', filler: null, range: group, clause: '6.2.2', remembered: 'sure' }
}
